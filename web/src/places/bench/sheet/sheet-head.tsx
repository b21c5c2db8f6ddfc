import {
  ACTION_STYLES,
  askedAt,
  itemKey,
  itemOf,
  itemsWearing,
  levelsOf,
  singleItems,
  ownersOf,
  sameAs,
  slotKind,
  slotName,
  slotsOf,
  hasSlot,
  type ActionStyle,
  type Extent,
  type LevelKey,
  type Site,
  type SlotRef,
} from '@hamaca/core';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { PopoverBox } from '../../../ui/popover-box.tsx';
import { Button } from '../../../ui/button.tsx';
import { Choice, type Option } from '../../../ui/choice.tsx';
import { useEdit } from '../../../store/open-site.tsx';
import { benchStore, toggleBeside, useBench, type BenchState } from '../../../store/bench-store.ts';
import { takeBack } from '../single-link.ts';
import { copyLook, keepActionsEdit, keptActions, styleEdit } from './sheet-edits.ts';
import type { Sheet } from './sheet-model.ts';

/** So many links are listed one by one; of more, those that were pressed or have a look of their own. */
const FEW = 12;

/** Whom the sheet can be for: links of every level, of one, or one link alone. */
function wearers(site: Site, { owner, slot, level, index }: BenchState['selected']): Option[] {
  const found = ownersOf(site).get(owner);
  const kind = found && slotsOf(found.kind)[slot];
  if (!found || !kind?.single) return [];
  const shown = levelsOf(site, found, slot);
  const levels: Option[] =
    kind.levels.length === 0
      ? [{ value: 'all', label: 'all of them' }]
      : [
          { value: 'all', label: 'all levels' },
          ...shown.map((one) => ({ value: String(one), label: `level ${one}` })),
        ];
  const items = itemsWearing(site, { owner, slot }, askedAt(site, { owner, slot }, level).level);
  const single = singleItems(site, { owner, slot });
  const listed = items.length > FEW ? [...single, ...items.slice(index, index + 1)] : [...single, ...items];
  return [
    ...levels,
    ...[...new Set(listed)].map(({ id, label }) => ({ value: itemKey(id), label: `only “${label}”` })),
  ];
}

/** Most links that can be taken along from the list. */
const MOST_LISTED = 200;

/** The other links that are given the same as the selected one. */
function Besides({ site, item }: { readonly site: Site; readonly item: string }) {
  const selected = useBench((state) => state.selected);
  const besides = useBench((state) => state.besides);
  const { level } = askedAt(site, selected, selected.level);
  const others = itemsWearing(site, selected, level)
    .filter(({ id }) => id !== item)
    .slice(0, MOST_LISTED);
  if (others.length === 0) return null;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button className="!h-6" pressed={besides.length > 0} title="Other links that are given the same">
          {besides.length === 0 ? 'and …' : `and ${besides.length} more`}
        </Button>
      </Popover.Trigger>
      <PopoverBox
        aria-label="Links that are given the same"
        className="grid max-h-80 w-60 gap-0.5 overflow-auto p-1.5 text-bench"
      >
        {others.map(({ id, label }) => (
          <label
            key={id}
            className="flex h-7 items-center gap-2 rounded-[2px] px-1.5 hover:bg-ochre-wash has-focus-visible:outline-2"
          >
            <input
              type="checkbox"
              className="size-4 accent-ochre"
              checked={besides.includes(id)}
              onChange={() => {
                toggleBeside(id);
              }}
            />
            <span className="truncate">{label}</span>
          </label>
        ))}
      </PopoverBox>
    </Popover.Root>
  );
}

/** Whom the sheet is for; the look of one link alone can be taken back. */
function Wearers({ site }: { readonly site: Site }) {
  const edit = useEdit();
  const selected = useBench((state) => state.selected);
  const besides = useBench((state) => state.besides);
  const options = wearers(site, selected);
  const item = itemOf(selected.level);
  const isSingle = item !== null && singleItems(site, selected).some(({ id }) => id === item);
  if (options.length < 2) return null;
  return (
    <>
      <Choice
        label="For"
        value={selected.level}
        options={options}
        onChange={(level) => {
          benchStore.setState({ selected: { ...selected, level: level as typeof selected.level } });
        }}
      />
      {item !== null && <Besides site={site} item={item} />}
      {isSingle && (
        <Button
          className="!h-6"
          title="Takes away everything that is said of this link alone (Delete on its line in the outline)"
          onClick={() => {
            edit(takeBack(site, selected.owner, [item, ...besides]), 'Take back the look of single links');
          }}
        >
          like the others
        </Button>
      )}
    </>
  );
}

