import {
  createRow,
  idsOf,
  levelCount,
  PART_LABELS,
  slotsOf,
  uniqueName,
  wearsSlot,
  ZONES,
  type Header,
  type OwnerKind,
  type Panel,
  type Part,
  type PartKindName,
  type PartPlace,
  type Row,
  type Zone,
} from '@hamaca/core';
import { DropdownMenu } from 'radix-ui';
import { useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useEdit, useSite } from '../../../store/open-site.tsx';
import { selectSlot, useBench } from '../bench-state.ts';
import { createPart, NEW_PARTS, refusePart } from './part-kinds.ts';
import { stepPlace } from './part-moves.ts';
import { useDrag } from '../use-drag.ts';

interface SlotLine {
  readonly owner: string;
  readonly slot: string;
  readonly level: 1 | 2 | 3 | null;
  readonly label: string;
}

/** The slots of an owner as lines; a link has one for each level the menu shows. */
function slotLines(
  owner: string,
  kind: OwnerKind,
  levels: number,
  isShown: (slot: string) => boolean = () => true,
): SlotLine[] {
  return Object.entries(slotsOf(kind))
    .filter(([slot]) => isShown(slot))
    .flatMap(([slot, entry]): SlotLine[] => {
      if (entry.levels.length < 2)
        return entry.levels.some((level) => level > levels)
          ? []
          : [{ owner, slot, level: entry.levels[0] ?? null, label: entry.label }];
      return entry.levels
        .filter((level) => level <= levels)
        .map((level) => ({ owner, slot, level, label: `${entry.label}, level ${level}` }));
    });
}

function Line({
  line,
  depth,
  children,
  ...rest
}: {
  readonly line: SlotLine;
  readonly depth: number;
  readonly children?: ReactNode;
  readonly onKeyDown?: (event: KeyboardEvent) => void;
}) {
  const selected = useBench((state) => state.selected);
  const current =
    selected.owner === line.owner &&
    selected.slot === line.slot &&
    (line.level === null || selected.level === String(line.level) || selected.level === 'all');
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
        {...rest}
        style={{ paddingInlineStart: 10 + depth * 12 }}
        className="h-full min-w-0 grow truncate text-left text-bench"
      >
        {line.label}
      </button>
      {children}
    </div>
  );
}

const item =
  'flex h-7 items-center rounded-[2px] px-2 text-bench outline-none select-none data-highlighted:bg-ochre-wash data-disabled:opacity-45';
const menu = 'z-50 min-w-44 rounded-[3px] border border-rope bg-white p-1';

/** A small menu behind a sign at the end of a line. */
function Actions({
  label,
  sign,
  children,
}: {
  readonly label: string;
  readonly sign: string;
  readonly children: ReactNode;
}) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={label}
        title={label}
        className="mr-1 grid h-6 min-w-6 shrink-0 place-items-center rounded-[2px] text-small text-ink-soft hover:bg-white data-[state=open]:bg-white"
      >
        {sign}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" sideOffset={2} className={menu}>
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function useAddPart() {
  const site = useSite();
  const edit = useEdit();
  return async (kind: PartKindName, place: PartPlace) => {
    const { part, icons } = await createPart(site, kind);
    if (edit({ name: 'add-part', args: { place, part, icons } }, `Add: ${PART_LABELS[kind]}`))
      selectSlot(part.id, Object.keys(slotsOf(kind))[0] ?? '', null);
  };
}

function ZoneHead({ row, zone }: { readonly row: Row; readonly zone: Zone }) {
  const site = useSite();
  const add = useAddPart();
  const index = row.zones[zone].length;
  return (
    <div
      data-drop={`${row.id} ${zone} ${index}`}
      className="flex h-6 items-end pl-[13px] text-small text-ink-faint"
    >
      <span className="pb-0.5">
        {zone}
        {index === 0 ? ', empty' : ''}
      </span>
      <span className="ml-auto">
        <Actions label={`Add a part at the ${zone} of ${row.name}`} sign="+">
          {NEW_PARTS.map(({ kind, label }) => {
            const refused = refusePart(site, kind);
            return (
              <DropdownMenu.Item
                key={kind}
                disabled={refused !== null}
                title={refused ?? undefined}
                className={item}
                onSelect={() => {
                  void add(kind, { row: row.id, zone, index });
                }}
              >
                {label}
              </DropdownMenu.Item>
            );
          })}
        </Actions>
      </span>
    </div>
  );
}

