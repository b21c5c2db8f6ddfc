import { findPlaced, ownersOf, sectionsOf, type PartPlace, type Piece } from '@hamaca/core';
import { memo, useEffect, useRef, type RefObject } from 'react';
import { isTyped, toggleBranch, typeIntoCell, unfoldBranches, useBench } from '../../../store/bench-store.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { Line, OutlineRow, useFolded } from './line.tsx';
import { OutlineSite, useOutlineSite } from './outline-site.tsx';
import { usePartDrops } from './part-drag.ts';
import { SectionLines } from './section-lines.tsx';
import { slotLines } from './slot-lines.ts';
import { useOutlineKeys } from './use-outline-keys.ts';

const PieceLines = memo(function PieceLines({ id }: { readonly id: string }) {
  const site = useOutlineSite();
  const owner = ownersOf(site).get(id);
  return (
    <>
      {owner && slotLines(site, owner).map((line) => <Line key={line.slot} line={line} depth={0} />)}
      {sectionsOf(site)
        .filter((placed) => placed.piece.id === id)
        .map((placed) => (
          <SectionLines key={placed.section.id} placed={placed} />
        ))}
    </>
  );
});

/** A panel that can be opened from the piece, folded to its name or with all its lines. */
function PanelLines({ panel }: { readonly panel: Piece }) {
  const isFolded = useFolded(panel.id);
  const label = `panel ${panel.name}`;
  return (
    <div role="rowgroup" aria-label={`Panel ${panel.name}`} className="mt-1 border-t border-twine">
      <OutlineRow depth={0} folded={isFolded} className="border-l-[3px] border-transparent text-ink-faint">
        <div role="gridcell" className="flex h-6 min-w-0 grow">
          <button
            type="button"
            data-line=""
            data-fold={panel.id}
            onClick={() => {
              toggleBranch(panel.id);
            }}
            className="flex min-w-0 grow items-center text-small hover:text-ink"
          >
            <span
              aria-hidden="true"
              className={`-ml-[3px] grid size-6 shrink-0 place-items-center text-[11px] ${isFolded ? '-rotate-90' : ''}`}
            >
              ▾
            </span>
            <span className="truncate">{label}</span>
          </button>
        </div>
      </OutlineRow>
      {!isFolded && <PieceLines id={panel.id} />}
    </div>
  );
}

/** What is selected, wherever that was done, has its line in sight: its branch unfolded, the list scrolled. */
function useSelectedInSight(grid: RefObject<HTMLElement | null>): void {
  const site = useOutlineSite();
  const { owner, slot, level } = useBench((state) => state.selected);
  const before = useRef('');
  useEffect(() => {
    // What the bench selects by itself as it opens unfolds nothing.
    const isChosen = before.current !== '';
    before.current = owner;
    if (!isChosen) return undefined;
    const piece = ownersOf(site).get(owner)?.piece.id ?? owner;
    unfoldBranches([owner, piece, findPlaced(site, owner)?.region.section.id ?? owner]);
    // What was unfolded stands with the next frame.
    const id = requestAnimationFrame(() => {
      grid.current?.querySelector('[aria-current="true"]')?.scrollIntoView({ block: 'nearest' });
    });
    return () => {
      cancelAnimationFrame(id);
    };
  }, [owner, slot, level, grid]);
}

function Lines({ pieces }: { readonly pieces: readonly Piece[] }) {
  const edit = useEdit();
  const grid = useRef<HTMLDivElement>(null);
  const onKeyDown = useOutlineKeys(grid);
  usePartDrops(grid, (id: string, place: PartPlace) => {
    edit({ name: 'move-part', args: { id, place } }, 'Move a part');
  });
  useSelectedInSight(grid);
  const [first, ...panels] = pieces;
  return (
    <div
      ref={grid}
      role="treegrid"
      aria-label={`Parts of ${first?.name ?? 'nothing'}`}
      onKeyDown={(event) => {
        onKeyDown(event);
        if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || !isTyped(event.key))
          return;
        event.preventDefault();
        typeIntoCell(event.key);
      }}
      className="h-full overflow-auto py-1"
    >
      {first && (
        <div role="rowgroup" aria-label={first.name}>
          <PieceLines id={first.id} />
        </div>
      )}
      {panels.map((panel) => (
        <PanelLines key={panel.id} panel={panel} />
      ))}
    </div>
  );
}

/** The structure of pieces, with everything that can be styled in them; parts are added, moved and removed here. */
export function PartsOutline({ pieces }: { readonly pieces: readonly Piece[] }) {
  return (
    <OutlineSite>
      <nav aria-label="Parts" className="h-full">
        <Lines pieces={pieces} />
      </nav>
    </OutlineSite>
  );
}
