import { bandEnd, slotKind, type Piece, type Scene, type Site, type State } from '@hamaca/core';
import { useRoom } from '../../../ui/use-room.ts';
import { Stage } from '../../../stage/stage.tsx';
import { useStagePage } from '../../../stage/output.ts';
import type { Fonts } from '../../../media/load-fonts.ts';
import { benchStore, focusColumn, setWidth, useBench } from '../../../store/bench-store.ts';
import { shownStates } from '../sheet/sheet-model.ts';
import { useSelection } from './use-selection.ts';

/** A width that stands for a band, in px: usual screens where they fall into it. */
function widthOf(site: Site, index: number): number {
  const from = Math.max(320, site.bands[index]?.min ?? 0);
  const to = bandEnd(site, index) ?? 1280;
  const screens = from === 320 ? [390, 768] : [1280, 1024, 768];
  const usual = screens.find((width) => width >= from && width <= to);
  return usual ?? Math.round((from + to) / 2);
}

/** Widest a miniature is drawn, in px, and how much of the page's height it shows. */
const MOST = 420;
const HEIGHTS = { wide: 170, narrow: 420 } as const;

/** Every band and every state of the selected slot at once; a click on one goes there. */
export function Spread({
  site,
  piece,
  scene,
  fonts,
}: {
  readonly site: Site;
  readonly piece: Piece;
  readonly scene: Scene;
  readonly fonts: Fonts;
}) {
  const { ref, room } = useRoom();
  const selected = useBench((state) => state.selected);
  const page = useStagePage(site, piece, fonts);
  const { pinned, selected: chosen, reveal } = useSelection(site, piece, page?.compiled.elements);
  const kind = slotKind(site, selected);
  const states: readonly State[] = kind ? shownStates(site, selected.owner, kind) : ['rest'];
  const go = (width: number, state: State) => {
    benchStore.setState({ spread: false });
    setWidth(width);
    focusColumn(state);
  };
  const columns = Math.max(1, Math.floor(room.width / 400));
  const share = Math.min(MOST, Math.floor(room.width / columns) - 16);
  return (
    <section ref={ref} aria-label="Spread" className="h-full overflow-auto bg-surround p-3">
      {page &&
        room.width > 0 &&
        site.bands.map((band, index) => {
          const width = widthOf(site, index);
          const scale = Math.min(0.6, share / width);
          const height = width >= 700 ? HEIGHTS.wide : HEIGHTS.narrow;
          return (
            <div key={band.id} className="mb-3">
              <h3 className="mb-1 text-small font-semibold">
                {band.name} <span className="font-normal tabular">at {width} px</span>
              </h3>
              <ul className="flex flex-wrap gap-3">
                {states.map((state) => (
                  <li key={state}>
                    <button
                      type="button"
                      aria-label={`${band.name}, ${state}`}
                      onClick={() => {
                        go(width, state);
                      }}
                      className="block border border-transparent text-left text-small hover:border-ochre"
                    >
                      <span aria-hidden="true" className="pointer-events-none block">
                        <Stage
                          site={site}
                          page={page}
                          scene={scene}
                          label={`${band.name}, ${state}`}
                          width={width}
                          height={height}
                          scale={scale}
                          pinned={pinned ? { ...pinned, states: state === 'rest' ? [] : [state] } : null}
                          selected={chosen}
                          outlined={false}
                          reveal={state === 'open' ? { ...reveal, submenu: true } : reveal}
                        />
                      </span>
                      <span className="block bg-cotton px-1">{state}</span>
                    </button>
                  </li>
                ))}
              </ul>
            </div>
          );
        })}
    </section>
  );
}
