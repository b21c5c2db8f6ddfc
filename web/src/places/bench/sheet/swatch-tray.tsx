import {
  colourOf,
  formatColour,
  isDerived,
  reachOf,
  slotName,
  swatchColour,
  type Site,
  type SlotRef,
  type Swatch,
} from '@hamaca/core';
import { Popover } from 'radix-ui';
import { memo } from 'react';
import { Link } from 'react-router';
import { Button } from '../../../ui/button.tsx';
import { ColourEditor } from '../../../ui/lazy.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { newSwatch } from '../../../store/new-swatch.ts';
import { useEdit, useSite, useSiteState, useSiteStore } from '../../../store/open-site.tsx';
import { benchStore, selectSlot } from '../../../store/bench-store.ts';

/** The slots something reaches, each once. */
function reachedSlots(site: Site, swatch: string): SlotRef[] {
  const slots = new Map(
    reachOf(site, { kind: 'swatch', id: swatch }).map(({ owner, slot }) => [
      `${owner} ${slot}`,
      { owner, slot },
    ]),
  );
  return [...slots.values()];
}

const light = (slots: readonly SlotRef[]) => {
  benchStore.setState({ lit: slots });
};

function SwatchEditor({ swatch }: { readonly swatch: Swatch }) {
  const site = useSite();
  const store = useSiteStore();
  const edit = useEdit();
  const id = useSiteState((state) => state.id);
  const asEdit = (value: string) => ({ name: 'set-swatch', args: { id: swatch.id, value } }) as const;
  const reached = reachedSlots(site, swatch.id);
  const value = isDerived(swatch) ? formatColour(swatchColour(site, swatch.id)) : swatch.value;
  return (
    <div className="grid gap-2 p-3 text-bench">
      {isDerived(swatch) ? (
        <p className="text-ink-soft">
          It follows {site.palette.find((entry) => entry.id === swatch.from)?.name}: {swatch.change} by{' '}
          {swatch.by} %.
        </p>
      ) : (
        <ColourEditor
          value={value}
          onPreview={(colour) => {
            store.preview(colour === null ? null : asEdit(colour));
          }}
          onCommit={(colour) => {
            edit(asEdit(colour), `Swatch ${swatch.name}`);
          }}
        />
      )}
      <label className="grid grid-cols-[84px_1fr] items-center gap-2">
        <span className="text-small text-ink-soft">name</span>
        <TextField
          className="w-full"
          value={swatch.name}
          onCommit={(name) =>
            name.trim() === ''
              ? 'A swatch needs a name.'
              : (edit({ name: 'set-swatch', args: { id: swatch.id, name: name.trim() } }, 'Swatch name'),
                null)
          }
        />
      </label>
      <div className="border-t border-twine pt-2 text-small">
        <p className="mb-1 text-ink-faint">
          {reached.length === 0
            ? 'reaches nothing yet'
            : `reaches ${reached.length} ${reached.length === 1 ? 'slot' : 'slots'}`}
        </p>
        <ul className="max-h-28 overflow-auto">
          {reached.map((slot) => (
            <li key={`${slot.owner} ${slot.slot}`}>
              <button
                type="button"
                onPointerEnter={() => {
                  light([slot]);
                }}
                onClick={() => {
                  selectSlot(slot.owner, slot.slot, null);
                }}
                className="h-6 w-full truncate rounded-[2px] px-1 text-left hover:bg-ochre-wash"
              >
                {slotName(site, slot)}
              </button>
            </li>
          ))}
        </ul>
        <Link
          to={`/sites/${id}/palette?swatch=${swatch.id}`}
          className="mt-1 inline-block underline decoration-twine underline-offset-2"
        >
          Open in the palette
        </Link>
      </div>
    </div>
  );
}

/** The site's colours: change one, and everything linked to it follows; point at one, and all it reaches lights up. */
export const SwatchTray = memo(
  function SwatchTray({ site }: { readonly site: Site }) {
    const edit = useEdit();
    const store = useSiteStore();
    /** What a swatch reaches now: the tray itself is not drawn anew for every edit. */
    const lightReached = (swatch: string) => {
      const now = store.getState().site;
      if (now) light(reachedSlots(now, swatch));
    };
    const add = () => {
      edit({ name: 'add-swatch', args: { swatch: newSwatch(site, '#808080') } }, 'New swatch');
    };
    return (
      <section
        aria-label="Swatches"
        className="flex max-h-24 shrink-0 flex-wrap items-center gap-0.5 overflow-auto border-t border-twine bg-cotton px-2.5 py-1"
      >
        {site.palette.map((swatch) => (
          <Popover.Root
            key={swatch.id}
            onOpenChange={(open) => {
              if (open) lightReached(swatch.id);
              else light([]);
            }}
          >
            <Popover.Trigger
              onPointerEnter={() => {
                lightReached(swatch.id);
              }}
              onPointerLeave={() => {
                light([]);
              }}
              aria-label={swatch.name}
              title={`${swatch.name}: point at it to see what it reaches, press to change it`}
              className="grid size-6 shrink-0 place-items-center rounded-[3px] border border-transparent hover:border-twine hover:bg-white data-[state=open]:border-ochre data-[state=open]:bg-ochre-wash"
            >
              <span
                className="size-[18px] rounded-[2px] border border-ink/25"
                style={{ background: formatColour(colourOf(site, { swatch: swatch.id })) }}
              />
            </Popover.Trigger>
            <Popover.Portal>
              <Popover.Content
                side="top"
                sideOffset={6}
                aria-label={`Swatch ${swatch.name}`}
                className="z-50 w-[330px] rounded-[4px] border border-rope bg-cotton"
              >
                <SwatchEditor swatch={swatch} />
              </Popover.Content>
            </Popover.Portal>
          </Popover.Root>
        ))}
        <Button
          tone="quiet"
          className="!h-6 min-w-6 justify-center !px-1"
          onClick={add}
          aria-label="Add a swatch"
          title="Add a swatch"
        >
          +
        </Button>
      </section>
    );
  },
  (a, b) => a.site.palette === b.site.palette,
);
