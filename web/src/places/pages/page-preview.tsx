import { pieceKind, piecesOn, type Page, type Site } from '@hamaca/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useFonts } from '../../media/fonts.ts';
import { useStagePage } from '../../stage/output.ts';
import { Stage } from '../../stage/stage.tsx';
import { useRoom } from '../../ui/use-room.ts';
import { useSiteState } from '../../store/open-site.tsx';

const WIDE = { width: 1240, height: 760 } as const;
const NARROW = { width: 390, height: 760, scale: 0.4 } as const;

/** The wide page is drawn as large as there is room, and no larger than is looked at beside a table. */
const LARGEST = 0.4;

/** A page with all its pieces, wide and narrow. */
export function PagePreview({ site, page }: { readonly site: Site; readonly page: Page }) {
  const id = useSiteState((state) => state.id);
  const pieces = piecesOn(site, page);
  const besides = useMemo(() => ({ page: page.id }), [page.id]);
  const shown = useStagePage(site, pieces[0] ?? null, useFonts(site), besides);
  const { ref, room } = useRoom();
  const scene = site.scenes.at(-1);
  // What stands at its end is in sight too.
  const isEnded = pieces.some((piece) => pieceKind(piece).stands === 'end');
  const whole = useMemo(() => shown && { ...shown, atEnd: false, isLow: isEnded }, [shown, isEnded]);
  return (
    <section
      aria-label={`The page ${page.path}`}
      className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-3 p-4"
    >
      <h2 className="flex items-baseline gap-3 text-bench">
        <span className="truncate font-semibold tabular">{page.path}</span>
        <span className="truncate text-ink-faint">{page.title}</span>
        <Link className="ml-auto shrink-0 underline underline-offset-2" to={`/sites/${id}/try${page.path}`}>
          Try it
        </Link>
      </h2>
      {whole && scene && pieces.length > 0 ? (
        <div ref={ref} className="flex min-w-0 flex-wrap gap-3 overflow-hidden bg-surround p-3">
          <Stage
            site={site}
            page={whole}
            scene={scene}
            label="Wide"
            scale={Math.min(LARGEST, room.width / WIDE.width)}
            {...WIDE}
          />
          <Stage site={site} page={whole} scene={scene} label="Phone" {...NARROW} />
        </div>
      ) : (
        <p className="text-ink-soft">
          Nothing stands on this page. Choose a piece in its line to show it here.
        </p>
      )}
    </section>
  );
}
