import {
  findIcon,
  idsOf,
  initialOf,
  networkOf,
  uniqueName,
  type Field as ShapeField,
  type Icon,
  type Shape,
  type Site,
} from '@hamaca/core';
import { Fragment } from 'react';
import { Button } from '../ui/button.tsx';
import { fieldEditor, type EditorProps } from './editors.tsx';
import { libraryIcon } from '../media/site-icon.ts';

type Entry = Readonly<Record<string, unknown>> & { readonly id: string };

interface Change {
  readonly fields: Readonly<Record<string, unknown>>;
  readonly icons: readonly Icon[];
}

/** A drawing that an entry starts with where it must have one. */
const STARTING_ICON = 'share';

/** The fields an entry needs an icon for. */
const neededIcons = (shape: Shape) =>
  (Object.entries(shape) as [string, ShapeField<unknown>][]).filter(
    ([, { spec }]) => spec.kind === 'reference' && spec.to === 'icon' && !spec.nullable,
  );

async function newEntry(
  site: Site,
  shape: Shape,
  one: string,
): Promise<{ entry: Entry; icons: readonly Icon[] } | null> {
  const entry: Record<string, unknown> & { id: string } = {
    ...initialOf(shape),
    id: uniqueName(one.replace(/\W+/g, '-'), idsOf(site)),
  };
  const icons: Icon[] = [];
  for (const [key] of neededIcons(shape)) {
    const icon = await libraryIcon(site, STARTING_ICON);
    if (!icon) return null;
    entry[key] = icon.id;
    icons.push(icon);
  }
  return { entry, icons };
}

/** A known network brings its icon, name and colour with its address; what was set by hand stays. */
async function withNetwork(site: Site, shape: Shape, entry: Entry, change: Change): Promise<Change> {
  const url = change.fields['url'];
  const network = typeof url === 'string' ? networkOf(url) : null;
  const icon = network ? await libraryIcon(site, network.icon) : null;
  if (!network || !icon) return change;
  const isUntouched = entry['name'] === shape['name']?.initial;
  return {
    fields: {
      ...change.fields,
      icon: icon.id,
      colour: network.colour,
      ...(isUntouched ? { name: network.name } : {}),
    },
    icons: [...change.icons, icon],
  };
}

/** The entries of a list, each on a line of its own, with a way to add one. */
export function ListField({ site, of, thing, name, field, set }: EditorProps) {
  const { spec } = field;
  if (spec.kind !== 'list' || spec.of.kind !== 'group') return null;
  const shape = spec.of.of;
  const entries = thing[name] as readonly Entry[];
  const change = (entry: Entry, made: Change) => {
    const next = entries.map((other) => (other === entry ? { ...entry, ...made.fields } : other));
    set(
      { [name]: next },
      made.icons.filter((icon) => !findIcon(site, icon.id)),
    );
  };
  const add = async () => {
    const made = await newEntry(site, shape, spec.one);
    if (made)
      set(
        { [name]: [...entries, made.entry] },
        made.icons.filter((icon) => !findIcon(site, icon.id)),
      );
  };
  return (
    <div className="grid gap-1">
      {entries.map((entry) => (
        <div key={entry.id} className="flex items-center gap-3">
          {(Object.entries(shape) as [string, ShapeField<unknown>][]).map(([key, own]) => (
            <Fragment key={key}>
              {own.label !== '' &&
                fieldEditor({
                  site,
                  of,
                  thing: entry,
                  name: key,
                  field: own,
                  set: (fields, icons = []) => {
                    void withNetwork(site, shape, entry, { fields, icons }).then((made) => {
                      change(entry, made);
                    });
                  },
                })}
            </Fragment>
          ))}
          {entries.length > spec.min && (
            <Button
              className="!h-6"
              aria-label={`Remove ${String(entry['name'] ?? entry['text'] ?? spec.one)}`}
              onClick={() => {
                set({ [name]: entries.filter((other) => other !== entry) });
              }}
            >
              ×
            </Button>
          )}
        </div>
      ))}
      {entries.length < spec.max && (
        <div>
          <Button className="!h-6" onClick={() => void add()}>
            + {spec.one}
          </Button>
        </div>
      )}
    </div>
  );
}
