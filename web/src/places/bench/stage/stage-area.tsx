import {
  findPiece,
  neededBelow,
  opensOver,
  ownersOf,
  partsOf,
  pieceKind,
  type Piece,
  type Scene,
  type Site,
} from '@hamaca/core';
import { memo, useCallback, useEffect, useMemo, useState, type ComponentProps } from 'react';
import { useNavigate } from 'react-router';
import type { Fonts } from '../../../media/load-fonts.ts';
import { foreignPageOf, useForeignPage } from '../../../stage/foreign-pages.ts';
import type { ShownPage, StageBox } from '../../../stage/frame/protocol.ts';
import { firstPiece, hostOf, stagePage, useStagePage, type Besides } from '../../../stage/output.ts';
import { shownPage, Stage, type Carried, type DraggedEdge, type Picked } from '../../../stage/stage.tsx';
import { benchStore, selectSlot, setWidth, typeIntoCell, useBench } from '../../../store/bench-store.ts';
import { useEdit, useSiteState, useSiteStore } from '../../../store/open-site.tsx';
import { later } from '../../../ui/later.tsx';
import { useRoom } from '../../../ui/use-room.ts';
import { carriedPart, dropAt, type Drop } from '../outline/part-moves.ts';
import { reachKey, setCells } from '../sheet/sheet-edits.ts';
import { Measures } from './measures.tsx';
import { useArcs } from './use-arcs.ts';
import type { Spread as SpreadStages } from './spread.tsx';
import { selectFirst, useSelection } from './use-selection.ts';

const Spread = later<ComponentProps<typeof SpreadStages>>(async () => (await import('./spread.tsx')).Spread);

const STAGE_PADDING = 12;

/** Lets parts be carried to another place on the stage; the line shows where one would go. */
function useCarrying(site: Site) {
  const edit = useEdit();
  const [drop, setDrop] = useState<Drop | null>(null);
  const onCarry = ({ phase, owner, x, y, boxes }: Carried) => {
    const part = carriedPart(site, owner);
    const found = part === null || phase === 'cancel' ? null : dropAt(site, boxes, x, y);
    setDrop(phase === 'move' ? found : null);
    if (phase === 'end' && part !== null && found) {
      edit({ name: 'move-part', args: { id: part, place: found.place } }, 'Move a part');
      benchStore.setState({ lit: [] });
    }
  };
  return { drop, onCarry };
}

/** Dragging an edge of a panel sets its size as far as the reach goes, as one step. */
function useEdges(site: Site) {
  const store = useSiteStore();
  return ({ phase, owner, axis, size }: DraggedEdge) => {
    if (phase === 'cancel') {
      store.preview(null);
      return;
    }
    const { reach } = benchStore.getState();
    const band = reachKey(site, reach);
    const edit = setCells([
      {
        owner,
        slot: 'panel',
        property: axis === 'inline' ? 'width' : 'panelHeight',
        level: 'all',
        state: 'rest',
        band,
        value: size,
      },
    ]);
    if (phase === 'move') store.preview(edit);
    else store.edit(edit, 'Size of the panel');
  };
}

interface Props {
  readonly site: Site;
  readonly piece: Piece;
  readonly fonts: Fonts;
  readonly scene: Scene | undefined;
  readonly tall: boolean;
  /** The stage has drawn something. */
  readonly onPainted: () => void;
}

/** The version that was kept, as it looks at the same width and in the same states. */
function KeptStage({
  site,
  piece,
  fonts,
  scene,
  besides,
  width,
  height,
  scale,
}: Omit<Props, 'tall' | 'onPainted'> & {
  readonly scene: Scene;
  readonly besides: Besides;
  readonly width: number;
  readonly height: number;
  readonly scale: number;
}) {
  const page = useStagePage(site, findPiece(site, piece.id) ?? firstPiece(site), fonts, besides);
  return (
    page && (
      <Stage
        site={site}
        page={page}
        scene={scene}
        width={width}
        height={height}
        scale={scale}
        label="Kept version"
      />
    )
  );
}

/** Tells the stage of each new document in the task that made it, before anything else follows. */
function useFollowing(piece: string, fonts: Fonts, scene: Scene | undefined, besides: Besides) {
  const store = useSiteStore();
  return useCallback(
    (show: (page: ShownPage) => void) =>
      store.subscribe(({ site }, before) => {
        const found = site && site !== before.site ? findPiece(site, piece) : null;
        if (site && found && scene) show(shownPage(site, stagePage(site, found, fonts, besides), scene));
      }),
    [store, piece, fonts, scene, besides],
  );
}

/** A panel that holds nothing but what folds into it is seen where that folds: the stage goes there with the selection. */
function useFoldedWidth(site: Site, piece: Piece): void {
  const selected = useBench((state) => state.selected.owner);
  useEffect(() => {
    const panel = ownersOf(site).get(selected)?.piece;
    if (!panel || !opensOver(panel) || partsOf(site, panel).some((part) => part.kind !== 'berth')) return;
    const below = neededBelow(site, hostOf(site, piece), panel.id);
    if (below !== null && below !== Infinity && benchStore.getState().width >= below)
      setWidth(Math.min(390, below - 1));
  }, [selected, piece]);
}

/** Whether the bench has been drawn: what takes longer comes after, while the stage's frame is on its way. */
function useAfterDrawing(): boolean {
  const [drawn, setDrawn] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => {
      setDrawn(true);
    });
    return () => {
      clearTimeout(timer);
    };
  }, []);
  return drawn;
}