const isSame = (a: SlotRef, b: SlotRef) => a.owner === b.owner && a.slot === b.slot;

/** Every slot that is there and wears something of what this one can. */
function relatedSlots(site: Site, to: SlotRef): SlotRef[] {
  const wanted = new Set<string>(slotKind(site, to)?.properties ?? []);
  return [...ownersOf(site).values()]
    .flatMap((owner) =>
      Object.entries(slotsOf(owner.kind))
        .filter(
          ([slot, kind]) =>
            hasSlot(site, owner, slot) && kind.properties.filter((id) => wanted.has(id)).length > 2,
        )
        .map(([slot]): SlotRef => ({ owner: owner.id, slot })),
    )
    .filter((ref) => !isSame(ref, to));
}

/** Copies a look, puts a copied one here, or links this slot's look to another's. */
function LookMenu({ site }: { readonly site: Site }) {
  const edit = useEdit();
  const [shown, setShown] = useState(false);
  const selected = useBench((state) => state.selected);
  const copied = useBench((state) => state.copied);
  const as = sameAs(site, selected);
  const related = relatedSlots(site, selected);
  const lookOf = (ref: SlotRef) => ownersOf(site).get(ref.owner)?.look[ref.slot] ?? {};
  const put = (from: SlotRef, level: LevelKey) => {
    const made = copyLook(site, from, level, selected, selected.level, lookOf);
    if (made) edit(made, `Look of ${slotName(site, from)}`);
    setShown(false);
  };
  const link = (to: SlotRef | null) => {
    edit(
      { name: 'set-same-look', args: { owner: selected.owner, slot: selected.slot, as: to } },
      to ? `Same look as ${slotName(site, to)}` : 'A look of its own',
    );
    setShown(false);
  };
  const kind = slotKind(site, selected);
  const item = 'flex h-7 w-full items-center rounded-[2px] px-2 text-left hover:bg-ochre-wash';
  return (
    <Popover.Root open={shown} onOpenChange={setShown}>
      <Popover.Trigger asChild>
        <Button className="!h-6" tone="quiet">
          {as ? `same as ${slotName(site, as)}` : 'Whole look'}{' '}
          <span aria-hidden="true" className="text-ink-faint">
            ▾
          </span>
        </Button>
      </Popover.Trigger>
      <PopoverBox aria-label="Whole look" className="max-h-96 w-72 overflow-auto p-1 text-bench">
        <button
          type="button"
          className={item}
          onClick={() => {
            benchStore.setState({
              copied: { slot: { owner: selected.owner, slot: selected.slot }, level: selected.level },
            });
            setShown(false);
          }}
        >
          Copy this look
        </button>
        {copied &&
          slotKind(site, copied.slot) &&
          !(isSame(copied.slot, selected) && copied.level === selected.level) && (
            <button
              type="button"
              className={item}
              onClick={() => {
                put(copied.slot, copied.level);
              }}
            >
              Put here the look of {slotName(site, copied.slot)}
              {copied.level === 'all' ? '' : `, level ${copied.level}`}
            </button>
          )}
        {kind &&
          kind.levels.length > 1 &&
          selected.level !== 'all' &&
          kind.levels
            .filter((level) => String(level) !== selected.level)
            .map((level) => (
              <button
                key={level}
                type="button"
                className={item}
                onClick={() => {
                  put(selected, String(level) as LevelKey);
                }}
              >
                Put here the look of level {level}
              </button>
            ))}
        {as && (
          <button
            type="button"
            className={item}
            onClick={() => {
              link(null);
            }}
          >
            Go its own way again
          </button>
        )}
        <p className="mt-1 border-t border-linen px-2 pt-1.5 pb-1 text-small text-ink-faint">
          Same as …, and follow it from now on
        </p>
        {related.map((ref) => (
          <button
            key={`${ref.owner} ${ref.slot}`}
            type="button"
            aria-pressed={as !== null && isSame(as, ref)}
            className={`${item} ${as && isSame(as, ref) ? 'font-semibold' : ''}`}
            onClick={() => {
              link(ref);
            }}
          >
            {slotName(site, ref)}
          </button>
        ))}
      </PopoverBox>
    </Popover.Root>
  );
}

