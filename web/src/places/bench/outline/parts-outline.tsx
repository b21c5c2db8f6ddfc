import {
  arrivingAt,
  createBlock,
  createRow,
  foldOf,
  idsOf,
  kindLabel,
  ownersOf,
  partKindById,
  sectionsOf,
  slotsOf,
  uniqueName,
  type Part,
  type PartKindId,
  type PartPlace,
  type Piece,
  type PlacedSection,
  type Region,
  type Section,
  type Site,
} from '@hamaca/core';
import { DropdownMenu } from 'radix-ui';
import { memo, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { selectSlot, useBench } from '../../../store/bench-store.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { useDrag } from '../use-drag.ts';
import { makeNewPart, newParts } from './part-kinds.ts';
import { OutlineSite, useOutlineSite } from './outline-site.tsx';
import { stepPlace } from './part-moves.ts';
import { slotLines, type SlotLine } from './slot-lines.ts';

const Line = memo(function Line({
  line,
  depth,
  children,
  onKeyDown,
}: {
  readonly line: SlotLine;
  readonly depth: number;
  readonly children?: ReactNode;
  readonly onKeyDown?: (event: KeyboardEvent) => void;
}) {
  const current = useBench(
    ({ selected }) =>
      selected.owner === line.owner &&
      selected.slot === line.slot &&
      (line.level === null || selected.level === String(line.level) || selected.level === 'all'),
  );
  return (
    <div
      className={`group flex h-[26px] items-center border-l-[3px] ${current ? 'border-ochre bg-ochre-wash font-semibold' : 'border-transparent hover:bg-linen'}`}
    >
      <button
        type="button"
        aria-current={current ? 'true' : undefined}
        onClick={() => {
          selectSlot(line.owner, line.slot, line.level);
        }}
        onKeyDown={onKeyDown}
        style={{ paddingInlineStart: 10 + depth * 12 }}
        className="h-full min-w-0 grow truncate text-left text-bench"
      >
        {line.label}
      </button>
      {children}
    </div>
  );
});

const item =
  'flex h-7 items-center rounded-[2px] px-2 text-bench outline-none select-none data-highlighted:bg-ochre-wash data-disabled:opacity-45';
const menu = 'z-50 min-w-44 rounded-[3px] border border-rope bg-white p-1';

/** One thing that can be done from a line's small menu. */
interface LineAction {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly disabled?: boolean;
  readonly run: () => void;
}

/** A small menu behind a sign at the end of a line; what is in it is asked for when it is opened. */
function Actions({
  label,
  sign,
  actions,
}: {
  readonly label: string;
  readonly sign: string;
  readonly actions: () => readonly LineAction[];
}) {
  const [open, setOpen] = useState(false);
  const trigger =
    'mr-1 grid h-6 min-w-6 shrink-0 place-items-center rounded-[2px] text-small text-ink-soft hover:bg-white data-[state=open]:bg-white';
  return (
    <DropdownMenu.Root open={open} onOpenChange={setOpen}>
      <DropdownMenu.Trigger aria-label={label} title={label} className={trigger}>
        {sign}
      </DropdownMenu.Trigger>
      {open && (
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="start" sideOffset={2} className={menu}>
            {actions().map((action) => (
              <DropdownMenu.Item
                key={action.label}
                disabled={action.disabled === true}
                title={action.hint}
                className={item}
                onSelect={action.run}
              >
                {action.label}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      )}
    </DropdownMenu.Root>
  );
}

const firstSlot = (kind: PartKindId) => Object.keys(slotsOf(kind))[0] ?? '';

function useAddPart() {
  const site = useOutlineSite();
  const edit = useEdit();
  return async (kind: PartKindId, place: PartPlace) => {
    const { part, icons } = await makeNewPart(site, kind);
    if (edit({ name: 'add-part', args: { place, part, icons } }, `Add: ${kindLabel(kind)}`))
      selectSlot(part.id, firstSlot(kind), null);
  };
}

/** The head of a region, with what can be added to it. */
function RegionHead({ region }: { readonly region: Region }) {
  const site = useOutlineSite();
  const add = useAddPart();
  const index = region.parts.length;
  const named =
    region.name === 'parts' ? region.section.name : `the ${region.name} of ${region.section.name}`;
  return (
    <div
      data-drop={`${region.id} ${index}`}
      className="flex h-6 items-end pl-[13px] text-small text-ink-faint"
    >
      <span className="pb-0.5">
        {region.name}
        {index === 0 ? ', empty' : ''}
      </span>
      <span className="ml-auto">
        <Actions
          label={`Add a part at ${named}`}
          sign="+"
          actions={() =>
            newParts(site, region).map(({ kind, label, hint, refused }) => ({
              label,
              hint: refused ?? hint,
              disabled: refused !== null,
              run: () => {
                void add(kind, { region: region.id, index });
              },
            }))
          }
        />
      </span>
    </div>
  );
}

const partName = (part: Part): string =>
  partKindById(part.kind).name?.(part as never) ?? kindLabel(part.kind);

/** What a part is called in the outline; a berth by what arrives there. */
function outlineName(site: Site, part: Part): string {
  if (part.kind !== 'berth') return partName(part);
  const arriving = arrivingAt(site, part.id).map(partName);
  return arriving.length === 0 ? 'Berth, nothing folds here' : `↳ ${arriving.join(', ')}`;
}

/** Signs of a part that does not stand in its place at every width. */
function partSign(site: Site, part: Part): string | null {
  const bandName = (id: string) => site.bands.find((band) => band.id === id)?.name ?? id;
  const fold = foldOf(site, part.id);
  const folds = fold
    ? `from ${bandName(part.folds?.from ?? '')} down ${fold.to ? `in panel ${fold.to.piece.name}` : 'left out'}`
    : null;
  const shown = part.bands ? `shown in ${part.bands.map(bandName).join(', ')} only` : null;
  return [shown, folds].filter((text) => text !== null).join('; ') || null;
}

function usePartEdits(part: Part) {
  const site = useOutlineSite();
  const edit = useEdit();
  const name = partName(part);
  return {
    move: (step: 'before' | 'after') => {
      const place = stepPlace(site, part.id, step);
      if (!place || !edit({ name: 'move-part', args: { id: part.id, place } }, `Move: ${name}`)) return;
      // The line stands in another list now; whoever moved it goes on from there.
      requestAnimationFrame(() => {
        document.querySelector<HTMLElement>(`[data-part="${part.id}"] button`)?.focus();
      });
    },
    moveTo: (place: PartPlace) => {
      edit({ name: 'move-part', args: { id: part.id, place } }, `Move: ${name}`);
    },
    duplicate: () => {
      const copy = uniqueName(part.kind, idsOf(site));
      if (edit({ name: 'duplicate-part', args: { id: part.id, copy } }, `Duplicate: ${name}`))
        selectSlot(copy, firstSlot(part.kind), null);
    },
    remove: () => {
      edit({ name: 'remove-part', args: { id: part.id } }, `Remove: ${name}`);
    },
  };
}

/** Reads where a line was let go: above the upper half of a part, below its lower one, or at a region's end. */
function dropFrom(event: { clientX: number; clientY: number }): PartPlace | null {
  const target = document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-drop]');
  const [region, index] = target?.dataset['drop']?.split(' ') ?? [];
  if (!target || region === undefined) return null;
  const { top, height } = target.getBoundingClientRect();
  const after = target.dataset['part'] !== undefined && event.clientY > top + height / 2;
  return { region, index: Number(index) + (after ? 1 : 0) };
}

/** Draws the line where a dragged part would go. */
function markDrop(place: PartPlace | null): void {
  for (const marked of document.querySelectorAll('[data-dropping]')) marked.removeAttribute('data-dropping');
  if (!place) return;
  const own = document.querySelector(`[data-drop="${place.region} ${place.index}"]`);
  const before = document.querySelector(`[data-drop="${place.region} ${place.index - 1}"]`);
  if (own) own.setAttribute('data-dropping', 'before');
  else before?.setAttribute('data-dropping', 'after');
}

/** A drag of a part's line to another place in the outline. */
function useLineDrag(moveTo: (place: PartPlace) => void) {
  const [dragged, setDragged] = useState(false);
  const drop = useRef<PartPlace | null>(null);
  const start = useRef(0);
  const end = () => {
    setDragged(false);
    markDrop(null);
  };
  const drag = useDrag({
    onMove: (event) => {
      if (Math.abs(event.clientY - start.current) > 4) setDragged(true);
      drop.current = dropFrom(event);
      markDrop(drop.current);
    },
    onEnd: () => {
      if (dragged && drop.current) moveTo(drop.current);
      end();
    },
    onCancel: end,
  });
  const grip = {
    ...drag,
    onPointerDown: (event: Parameters<typeof drag.onPointerDown>[0]) => {
      start.current = event.clientY;
      drag.onPointerDown(event);
    },
  };
  return { dragged, grip };
}

function PartLines({ part, place }: { readonly part: Part; readonly place: string }) {
  const site = useOutlineSite();
  const { move, moveTo, duplicate, remove } = usePartEdits(part);
  const { dragged, grip } = useLineDrag(moveTo);
  const owner = ownersOf(site).get(part.id);
  const lines = owner ? slotLines(site, owner) : [];
  const [first, ...others] = lines;
  const below = part.kind === 'menu' ? lines : others;
  const name = outlineName(site, part);
  const sign = partSign(site, part);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown'))
      move(event.key === 'ArrowUp' ? 'before' : 'after');
    else if (event.key === 'Delete' || event.key === 'Backspace') remove();
    else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd') duplicate();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const head: SlotLine = {
    owner: part.id,
    slot: first?.slot ?? '',
    level: first?.level ?? null,
    label: name,
  };
  return (
    <li data-part={part.id} data-drop={place} className={dragged ? 'opacity-50' : ''}>
      <Line line={head} depth={1} onKeyDown={onKeyDown}>
        {sign !== null && (
          <span title={sign} className="shrink-0 px-1 text-small font-normal text-ink-faint">
            ◐
          </span>
        )}
        <span
          aria-hidden="true"
          title="Drag to another place"
          {...grip}
          className="hidden h-6 w-5 shrink-0 cursor-grab touch-none place-items-center text-ink-faint select-none group-hover:grid"
        >
          ⠿
        </span>
        <Actions
          label={`More about ${name}`}
          sign="⋯"
          actions={() => [
            {
              label: 'Move towards the start',
              run: () => {
                move('before');
              },
            },
            {
              label: 'Move towards the end',
              run: () => {
                move('after');
              },
            },
            { label: 'Duplicate', run: duplicate },
            { label: 'Remove', run: remove },
          ]}
        />
      </Line>
      {below.length > 0 && (
        <ul>
          {below.map((line) => (
            <li key={line.label}>
              <Line line={line} depth={2} />
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

/** A new section beside another one of its kind. */
function newSection(placed: PlacedSection, id: string, above: boolean): Section {
  if (placed.kind === 'block') return createBlock(id, above ? 'Above' : 'Beneath');
  return {
    ...createRow(id, above ? 'Top' : 'Beneath'),
    look: { row: { all: { rest: { all: { height: 36 } } } } },
  };
}

function useSectionActions(placed: PlacedSection): () => readonly LineAction[] {
  const site = useOutlineSite();
  const edit = useEdit();
  const { section, kind, piece } = placed;
  const siblings = sectionsOf(site).filter((other) => other.piece === piece);
  const index = siblings.findIndex((other) => other.section.id === section.id);
  const word = kindLabel(kind).toLowerCase();
  const add = (above: boolean) => {
    const id = uniqueName(kind, idsOf(site));
    const args = {
      piece: piece.id,
      index: above ? index : index + 1,
      section: newSection(placed, id, above),
    };
    if (edit({ name: 'add-section', args }, `Add a ${word}`)) selectSlot(id, kind, null);
  };
  const move = (to: number) => {
    edit({ name: 'move-section', args: { id: section.id, index: to } }, `Move ${word} ${section.name}`);
  };
  return () => [
    {
      label: `Add a ${word} above`,
      run: () => {
        add(true);
      },
    },
    {
      label: `Add a ${word} beneath`,
      run: () => {
        add(false);
      },
    },
    {
      label: 'Move up',
      disabled: index === 0,
      run: () => {
        move(index - 1);
      },
    },
    {
      label: 'Move down',
      disabled: index === siblings.length - 1,
      run: () => {
        move(index + 1);
      },
    },
    {
      label: 'Duplicate',
      run: () => {
        const copy = uniqueName(section.id, idsOf(site));
        edit(
          { name: 'duplicate-section', args: { id: section.id, copy } },
          `Duplicate ${word} ${section.name}`,
        );
      },
    },
    {
      label: 'Remove with all in it',
      disabled: siblings.length === 1,
      run: () => {
        edit({ name: 'remove-section', args: { id: section.id } }, `Remove ${word} ${section.name}`);
      },
    },
  ];
}

function SectionLines({ placed }: { readonly placed: PlacedSection }) {
  const site = useOutlineSite();
  const { section, kind, regions } = placed;
  const actions = useSectionActions(placed);
  const label = `${kindLabel(kind)} ${section.name}`;
  const owner = ownersOf(site).get(section.id);
  const [line] = owner ? slotLines(site, owner) : [];
  return (
    <li>
      {line && (
        <Line line={{ ...line, label }} depth={0}>
          <Actions label={`More about ${label.toLowerCase()}`} sign="⋯" actions={actions} />
        </Line>
      )}
      <ul>
        {regions.map((region) => (
          <li key={region.id}>
            <RegionHead region={region} />
            <ul>
              {region.parts.map((part, index) => (
                <PartLines key={part.id} part={part} place={`${region.id} ${index}`} />
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </li>
  );
}

const PieceLines = memo(function PieceLines({ id }: { readonly id: string }) {
  const site = useOutlineSite();
  const owner = ownersOf(site).get(id);
  return (
    <ul>
      {owner &&
        slotLines(site, owner).map((line) => (
          <li key={line.slot}>
            <Line line={line} depth={0} />
          </li>
        ))}
      {sectionsOf(site)
        .filter((placed) => placed.piece.id === id)
        .map((placed) => (
          <SectionLines key={placed.section.id} placed={placed} />
        ))}
    </ul>
  );
});

/** The structure of pieces, with everything that can be styled in them; parts are added, moved and removed here. */
export function PartsOutline({ pieces }: { readonly pieces: readonly Piece[] }) {
  const [first, ...panels] = pieces;
  return (
    <OutlineSite>
      <nav aria-label="Parts" className="h-full overflow-auto py-1">
        {first && <PieceLines id={first.id} />}
        {panels.map((panel) => (
          <section key={panel.id} aria-label={`Panel ${panel.name}`}>
            <h3 className="mt-1 flex h-6 items-end border-t border-twine pb-0.5 pl-[13px] text-small font-normal text-ink-faint">
              panel {panel.name}
            </h3>
            <PieceLines id={panel.id} />
          </section>
        ))}
      </nav>
    </OutlineSite>
  );
}
