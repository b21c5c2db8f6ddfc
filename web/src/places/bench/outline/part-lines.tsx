import {
  arrivingAt,
  firstSlot,
  foldOf,
  idsOf,
  kindLabel,
  ownersOf,
  partKindById,
  uniqueName,
  type Part,
  type Site,
} from '@hamaca/core';
import { useRef, type KeyboardEvent } from 'react';
import { selectMade } from '../../../store/bench-store.ts';
import { useEdit, useSiteStore } from '../../../store/open-site.tsx';
import { Actions } from '../../../ui/actions.tsx';
import { Line, useFolded } from './line.tsx';
import { useOutlineSite } from './outline-site.tsx';
import { useDraggedPart } from './part-drag.ts';
import { stepPlace } from './part-moves.ts';
import { takeBack } from '../single-link.ts';
import { slotLines, type SlotLine } from './slot-lines.ts';

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
    ? `from ${site.bands[fold.band]?.name ?? ''} down ${fold.to ? `in panel ${fold.to.piece.name}` : 'left out'}`
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
    duplicate: () => {
      const copy = uniqueName(part.kind, idsOf(site));
      if (edit({ name: 'duplicate-part', args: { id: part.id, copy } }, `Duplicate: ${name}`))
        selectMade(copy, firstSlot(part.kind));
    },
    remove: () => {
      edit({ name: 'remove-part', args: { id: part.id } }, `Remove: ${name}`);
    },
  };
}

/** A part with its slots beneath it; its line can be dragged and moved by keys. */
export function PartLines({ part, place }: { readonly part: Part; readonly place: string }) {
  const site = useOutlineSite();
  const store = useSiteStore();
  const { move, duplicate, remove } = usePartEdits(part);
  const grip = useRef<HTMLSpanElement>(null);
  const row = useRef<HTMLDivElement>(null);
  const isDragged = useDraggedPart(part.id, row, grip);
  const isFolded = useFolded(part.id);
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
  const takesBack = (item: string) => (event: KeyboardEvent) => {
    if (event.key !== 'Delete' && event.key !== 'Backspace') return;
    event.preventDefault();
    event.stopPropagation();
    const { site: now } = store.getState();
    if (now) store.edit(takeBack(now, part.id, [item]), 'Take back the look of one link');
  };
  const head: SlotLine = {
    owner: part.id,
    slot: first?.slot ?? '',
    level: first?.level ?? null,
    label: name,
  };
  return (
    <div role="presentation" data-part={part.id} data-drop={place} className={isDragged ? 'opacity-50' : ''}>
      <Line
        ref={row}
        line={head}
        depth={2}
        {...(below.length > 0 ? { branch: part.id } : {})}
        onKeyDown={onKeyDown}
      >
        {sign !== null && (
          <span title={sign} className="shrink-0 px-1 text-small font-normal text-ink-faint">
            ◐
          </span>
        )}
        <span
          aria-hidden="true"
          title="Drag to another place"
          ref={grip}
          className="grid h-6 w-4 shrink-0 cursor-grab place-items-center text-ink-faint opacity-0 select-none group-focus-within:opacity-100 group-hover:opacity-100"
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
      {!isFolded &&
        below.map((line) => (
          <Line
            key={`${line.slot} ${line.level} ${line.item}`}
            line={line}
            depth={line.item === undefined ? 3 : 4}
            {...(line.item === undefined ? {} : { onKeyDown: takesBack(line.item) })}
          />
        ))}
    </div>
  );
}
