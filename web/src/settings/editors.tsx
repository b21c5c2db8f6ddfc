import {
  findIcon,
  panelsOf,
  parseColour,
  refuseUrl,
  SHOWN_LEVELS,
  type Field as ShapeField,
  type Icon,
  type MenuPart,
  type Site,
} from '@hamaca/core';
import { RadioGroup } from 'radix-ui';
import type { ReactNode } from 'react';
import { ChoiceDrawing, SETTING_DRAWINGS } from '../ui/setting-drawings.tsx';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { IconPicker } from '../ui/icon-picker.tsx';
import { TextField } from '../ui/text-field.tsx';
import { MarkupField } from './markup-field.tsx';
import { DrawnLink } from './drawn-link.tsx';
import { branchOptions, levelWords, WHOLE } from './placement.ts';
import { Field, PictureUpload, TargetWords, Words } from './words.tsx';

/** Sets fields of the thing that is edited; icons that the site has not yet come along. */
export type SetFields = (fields: Record<string, unknown>, icons?: readonly Icon[]) => void;

export interface EditorProps {
  readonly site: Site;
  /** The kind of thing, where its settings may be drawn. */
  readonly kind?: string;
  /** What the thing is called, for names of controls. */
  readonly of: string;
  readonly thing: Readonly<Record<string, unknown>>;
  readonly name: string;
  readonly field: ShapeField<unknown>;
  readonly set: SetFields;
}

type Spec<Kind extends ShapeField<unknown>['spec']['kind']> = Extract<
  ShapeField<unknown>['spec'],
  { kind: Kind }
>;

function NumberField({ thing, name, field, set }: EditorProps) {
  const { min, max, whole, nullable } = field.spec as Spec<'number'>;
  const value = thing[name] as number | null;
  return (
    <Field label={field.label}>
      <TextField
        className="w-20 tabular"
        value={value === null ? '' : String(value)}
        placeholder={nullable ? 'no limit' : ''}
        aria-label={field.label}
        title={field.hint}
        onCommit={(text) => {
          const typed = text.trim().replace(/px$/, '');
          if (typed === '' && nullable) {
            set({ [name]: null });
            return null;
          }
          const number = Number(typed);
          if (typed === '' || !(number >= min && number <= max) || (whole && !Number.isInteger(number)))
            return `A ${whole ? 'whole ' : ''}number from ${min} to ${max}${nullable ? ', or nothing for none' : ''}.`;
          set({ [name]: number });
          return null;
        }}
      />
    </Field>
  );
}

/** Another menu has other branches; a placement that was called like its menu is called like the new one. */
function otherMenu(site: Site, thing: EditorProps['thing'], chosen: string): Record<string, unknown> {
  const part = thing as unknown as MenuPart;
  const nameOf = (id: string) => site.menus.find((menu) => menu.id === id)?.name;
  const name = nameOf(chosen);
  return {
    menu: chosen,
    ...('branch' in thing ? { branch: null } : {}),
    ...('name' in thing && name !== undefined && part.name === nameOf(part.menu) ? { name } : {}),
  };
}

function ReferenceField(props: EditorProps) {
  const { site, of, thing, name, field, set } = props;
  // What may be left out is let go, not chosen from a list.
  if (field.optional) return <DrawnLink {...props} />;
  const { to, nullable } = field.spec as Spec<'reference'>;
  const value = thing[name] as string | null;
  if (to === 'icon')
    return (
      <span role="group" aria-label={`${of}: ${field.label}`} className="flex items-center gap-1.5">
        <span className="text-small whitespace-nowrap text-ink-faint">{field.label}</span>
        <IconPicker
          site={site}
          optional={nullable}
          current={value === null ? null : findIcon(site, value)}
          onChoose={(icon) => {
            if (icon || nullable) set({ [name]: icon?.id ?? null }, icon ? [icon] : []);
          }}
        />
      </span>
    );
  const options =
    to === 'item'
      ? branchOptions(site, thing as unknown as MenuPart)
      : (to === 'menu' ? site.menus : panelsOf(site)).map(({ id, name: label }) => ({ value: id, label }));
  return (
    <Field label={field.label}>
      <Choice
        label={`${of}: ${field.label}`}
        value={value ?? WHOLE}
        options={options}
        onChange={(next) => {
          const chosen = next === WHOLE ? null : next;
          set(to === 'menu' && chosen !== null ? otherMenu(site, thing, chosen) : { [name]: chosen });
        }}
      />
    </Field>
  );
}

/** A drawing or a picture: one takes the other's place where a thing has both. */
function DrawingField({ of, thing, name, field, set }: EditorProps) {
  const other = field.spec.kind === 'svg' && name === 'svg' && 'image' in thing ? 'image' : null;
  const has = thing[name] !== null || (other !== null && thing[other] !== null);
  const called = `${of} ${field.label}`;
  return (
    <span className="flex items-center gap-1.5">
      <PictureUpload
        label={
          has ? `Replace the ${field.label}…` : other ? 'Add a drawing or picture…' : `Add ${field.label}…`
        }
        name={called}
        svgOnly={field.spec.kind === 'svg' && other === null}
        pictureOnly={field.spec.kind === 'picture'}
        onTake={(upload) => {
          const value = 'svg' in upload ? upload.svg : upload.image;
          if (other === null) set({ [name]: value });
          else set('svg' in upload ? { [name]: value, [other]: null } : { [name]: null, [other]: value });
        }}
      />
      {has && (
        <Button
          className="!h-6"
          aria-label={`Remove ${called}`}
          onClick={() => {
            set(other === null ? { [name]: null } : { [name]: null, [other]: null });
          }}
        >
          ×
        </Button>
      )}
    </span>
  );
}