interface ReachOption extends Option {
  readonly reach: string;
  readonly extent: Extent;
}

/** How far a change can go: all widths, a band and narrower, one band alone, or all with every exception taken away. */
function reachesOf(site: Site): ReachOption[] {
  const option = (reach: string, extent: Extent, label: string): ReachOption => ({
    value: `${reach} ${extent}`,
    reach,
    extent,
    label,
  });
  const middle = site.bands.slice(1, -1);
  return [
    option('all', 'narrower', 'all widths'),
    ...middle.map((band) => option(band.id, 'narrower', `${band.name} and narrower`)),
    // Nothing is narrower than the last band: what it says is for it alone.
    ...(site.bands.length < 2
      ? []
      : site.bands.map((band, index) =>
          option(band.id, index === site.bands.length - 1 ? 'narrower' : 'alone', `${band.name} alone`),
        )),
    option('all', 'everywhere', 'all widths, exceptions taken away'),
  ];
}

/** Whether a menu's calls to action stay in the bar where the rest of it folds away. */
function StaysInBar({ site }: { readonly site: Site }) {
  const edit = useEdit();
  const owner = useBench((state) => state.selected.owner);
  const kept = keptActions(site, owner);
  if (!kept || kept.bands.length === 0) return null;
  return (
    <Button
      className="!h-6"
      pressed={kept.buttons.length > 0}
      title="Where the menu folds away they stay in the bar, as buttons that say what the links say"
      onClick={() => {
        const made = keepActionsEdit(site, owner);
        if (made) edit(made, 'Calls to action in the bar');
      }}
    >
      stays in the bar
    </Button>
  );
}

/** The styles a call to action can be drawn in. */
function Styles({ site }: { readonly site: Site }) {
  const edit = useEdit();
  return (
    <span role="group" aria-label="Drawn" className="flex items-center gap-1">
      {(Object.keys(ACTION_STYLES) as ActionStyle[]).map((style) => (
        <Button
          key={style}
          className="!h-6"
          title={`Fill, edge and colours of a call to action that is ${style}, at rest and pointed at`}
          onClick={() => {
            edit(styleEdit(site, style), `Call to action: ${style}`);
          }}
        >
          {style}
        </Button>
      ))}
    </span>
  );
}

/** Above the sheet: whose look it is, at which level, how far a change reaches, and a filter that finds any property. */
export function SheetHead({ sheet, site }: { readonly sheet: Sheet; readonly site: Site }) {
  const reach = useBench((state) => state.reach);
  const filter = useBench((state) => state.filter);
  const extent = useBench((state) => state.extent);
  const settingsFolded = useBench((state) => state.settingsFolded);
  const reaches = reachesOf(site);
  const chosen = reaches.find((entry) => entry.reach === reach && entry.extent === extent) ?? reaches[0];
  return (
    <div className="flex min-h-9 shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b border-twine px-3 py-1 text-bench">
      <button
        type="button"
        aria-expanded={!settingsFolded}
        title={settingsFolded ? 'Show what it is: its text, target, levels' : 'Fold the settings away'}
        onClick={() => {
          benchStore.setState({ settingsFolded: !settingsFolded });
        }}
        className="-mx-1 flex h-6 items-center gap-1 rounded-[2px] px-1 text-small text-ink-soft hover:bg-linen"
      >
        <span aria-hidden="true" className={`text-[11px] ${settingsFolded ? '-rotate-90' : ''}`}>
          ▾
        </span>
        settings
      </button>
      <h2 className="font-semibold">{sheet.kind.label}</h2>
      <Wearers site={site} />
      {sheet.kind.isAction && <Styles site={site} />}
      {sheet.kind.isAction && <StaysInBar site={site} />}
      <LookMenu site={site} />
      <input
        type="search"
        aria-label="Find a property"
        placeholder="Find a property"
        value={filter}
        onChange={(event) => {
          benchStore.setState({ filter: event.target.value });
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            event.stopPropagation();
            benchStore.setState({ filter: '' });
          }
        }}
        className="field ml-auto !h-6 w-36 text-bench"
      />
      <span className="text-small text-ink-faint">reach</span>
      <Choice
        label="Reach"
        value={chosen?.value ?? ''}
        options={reaches}
        onChange={(value) => {
          const taken = reaches.find((entry) => entry.value === value);
          if (taken) benchStore.setState({ reach: taken.reach, extent: taken.extent });
        }}
      />
    </div>
  );
}
