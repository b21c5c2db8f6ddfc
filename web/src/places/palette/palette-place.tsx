import type { Site } from '@hamaca/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useRoom } from '../../ui/use-room.ts';
import { Stage } from '../../stage/stage.tsx';
import { firstPiece, useStagePage } from '../../stage/output.ts';
import { useFonts } from '../../media/fonts.ts';
import { useSite } from '../../store/open-site.tsx';
import { useBench } from '../../store/bench-store.ts';
import { ContrastPane } from './contrast-pane.tsx';
import { LoosePane } from './loose-pane.tsx';
import { RolesPane } from './roles-pane.tsx';
import { SwatchesPane } from './swatches-pane.tsx';
import { TypePane } from './type-pane.tsx';

const PAGE = 1280;
/** What the strip shows of the page, in px of it. */
const SHOWN = 150;

/** The header as it is with every change: colours are judged where they are used. */
function LiveStrip({ site }: { readonly site: Site }) {
  const { ref, room } = useRoom();
  const page = useStagePage(site, firstPiece(site), useFonts(site));
  const scene = site.scenes.find((entry) => entry.kind === 'picture') ?? site.scenes[0];
  const lit = useBench((state) => state.lit);
  const selectors = useMemo(
    () =>
      lit
        .map((slot) => page?.compiled.elements.selectorOf(slot) ?? null)
        .filter((selector) => selector !== null),
    [lit, page],
  );
  const scale = Math.min(1, Math.max(0.4, room.width / PAGE));
  return (
    <div
      ref={ref}
      className="sticky top-0 z-20 flex shrink-0 justify-center border-b border-twine bg-surround px-3 py-2"
      style={{ height: SHOWN * scale + 17 }}
    >
      {page && scene && room.width > 0 && (
        <Stage
          site={site}
          page={page}
          scene={scene}
          label="Header"
          width={Math.max(PAGE, Math.floor(room.width / scale))}
          height={SHOWN}
          scale={scale}
          lit={selectors}
        />
      )}
    </div>
  );
}

/** The site's colours and type: swatches, the jobs they do, how they can be read on each other, and the letters. */
export function PalettePlace() {
  const site = useSite();
  const [params] = useSearchParams();
  const asked = params.get('swatch');
  const [selected, setSelected] = useState<string | null>(asked);
  const swatch = site.palette.some((entry) => entry.id === selected)
    ? selected
    : (site.palette[0]?.id ?? null);
  return (
    <main className="h-full overflow-auto">
      <h1 className="sr-only">Palette of {site.name}</h1>
      <LiveStrip site={site} />
      {/* In wide windows letters stand beside colours. */}
      <div className="mx-auto grid max-w-[1240px] items-start gap-8 px-6 py-5 2xl:max-w-none 2xl:grid-cols-2 2xl:gap-12 2xl:px-8">
        <div className="grid min-w-0 gap-8">
          <SwatchesPane site={site} selected={swatch} onSelect={setSelected} />
          <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,7fr)] items-start gap-8">
            <RolesPane site={site} asked={params.get('role')} />
            <ContrastPane site={site} />
          </div>
          <LoosePane site={site} />
        </div>
        <div className="min-w-0">
          <TypePane site={site} asked={params.get('type')} />
        </div>
      </div>
    </main>
  );
}
