import { bandEnd, findPiece, opensOver, type Site, type Spot } from '@hamaca/core';
import { useMemo } from 'react';
import { useFonts } from '../../media/fonts.ts';
import { useStagePage } from '../../stage/output.ts';
import { NOTHING_SELECTED, selectionOf } from '../../stage/selection.ts';
import { Stage } from '../../stage/stage.tsx';
import { useRoom } from '../../ui/use-room.ts';

/** Widest page a finding is shown at where it says no width, in px. */
const USUAL = 1240;

/** How much of the page's height is shown, in px: of a bar and of a panel. */
const HEIGHTS = { bar: 200, panel: 460 } as const;

/** The width a finding is seen at: its own, or one in the band that its cell is said for. */
function widthOf(site: Site, { width, cell }: Spot): number {
  if (width !== undefined) return width;
  const band = site.bands.findIndex(({ id }) => id === cell?.band);
  const end = band === -1 ? null : bandEnd(site, band);
  return end === null
    ? USUAL
    : Math.min(USUAL, Math.max(320, Math.min(end, 390 + (site.bands[band]?.min ?? 0))));
}

/** The place a finding is about, as it is seen: at its width, in its state, over its scene. */
export function Evidence({ site, at }: { readonly site: Site; readonly at: Spot }) {
  const { ref, room } = useRoom();
  const piece = findPiece(site, at.piece);
  const page = useStagePage(site, piece, useFonts(site));
  const elements = page?.compiled.elements;
  const { cell } = at;
  const selection = useMemo(
    () =>
      elements && cell
        ? selectionOf(site, elements, {
            slot: { ...cell, index: 0 },
            opened: null,
            states: cell.state === 'rest' ? [] : [cell.state],
          })
        : NOTHING_SELECTED,
    [site, elements, cell],
  );
  const scene = site.scenes.find(({ id }) => id === at.scene) ?? site.scenes[0];
  const width = widthOf(site, at);
  const scale = Math.min(1, Math.max(0.2, room.width / width));
  const states = cell && cell.state !== 'rest' ? `, ${cell.state}` : '';
  return (
    <div ref={ref} className="col-span-2 grid justify-items-center gap-1 bg-surround p-2">
      <span className="justify-self-start rounded-[2px] bg-ink px-1.5 text-small text-white tabular">
        {width} px{states}
        {scene ? ` · over: ${scene.name.toLowerCase()}` : ''}
      </span>
      {page && scene && piece && room.width > 0 && (
        <Stage
          site={site}
          page={page}
          scene={scene}
          width={width}
          height={opensOver(piece) ? HEIGHTS.panel : HEIGHTS.bar}
          scale={scale}
          label="The place"
          {...selection}
        />
      )}
    </div>
  );
}