function ColourField({ thing, name, field, set }: EditorProps) {
  return (
    <Field label={field.label}>
      <TextField
        className="w-20"
        value={(thing[name] as string | null) ?? ''}
        placeholder="not known"
        aria-label={field.label}
        title={field.hint}
        onCommit={(text) => {
          const typed = text.trim();
          if (typed !== '' && !parseColour(typed)) return `“${typed}” is no CSS colour.`;
          set({ [name]: typed === '' ? null : typed });
          return null;
        }}
      />
    </Field>
  );
}

/** In which bands something is shown. */
function BandsField({ site, thing, name, field, set }: EditorProps) {
  if (site.bands.length < 2) return null;
  const shown = (thing[name] as readonly string[] | undefined) ?? site.bands.map((band) => band.id);
  const toggle = (id: string) => {
    const next = site.bands.map((band) => band.id).filter((band) => (band === id) !== shown.includes(band));
    if (next.length > 0) set({ [name]: next.length === site.bands.length ? null : next });
  };
  return (
    <span role="group" aria-label="Shown in" className="flex items-center gap-1">
      <span className="text-small text-ink-faint">{field.label}</span>
      {site.bands.map((band) => (
        <Button
          key={band.id}
          className="!h-6"
          pressed={shown.includes(band.id)}
          disabled={shown.length === 1 && shown.includes(band.id)}
          onClick={() => {
            toggle(band.id);
          }}
        >
          {band.name}
        </Button>
      ))}
    </span>
  );
}

/** One of a few named values, each drawn. */
function DrawnChoice({
  of,
  thing,
  name,
  field,
  set,
  drawings,
}: EditorProps & { readonly drawings: Readonly<Record<string, ReactNode>> }) {
  const { choices } = field.spec as Spec<'choice'>;
  return (
    <RadioGroup.Root
      aria-label={`${of}: ${field.label}`}
      value={String(thing[name])}
      onValueChange={(next) => {
        set({ [name]: next });
      }}
      className="flex items-center gap-1"
    >
      <span className="mr-0.5 text-small whitespace-nowrap text-ink-faint">{field.label}</span>
      {Object.entries(choices).map(([key, word]) => (
        <RadioGroup.Item
          key={key}
          value={key}
          title={word}
          aria-label={word}
          className="grid h-7 place-items-center rounded-[2px] border border-twine bg-white text-ink-soft hover:border-rope data-[state=checked]:border-ochre data-[state=checked]:bg-ochre-wash data-[state=checked]:text-ochre"
        >
          <ChoiceDrawing drawing={drawings[key]} />
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}

/** Widths of text fields by how long their texts usually are. */
const wideFor = (max: number, name: string) =>
  name === 'url' || name === 'text' ? 'w-44' : max < 100 ? 'w-20' : 'w-32';

/** The control that changes one field, told from the kind of its value. */
export function fieldEditor(props: EditorProps): ReactNode {
  const { site, of, thing, name, field, set } = props;
  const { spec, label } = field;
  const value = thing[name];
  const drawings = SETTING_DRAWINGS[`${props.kind ?? ''}.${name}`];
  switch (spec.kind) {
    case 'text':
    case 'address':
      return (
        <Words
          label={label}
          value={String(value)}
          wide={wideFor(spec.kind === 'text' ? spec.max : 2048, name)}
          empty={field.needed !== true}
          hint={field.hint}
          refuse={(text) => {
            if (spec.kind === 'address') return refuseUrl(text);
            return spec.pattern && !spec.pattern.test.test(text) ? `needed is ${spec.pattern.allowed}` : null;
          }}
          onCommit={(text) => {
            set({ [name]: text });
          }}
        />
      );
    case 'number':
      return <NumberField {...props} />;
    case 'choice':
      return drawings ? (
        <DrawnChoice {...props} drawings={drawings} />
      ) : (
        <Field label={label}>
          <Choice
            label={`${of}: ${label}`}
            value={String(value)}
            options={Object.entries(spec.choices).map(([key, word]) => ({ value: key, label: word }))}
            onChange={(next) => {
              set({ [name]: next });
            }}
          />
        </Field>
      );
    case 'levels':
      return (
        <Field label={label}>
          <Choice
            label={`${of}: ${label}`}
            value={String(value)}
            options={SHOWN_LEVELS.map((level) => ({ value: String(level), label: levelWords(level) }))}
            onChange={(next) => {
              set({ [name]: next === 'all' ? 'all' : Number(next) });
            }}
          />
        </Field>
      );
    case 'flag':
      return (
        <Button
          className="!h-6"
          pressed={value === true}
          title={field.hint}
          onClick={() => {
            set({ [name]: value !== true });
          }}
        >
          {label}
        </Button>
      );
    case 'union':
      return (
        <TargetWords
          site={site}
          target={value as Parameters<typeof TargetWords>[0]['target']}
          label={label}
          onCommit={(target) => {
            set({ [name]: target });
          }}
        />
      );
    case 'markup':
      return <MarkupField {...props} />;
    case 'svg':
    case 'picture':
      return <DrawingField {...props} />;
    case 'colour':
      return <ColourField {...props} />;
    case 'reference':
      return <ReferenceField {...props} />;
    case 'bands':
      return <BandsField {...props} />;
    default:
      return null;
  }
}
