import { findPiece, runSightChecks, standingPieces, surveyWidths, type Sight, type Site } from '@hamaca/core';
import { useEffect, useMemo, useState } from 'react';
import { useFonts } from '../../media/fonts.ts';
import { keepSurvey, useSurveyed } from '../../findings/sights.ts';
import { useStagePage } from '../../stage/output.ts';
import { Stage, type SurveyedPage } from '../../stage/stage.tsx';

/** Height of the window the output is looked at in, in px. */
const HEIGHT = 700;

/** How long a site must stay as it is before its output is looked at, in ms. */
const PAUSE = 400;

/** A piece at a width of its page. */
interface View {
  readonly piece: string;
  readonly width: number;
}

const viewsOf = (site: Site): readonly View[] =>
  standingPieces(site).flatMap(({ id }) => surveyWidths(site).map((width) => ({ piece: id, width })));

interface Progress {
  readonly seen: number;
  readonly states: number;
  readonly sights: readonly Sight[];
}

const NOTHING_SEEN: Progress = { seen: 0, states: 0, sights: [] };

/** Goes through the output, piece by piece and width by width, in a frame that nobody sees. */
function Round({ site }: { readonly site: Site }) {
  const views = useMemo(() => viewsOf(site), [site]);
  const [progress, setProgress] = useState(NOTHING_SEEN);
  const view = views[progress.seen];
  const page = useStagePage(site, view ? findPiece(site, view.piece) : null, useFonts(site));
  const scene = site.scenes[0];
  const isOver = view === undefined;
  useEffect(() => {
    if (!isOver) return;
    const { states, sights } = progress;
    keepSurvey({ site, states, sights, judge: runSightChecks });
  }, [isOver]);
  if (!view || !scene) return null;
  const take = ({ width, sights, states }: SurveyedPage) => {
    // What was asked before the last width is answered too.
    if (width !== view.width) return;
    setProgress((before) => ({
      seen: before.seen + 1,
      states: before.states + states,
      sights: [...before.sights, ...sights],
    }));
  };
  return (
    <>
      <span className="flex items-center gap-2 text-bench text-ink-soft tabular">
        <progress
          aria-label="Looking at the output"
          max={views.length}
          value={progress.seen}
          className="w-24 accent-reed"
        />
        looking at {findPiece(site, view.piece)?.name ?? ''} at {view.width} px
      </span>
      <div aria-hidden="true" className="pointer-events-none fixed inset-0 -z-10 overflow-hidden opacity-0">
        {/* Another piece is another page: nothing of the one before is left. */}
        <Stage
          key={view.piece}
          site={site}
          page={page}
          scene={scene}
          width={view.width}
          height={HEIGHT}
          scale={1}
          label="The output, looked at"
          onSurveyed={take}
        />
      </div>
    </>
  );
}

/** Looks at the real output of a site as a browser draws it, once the site stays as it is; says what it has seen. */
export function Survey({ site }: { readonly site: Site }) {
  const seen = useSurveyed(site);
  const [looked, setLooked] = useState<Site | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => {
      setLooked(site);
    }, PAUSE);
    return () => {
      clearTimeout(timer);
    };
  }, [site]);
  if (seen)
    return (
      <span role="status" className="text-bench text-ink-soft tabular">
        The output was looked at in {seen.states} states, at {surveyWidths(site).length} widths.
      </span>
    );
  return looked === site ? <Round site={site} /> : null;
}
