import { ownersOf, sectionsOf, type PartPlace, type Piece } from '@hamaca/core';
import { memo, useRef } from 'react';
import { toggleBranch } from '../../../store/bench-store.ts';
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

function Lines({ pieces }: { readonly pieces: readonly Piece[] }) {
  const edit = useEdit();
  const grid = useRef<HTMLDivElement>(null);
  const onKeyDown = useOutlineKeys(grid);
  usePartDrops(grid, (id: string, place: PartPlace) => {
    edit({ name: 'move-part', args: { id, place } }, 'Move a part');
  });
  const [first, ...panels] = pieces;
  return (
    <div
      ref={grid}
      role="treegrid"
      aria-label={`Parts of ${first?.name ?? 'nothing'}`}
      onKeyDown={onKeyDown}
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