const partName = (part: Part) =>
  part.kind === 'menu'
    ? `Menu ${part.name}`
    : part.kind === 'text'
      ? `Text “${part.entries[0]?.text ?? ''}”`
      : PART_LABELS[part.kind];

function usePartEdits(header: Header, part: Part) {
  const site = useSite();
  const edit = useEdit();
  const name = partName(part);
  return {
    move: (step: 'before' | 'after') => {
      const place = stepPlace(site, header, part.id, step);
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
        selectSlot(copy, Object.keys(slotsOf(part.kind))[0] ?? '', null);
    },
    remove: () => {
      edit({ name: 'remove-part', args: { id: part.id } }, `Remove: ${name}`);
    },
  };
}

/** Reads where a line was let go: above the upper half of a part, below its lower one, or at a zone's end. */
function dropFrom(event: { clientX: number; clientY: number }): PartPlace | null {
  const target = document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-drop]');
  const [row, zone, index] = target?.dataset['drop']?.split(' ') ?? [];
  if (!target || row === undefined || zone === undefined) return null;
  const { top, height } = target.getBoundingClientRect();
  const after = target.dataset['part'] !== undefined && event.clientY > top + height / 2;
  return { row, zone: zone as Zone, index: Number(index) + (after ? 1 : 0) };
}