const NOT_MEASURED: readonly StageBox[] = [];

const sign = 'absolute left-2 rounded-[2px] bg-ink px-1.5 text-small text-white';

/** The page at the chosen width: the real output, alone, held against the kept version, or every band and state at once. */
export const StageArea = memo(function StageArea({ site, piece, fonts, scene, tall, onPainted }: Props) {
  const { ref, room } = useRoom();
  const width = useBench((state) => state.width);
  const spread = useBench((state) => state.spread);
  const compare = useBench((state) => state.compare);
  const kept = useBench((state) => state.kept);
  const plays = useBench((state) => state.plays);
  const slowly = useBench((state) => state.slowly);
  const faint = useBench((state) => state.faint);
  const id = useSiteState((state) => state.id);
  const navigate = useNavigate();
  const foreign = useForeignPage(foreignPageOf(site, scene?.id)).shown?.content ?? null;
  const host = hostOf(site, piece);
  const lit = useBench((state) => state.lit);
  const measuring = useBench((state) => state.measuring);
  const [measured, setMeasured] = useState(NOT_MEASURED);
  const chosen = useBench((state) => state.page);
  const besides = useMemo(() => ({ page: chosen }), [chosen]);
  const page = useStagePage(site, useAfterDrawing() ? piece : null, fonts, besides);
  const elements = page?.compiled.elements;
  const { selected, pinned, reveal } = useSelection(site, piece, elements);
  const { drop, onCarry } = useCarrying(site);
  const onEdge = useEdges(site);
  const onArc = useArcs(site);
  const follow = useFollowing(piece.id, fonts, scene, besides);
  useFoldedWidth(site, piece);
  const litSelectors = useMemo(
    () => lit.map((slot) => elements?.selectorOf(slot) ?? null).filter((selector) => selector !== null),
    [lit, elements],
  );
  const scale = Math.min(1, Math.max(0.2, room.width / width));
  const beside = compare === 'beside' && kept !== null;
  const height = Math.max(
    beside ? 60 : 120,
    Math.floor((beside ? (room.height - 8) / 2 : room.height) / scale),
  );
  const onPick = ({ owner, slot, level, index, opened }: Picked) => {
    selectSlot(owner, slot, level, index);
    benchStore.setState({ opened });
    // Who clicks another piece goes on with that one.
    const picked = ownersOf(site).get(owner)?.piece;
    if (picked && picked !== host && !opensOver(picked)) void navigate(`/sites/${id}/bench/${picked.id}`);
  };
  const onClosed = () => {
    benchStore.setState({ opened: null });
    // Who closes the panel they have selected in goes on with the page.
    if (
      reveal.panel !== null &&
      piece.id !== ownersOf(site).get(benchStore.getState().selected.owner)?.piece.id
    )
      selectFirst(site, piece);
  };
  if (spread && scene) return <Spread site={site} piece={piece} scene={scene} fonts={fonts} />;
  const instead = compare === 'instead' && kept !== null;
  return (
    <div
      ref={ref}
      className={`relative flex min-h-0 flex-col items-center gap-2 overflow-hidden bg-surround has-[[data-overhang]]:z-20 has-[[data-overhang]]:overflow-visible ${tall ? 'h-full' : ''}`}
      style={{ padding: STAGE_PADDING }}
    >
      {(beside || instead) && scene && (
        <KeptStage
          site={kept}
          piece={piece}
          fonts={fonts}
          scene={scene}
          besides={besides}
          width={width}
          height={height}
          scale={scale}
        />
      )}
      {scene && (
        <div className={instead ? 'hidden' : ''}>
          <Stage
            site={site}
            page={page}
            scene={scene}
            foreign={foreign}
            width={width}
            height={height}
            scale={scale}
            label="Stage"
            overhangs={!tall && !beside}
            pinned={pinned}
            selected={selected}
            reveal={reveal}
            onPick={onPick}
            plays={plays}
            slowly={slowly}
            lit={litSelectors}
            onCarry={onCarry}
            onEdge={onEdge}
            onArc={onArc}
            onTyped={typeIntoCell}
            inked={
              faint
                ? (elements?.selectorOf({ owner: host.id, slot: pieceKind(host).rootSlot }) ?? null)
                : null
            }
            onClosed={onClosed}
            follow={follow}
            onPainted={onPainted}
            onMeasures={measuring ? setMeasured : undefined}
          >
            {measuring && <Measures site={site} piece={piece} boxes={measured} width={width} />}
            {drop && (
              <span
                data-testid="drop-line"
                className="absolute bg-ochre"
                style={{
                  left: drop.left,
                  top: drop.top,
                  width: drop.right - drop.left,
                  height: drop.bottom - drop.top,
                }}
              />
            )}
          </Stage>
        </div>
      )}
      {instead && <span className={`${sign} top-1`}>kept version</span>}
      {beside && (
        <>
          <span className={`${sign} top-1`}>kept</span>
          <span className={`${sign} top-1/2`}>now</span>
        </>
      )}
      {scale < 1 && (
        <span className="absolute right-2 bottom-1 rounded-[2px] bg-ink px-1.5 text-small text-white tabular">
          {Math.round(scale * 100)} %
        </span>
      )}
    </div>
  );
});
