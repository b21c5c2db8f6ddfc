import { findHeader, type Header, type Scene, type Site } from '@hamaca/core';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { useRoom } from '../../../ui/use-room.ts';
import { slotClass } from '../../../stage/slot-class.ts';
import { Stage, type Carried, type Picked } from '../../../stage/stage.tsx';
import { useStageOutput } from '../../../stage/use-compiled.ts';
import type { Fonts } from '../../../media/fonts.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { benchStore, selectSlot, setWidth, useBench } from '../bench-state.ts';
import { carriedPart, dropAt, type Drop } from '../outline/part-moves.ts';
import { useSelection } from './use-selection.ts';

const Spread = lazy(async () => ({ default: (await import('./spread.tsx')).Spread }));

const STAGE_PADDING = 12;

/** Lets parts be carried to another place on the stage; the line shows where one would go. */
function useCarrying(site: Site, header: Header) {
  const edit = useEdit();
  const [drop, setDrop] = useState<Drop | null>(null);
  const onCarry = ({ phase, owner, x, y, boxes }: Carried) => {
    const part = carriedPart(site, owner);
    const found = part === null || phase === 'cancel' ? null : dropAt(site, header, boxes, x, y);
    setDrop(phase === 'move' ? found : null);
    if (phase === 'end' && part !== null && found) {
      edit({ name: 'move-part', args: { id: part, place: found.place } }, 'Move a part');
      benchStore.setState({ lit: [] });
    }
  };
  return { drop, onCarry };
}

interface Props {
  readonly site: Site;
  readonly header: Header;
  readonly fonts: Fonts;
  readonly scene: Scene | undefined;
  readonly tall: boolean;
}

/** The version that was kept, as it looks at the same width and in the same states. */
function KeptStage({
  site,
  fonts,
  scene,
  width,
  height,
  scale,
}: {
  readonly site: Site;
  readonly fonts: Fonts;
  readonly scene: Scene;
  readonly width: number;
  readonly height: number;
  readonly scale: number;
}) {
  const header = findHeader(site);
  const output = useStageOutput(site, header, fonts);
  return (
    output && (
      <Stage
        site={site}
        output={output}
        scene={scene}
        width={width}
        height={height}
        scale={scale}
        label="Kept version"
      />
    )
  );
}

const sign = 'absolute left-2 rounded-[2px] bg-ink px-1.5 text-small text-white';

/** The page at the chosen width: the real output, alone, held against the kept version, or every band and state at once. */
export function StageArea({ site, header, fonts, scene, tall }: Props) {
  const { ref, room } = useRoom();
  const width = useBench((state) => state.width);
  const spread = useBench((state) => state.spread);
  const compare = useBench((state) => state.compare);
  const kept = useBench((state) => state.kept);
  const lit = useBench((state) => state.lit);
  const output = useStageOutput(site, header, fonts);
  const { selected, pinned, reveal } = useSelection(site, header);
  const { drop, onCarry } = useCarrying(site, header);
  const litClasses = useMemo(() => lit.map(({ owner, slot }) => slotClass(site, owner, slot)), [lit, site]);
  const scale = Math.min(1, Math.max(0.2, room.width / width));
  const beside = compare === 'beside' && kept !== null;
  const height = Math.max(
    beside ? 60 : 120,
    Math.floor((beside ? (room.height - 8) / 2 : room.height) / scale),
  );
  const onPick = ({ owner, slot, level, index }: Picked) => {
    selectSlot(owner, slot, level, index);
  };
  useEffect(() => {
    // What stands in the panel can only be seen where the menu is folded.
    const fold = site.bands.findIndex((band) => band.id === header.foldBand);
    const unfolds = site.bands[fold - 1]?.min ?? 0;
    if (reveal === 'panel' && unfolds > 0 && benchStore.getState().width >= unfolds)
      setWidth(Math.min(390, unfolds - 1));
  }, [reveal, site.bands, header.foldBand]);
  if (spread && scene)
    return (
      <Suspense fallback={null}>
        <Spread site={site} header={header} scene={scene} fonts={fonts} />
      </Suspense>
    );
  const instead = compare === 'instead' && kept !== null;
  return (
    <div
      ref={ref}
      className={`relative flex min-h-0 flex-col items-center gap-2 overflow-hidden bg-surround ${tall ? 'h-full' : ''}`}
      style={{ padding: STAGE_PADDING }}
    >
      {(beside || instead) && scene && (
        <KeptStage site={kept} fonts={fonts} scene={scene} width={width} height={height} scale={scale} />
      )}
      {output && scene && (
        <div className={instead ? 'hidden' : ''}>
          <Stage
            site={site}
            output={output}
            scene={scene}
            width={width}
            height={height}
            scale={scale}
            label="Stage"
            pinned={pinned}
            selected={selected}
            reveal={reveal}
            onPick={onPick}
            lit={litClasses}
            onCarry={onCarry}
          >
            {drop && (
              <span
                data-testid="drop-line"
                className="absolute w-[3px] bg-ochre"
                style={{ left: drop.x - 1, top: drop.top, height: drop.bottom - drop.top }}
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
}