function PartLines({
  header,
  part,
  place,
}: {
  readonly header: Header;
  readonly part: Part;
  readonly place: string;
}) {
  const site = useSite();
  const { move, moveTo, duplicate, remove } = usePartEdits(header, part);
  const [dragged, setDragged] = useState(false);
  const drop = useRef<PartPlace | null>(null);
  const start = useRef(0);
  const drag = useDrag({
    onMove: (event) => {
      if (Math.abs(event.clientY - start.current) > 4) setDragged(true);
      drop.current = dropFrom(event);
      markDrop(drop.current);
    },
    onEnd: () => {
      if (dragged && drop.current) moveTo(drop.current);
      setDragged(false);
      markDrop(null);
    },
    onCancel: () => {
      setDragged(false);
      markDrop(null);
    },
  });
  const lines = slotLines(part.id, part.kind, part.kind === 'menu' ? levelCount(part.levels) : 3, (slot) =>
    wearsSlot(site, part, slot),
  );
  const [first, ...others] = lines;
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown'))
      move(event.key === 'ArrowUp' ? 'before' : 'after');
    else if (event.key === 'Delete' || event.key === 'Backspace') remove();
    else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd') duplicate();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  if (!first) return null;
  return (
    <li data-part={part.id} data-drop={place} className={dragged ? 'opacity-50' : ''}>
      <Line line={{ ...first, label: partName(part) }} depth={1} onKeyDown={onKeyDown}>
        {part.bands && (
          <span
            title={`shown in ${part.bands.map((id) => site.bands.find((band) => band.id === id)?.name ?? id).join(', ')} only`}
            className="shrink-0 px-1 text-small font-normal text-ink-faint"
          >
            ◐
          </span>
        )}
        <span
          aria-hidden="true"
          title="Drag to another place"
          {...drag}
          onPointerDown={(event) => {
            start.current = event.clientY;
            drag.onPointerDown(event);
          }}
          className="hidden h-6 w-5 shrink-0 cursor-grab touch-none place-items-center text-ink-faint select-none group-hover:grid"
        >
          ⠿
        </span>
        <Actions label={`More about ${partName(part)}`} sign="⋯">
          <DropdownMenu.Item
            className={item}
            onSelect={() => {
              move('before');
            }}
          >
            Move towards the start
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={item}
            onSelect={() => {
              move('after');
            }}
          >
            Move towards the end
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} onSelect={duplicate}>
            Duplicate
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} onSelect={remove}>
            Remove
          </DropdownMenu.Item>
        </Actions>
      </Line>
      {(part.kind === 'menu' ? lines : others).length > 0 && (
        <ul>
          {(part.kind === 'menu' ? lines : others).map((line) => (
            <li key={line.label}>
              <Line line={line} depth={2} />
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

/** Draws the line where a dragged part would go. */
function markDrop(place: PartPlace | null): void {
  for (const marked of document.querySelectorAll('[data-dropping]')) marked.removeAttribute('data-dropping');
  if (!place || !('row' in place)) return;
  const own = document.querySelector(`[data-drop="${place.row} ${place.zone} ${place.index}"]`);
  const before = document.querySelector(`[data-drop="${place.row} ${place.zone} ${place.index - 1}"]`);
  if (own) own.setAttribute('data-dropping', 'before');
  else before?.setAttribute('data-dropping', 'after');
}

function RowLines({ header, row }: { readonly header: Header; readonly row: Row }) {
  const site = useSite();
  const edit = useEdit();
  const index = header.rows.indexOf(row);
  const move = (to: number) => {
    edit({ name: 'move-row', args: { id: row.id, index: to } }, `Move row ${row.name}`);
  };
  const add = (at: number) => {
    const id = uniqueName('row', idsOf(site));
    const look = { row: { all: { rest: { all: { height: 36 } } } } } as const;
    if (
      edit(
        {
          name: 'add-row',
          args: {
            piece: header.id,
            index: at,
            row: { ...createRow(id, at === 0 ? 'Top' : 'Beneath'), look },
          },
        },
        'Add a row',
      )
    )
      selectSlot(id, 'row', null);
  };
  return (
    <li>
      <Line line={{ owner: row.id, slot: 'row', level: null, label: `Row ${row.name}` }} depth={0}>
        <Actions label={`More about row ${row.name}`} sign="⋯">
          <DropdownMenu.Item
            className={item}
            onSelect={() => {
              add(index);
            }}
          >
            Add a row above
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={item}
            onSelect={() => {
              add(index + 1);
            }}
          >
            Add a row beneath
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={item}
            disabled={index === 0}
            onSelect={() => {
              move(index - 1);
            }}
          >
            Move up
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={item}
            disabled={index === header.rows.length - 1}
            onSelect={() => {
              move(index + 1);
            }}
          >
            Move down
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={item}
            disabled={header.rows.length === 1}
            onSelect={() => {
              edit({ name: 'remove-row', args: { id: row.id } }, `Remove row ${row.name}`);
            }}
          >
            Remove with all in it
          </DropdownMenu.Item>
        </Actions>
      </Line>
      <ul>
        {ZONES.map((zone) => (
          <li key={zone}>
            <ZoneHead row={row} zone={zone} />
            <ul>
              {row.zones[zone].map((part, place) => (
                <PartLines key={part.id} header={header} part={part} place={`${row.id} ${zone} ${place}`} />
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </li>
  );
}

/** The structure of the header, with everything that can be styled in it; parts are added, moved and removed here. */
export function PartsOutline({ header, panel }: { readonly header: Header; readonly panel: Panel | null }) {
  const site = useSite();
  return (
    <nav aria-label="Parts" className="h-full overflow-auto py-1">
      <ul>
        {slotLines(header.id, 'header', 3).map((line) => (
          <li key={line.slot}>
            <Line line={line} depth={0} />
          </li>
        ))}
        {header.rows.map((row) => (
          <RowLines key={row.id} header={header} row={row} />
        ))}
        {panel && (
          <li>
            <p className="flex h-6 items-end pb-0.5 pl-[13px] text-small text-ink-faint">
              {panel.name === 'Menu' ? 'Panel' : `Panel ${panel.name}`}
            </p>
            <ul>
              {slotLines(panel.id, 'panel', 3).map((line) => (
                <li key={line.slot}>
                  <Line line={line} depth={1} />
                </li>
              ))}
              {panel.parts.map((part) => (
                <li key={part.id}>
                  <p className="flex h-6 items-end pb-0.5 pl-[25px] text-small text-ink-faint">{`Menu ${part.name}`}</p>
                  <ul>
                    {slotLines(part.id, 'menu', levelCount(part.levels), (slot) =>
                      wearsSlot(site, part, slot),
                    ).map((line) => (
                      <li key={line.label}>
                        <Line line={line} depth={2} />
                      </li>
                    ))}
                  </ul>
                </li>
              ))}
            </ul>
          </li>
        )}
      </ul>
    </nav>
  );
}
