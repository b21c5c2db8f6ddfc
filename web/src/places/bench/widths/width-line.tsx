import {
  bandAt,
  fitAt,
  beforeTypefaces,
  fitLine,
  longerBy,
  sampleOf,
  wordsOf,
  type Fit,
  type FitLine,
  foldsBelow,
  pieceKind,
  type Piece,
  type PiecePlace,
  type Measurer,
  type Site,
} from '@hamaca/core';
import { memo, useMemo, useRef, type KeyboardEvent } from 'react';
import { CommandButton } from '../../../app/commands/command-button.tsx';
import type { Fonts } from '../../../media/load-fonts.ts';
import { Button } from '../../../ui/button.tsx';
import { useRoom } from '../../../ui/use-room.ts';
import { TextField } from '../../../ui/text-field.tsx';
import { useSiteStore } from '../../../store/open-site.tsx';
import { benchStore, setWidth, useBench, WIDTHS } from '../../../store/bench-store.ts';
import { BandNames } from './band-names.tsx';
import { GivingWay, waysOf, type Way } from './gives-way.tsx';
import { drawRope, ropeY } from './rope.ts';
import { tieKnot } from './tie-knot.ts';
import { WhatIf } from './what-if.tsx';
import { useDrag } from '../use-drag.ts';

const MARGIN = 22;
const TICKS = [400, 600, 800, 1000, 1200, 1400, 1600, 1800] as const;

const STROKES: Readonly<Record<Fit, { className: string; dash?: string; width: number }>> = {
  fits: { className: 'stroke-rope', width: 4 },
  tight: { className: 'stroke-ochre', width: 2.5, dash: '3 3' },
  breaks: { className: 'stroke-brick', width: 2 },
};

const FIT_WORDS: Readonly<Record<Fit, string>> = {
  fits: 'the row fits',
  tight: 'the row is tight',
  breaks: 'the row does not fit on one line',
};

/** Steps of a slider's keys, in px; null for other keys. */
function keyStep(event: KeyboardEvent): number | null {
  const size = event.shiftKey ? 10 : 1;
  const steps: Readonly<Record<string, number>> = {
    ArrowLeft: -size,
    ArrowDown: -size,
    ArrowRight: size,
    ArrowUp: size,
    PageUp: 50,
    PageDown: -50,
  };
  return steps[event.key] ?? null;
}

/** Two handles never cover each other: the hollow knot keeps this distance from the knot, in px of the drawing. */
const HANDLE_DISTANCE = 25;

function clearOf(x: number, knot: number): number {
  if (Math.abs(x - knot) >= HANDLE_DISTANCE) return x;
  return x < knot ? knot - HANDLE_DISTANCE : knot + HANDLE_DISTANCE;
}

interface Props {
  readonly site: Site;
  readonly piece: Piece;
  readonly fonts: Fonts;
}

/** How much longer labels may get in another language. */
const LONGER = 0.3;

/** The measures a piece must fit in: of its typefaces, and of what stands in until they have arrived. */
function useMeasures({ site, fonts }: Props): { readonly own: Measurer; readonly before: Measurer } {
  const { measure, metrics } = fonts;
  const { typefaces } = site;
  // The stage's width changes far more often than the words do.
  const sample = useMemo(() => sampleOf(wordsOf(site, site.pieces)), [site]);
  const longer = useBench((state) => state.longer);
  return useMemo(() => {
    const before = beforeTypefaces(measure, metrics, typefaces, sample);
    return longer
      ? { own: longerBy(measure, LONGER), before: longerBy(before, LONGER) }
      : { own: measure, before };
  }, [measure, metrics, typefaces, sample, longer]);
}

/** The knot at which the piece unfolds; the narrowest one where it never folds. */
function foldKnot(site: Site, piece: Piece) {
  const below = foldsBelow(site, piece);
  return site.bands.find((band) => band.min === below) ?? site.bands.slice(0, -1).at(-1);
}

/** The ruler of widths as a rope between two posts: where the row fits, the stage's width, and the breakpoints as knots. */
export const WidthLine = memo(function WidthLine(props: Props) {
  const { site, piece } = props;
  const { own, before } = useMeasures(props);
  const store = useSiteStore();
  const width = useBench((state) => state.width);
  const { ref, held, room } = useRoom();
  const length = room.width - 2 * MARGIN;
  const line = useMemo(() => fitLine(site, piece, WIDTHS, own, before), [site, piece, own, before]);
  const settled = useMemo(() => fitLine(site, piece, WIDTHS, own), [site, piece, own]);
  const ways = useMemo(() => waysOf(site, piece, own), [site, piece, own]);
  const toX = (value: number) => ((value - WIDTHS.from) / (WIDTHS.to - WIDTHS.from)) * length;
  const toWidth = (clientX: number) =>
    WIDTHS.from +
    ((clientX - (held.current?.getBoundingClientRect().left ?? 0) - MARGIN) / Math.max(1, length)) *
      (WIDTHS.to - WIDTHS.from);
  const rope = drawRope(line.segments, toX, length);
  const startWidth = useRef(width);
  const pointer = useDrag({
    onMove: (event) => {
      setWidth(toWidth(event.clientX));
    },
    onEnd: () => {
      startWidth.current = width;
    },
    onCancel: () => {
      setWidth(startWidth.current);
    },
  });
  const fit = fitAt(line, width);
  const knots = site.bands.slice(0, -1);
  const moveKnot = (id: string, min: number) => {
    store.edit({ name: 'set-band-start', args: { id, min } }, 'Breakpoint');
  };
  // Only what stands at the start of pages folds into a panel for want of room.
  const unfolding = pieceKind(piece).stands === 'start' ? foldKnot(site, piece) : undefined;
  const naming = useBench((state) => state.naming);
  const tie = (at: number) => {
    tieKnot(site, store.edit, at);
  };
  const suggested = line.safeBreakpoint;
  const showSuggestion =
    suggested !== null &&
    unfolding !== undefined &&
    suggested !== unfolding.min &&
    suggested > WIDTHS.from &&
    suggested < WIDTHS.to;

  return (
    <div className="flex items-stretch gap-4 border-b border-twine bg-cotton px-4 py-1">
      <div ref={ref} className="relative h-[52px] min-w-0 grow touch-none select-none" data-fit={fit}>
        <svg
          width={length + 2 * MARGIN}
          height="52"
          className="absolute inset-0"
          aria-hidden="true"
          onPointerDown={(event) => {
            setWidth(toWidth(event.clientX));
          }}
          onDoubleClick={(event) => {
            tie(toWidth(event.clientX));
          }}
        >
          <g transform={`translate(${MARGIN} 0)`}>
            {TICKS.map((tick) => (
              <g key={tick}>
                <path d={`M${toX(tick)} 27v5`} className="stroke-rope" />
                <text x={toX(tick)} y="45" textAnchor="middle" className="fill-ink-faint text-[11px]">
                  {tick}
                </text>
              </g>
            ))}
            <path d={`M0 4v28M${length} 4v28`} className="stroke-ink" strokeWidth="3" strokeLinecap="round" />
            <text x="0" y="45" textAnchor="middle" className="fill-ink-faint text-[11px]">
              {WIDTHS.from}
            </text>
            <text x={length} y="45" textAnchor="middle" className="fill-ink-faint text-[11px]">
              {WIDTHS.to}
            </text>
            {rope.map((piece, index) => (
              <path
                key={index}
                d={piece.path}
                fill="none"
                className={STROKES[piece.fit].className}
                strokeWidth={STROKES[piece.fit].width}
                strokeDasharray={STROKES[piece.fit].dash}
                data-rope={piece.fit}
              />
            ))}
          </g>
        </svg>
        <BandNames
          site={site}
          toX={(value) => MARGIN + toX(value)}
          naming={naming}
          onNaming={(id) => {
            benchStore.setState({ naming: id });
          }}
        />
        <GivingWay ways={ways} toX={(value) => MARGIN + toX(value)} />
        {showSuggestion && (
          <button
            type="button"
            title={`From ${suggested} px the unfolded row fits with room to spare: move the breakpoint there`}
            aria-label={`Take ${suggested} px as the breakpoint`}
            onClick={() => {
              moveKnot(unfolding.id, suggested);
            }}
            style={{
              left: MARGIN + clearOf(toX(suggested), toX(unfolding.min)) - 12,
              top: ropeY(toX(suggested) / length) - 12,
            }}
            className="absolute grid size-6 place-items-center"
          >
            <span className="size-3.5 rounded-full border-2 border-dashed border-reed bg-cotton" />
          </button>
        )}
        {knots.map((band) => (
          <Knot
            key={band.id}
            min={band.min}
            name={band.name}
            x={MARGIN + toX(band.min)}
            y={ropeY(toX(band.min) / length)}
            toWidth={toWidth}
            onPreview={(min) => {
              store.preview(min === null ? null : { name: 'set-band-start', args: { id: band.id, min } });
            }}
            onMove={(min) => {
              moveKnot(band.id, min);
            }}
            onUntie={() => {
              store.edit({ name: 'remove-band', args: { id: band.id } }, 'Remove a breakpoint');
            }}
          />
        ))}
        <div
          role="slider"
          tabIndex={0}
          aria-label="Width of the stage"
          aria-valuemin={WIDTHS.from}
          aria-valuemax={WIDTHS.to}
          aria-valuenow={width}
          aria-valuetext={`${width} px, ${FIT_WORDS[fit]}`}
          {...pointer}
          title="The stage’s width; Enter ties a breakpoint here"
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              event.preventDefault();
              tie(width);
            }
            const step = keyStep(event);
            if (step === null && event.key !== 'Home' && event.key !== 'End') return;
            event.preventDefault();
            setWidth(
              event.key === 'Home' ? WIDTHS.from : event.key === 'End' ? WIDTHS.to : width + (step ?? 0),
            );
          }}
          style={{ left: MARGIN + toX(width) - 24 }}
          className="absolute top-[22px] z-10 w-12 cursor-ew-resize text-center text-small font-semibold tabular"
        >
          <svg viewBox="0 0 12 8" className="mx-auto h-2 w-3" aria-hidden="true">
            <path d="M6 0l6 8H0z" className="fill-ink" />
          </svg>
          <span className="rounded-[2px] bg-ink px-1 py-px text-white">{width}</span>
        </div>
      </div>
      <Numbers
        piece={piece}
        measure={own}
        line={line}
        settled={settled}
        ways={ways}
        band={bandAt(site, width)}
        width={width}
        unfolding={unfolding}
        suggested={showSuggestion ? suggested : null}
        onMove={moveKnot}
      />
    </div>
  );
});

interface KnotProps {
  readonly min: number;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly toWidth: (clientX: number) => number;
  readonly onPreview: (min: number | null) => void;
  readonly onMove: (min: number) => void;
  readonly onUntie: () => void;
}

function Knot({ min, name, x, y, toWidth, onPreview, onMove, onUntie }: KnotProps) {
  const latest = useRef<number | null>(null);
  const drag = useDrag({
    onMove: (event) => {
      latest.current = Math.round(toWidth(event.clientX));
      onPreview(latest.current);
    },
    onEnd: () => {
      if (latest.current !== null) onMove(latest.current);
      latest.current = null;
    },
    onCancel: () => {
      latest.current = null;
      onPreview(null);
    },
  });
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`Breakpoint where ${name} starts`}
      aria-valuemin={WIDTHS.from}
      aria-valuemax={WIDTHS.to}
      aria-valuenow={min}
      aria-valuetext={`${min} px`}
      {...drag}
      title={`${name} starts at ${min} px; drag, or use the arrow keys; Delete unties it`}
      onKeyDown={(event) => {
        const step = keyStep(event);
        const isUntied = event.key === 'Delete' || event.key === 'Backspace';
        if (step === null && !isUntied) return;
        event.preventDefault();
        if (isUntied) onUntie();
        else onMove(min + (step ?? 0));
      }}
      style={{ left: x - 12, top: y - 12 }}
      className="absolute grid size-6 cursor-ew-resize place-items-center rounded-full"
    >
      <span className="size-4 rounded-full border-[3px] border-cotton bg-ink outline-2 outline-ink" />
    </div>
  );
}

/** What the needed width is made of, where that is more than what it comes to in the end. */
const neededTitle = (needed: number, settled: number): string | undefined =>
  needed > settled && needed !== Infinity
    ? `${settled} px with its typefaces, ${needed} px until they have arrived: the larger one counts`
    : undefined;

const SMALL = '!h-6 !px-1.5 !text-small';

interface NumbersProps {
  readonly piece: Piece;
  readonly measure: Measurer;
  readonly line: FitLine;
  /** The same once typefaces have arrived. */
  readonly settled: FitLine;
  readonly ways: readonly Way[];
  readonly band: number;
  readonly width: number;
  readonly unfolding: { readonly id: string; readonly min: number } | undefined;
  readonly suggested: number | null;
  readonly onMove: (id: string, min: number) => void;
}

/** What is told of how a piece fits, by where it stands. */
const FITS: Readonly<Record<PiecePlace, string>> = {
  start: 'row needs',
  end: 'row needs',
  beside: 'column',
  window: 'floats',
  over: 'panel',
};
const NEEDS: Readonly<Record<PiecePlace, string>> = {
  start: 'nothing: it takes as many lines as it needs',
  end: 'nothing: it takes as many lines as it needs',
  beside: 'as wide as its look says, beside the page',
  window: 'where its look says, over the page',
  over: 'as its look says, over the page once opened',
};

/** The same in numbers: the breakpoint to type, what the row needs, what is left at this width. */
function Numbers({
  piece,
  measure,
  line,
  settled,
  ways,
  band,
  width,
  unfolding,
  suggested,
  onMove,
}: NumbersProps) {
  const longer = useBench((state) => state.longer);
  const extent = line.needed[band];
  const needed = Math.ceil(extent?.width ?? 0);
  const left = width - needed;
  return (
    <dl className="grid w-[316px] shrink-0 grid-cols-[auto_1fr] content-center gap-x-3 text-small tabular">
      {unfolding && (
        <>
          <dt className="self-center text-ink-faint">unfolds from</dt>
          <dd className="flex items-center gap-1.5">
            <TextField
              key={unfolding.id}
              aria-label="Breakpoint in px"
              value={String(unfolding.min)}
              className="!h-6 w-14 tabular"
              onCommit={(text) => {
                const min = Number(text);
                if (!Number.isInteger(min) || min < 200 || min > 2400)
                  return 'A whole number of px from 200 to 2400.';
                onMove(unfolding.id, min);
                return null;
              }}
            />{' '}
            px
            {suggested !== null && (
              <Button
                className="!h-6 !px-1.5 !text-small"
                title="The smallest breakpoint with 24 px to spare"
                onClick={() => {
                  onMove(unfolding.id, suggested);
                }}
              >
                take {suggested}
              </Button>
            )}
          </dd>
        </>
      )}
      <dt className="self-center text-ink-faint">{FITS[pieceKind(piece).stands]}</dt>
      <dd className="flex items-center gap-1.5">
        <span
          data-testid="row-needs"
          title={neededTitle(needed, Math.ceil(settled.needed[band]?.width ?? 0))}
          className={left < 0 ? 'font-semibold text-brick' : ''}
        >
          {needed === 0
            ? NEEDS[pieceKind(piece).stands]
            : needed === Infinity
              ? 'more than its content may take'
              : `${extent?.certain === false ? 'about ' : ''}${needed} px · ${left < 0 ? `${-left} px missing` : `${left} px left`}`}
        </span>
        {needed > 0 && (
          <>
            <CommandButton id="bench-longer" label="+30 %" tone="plain" className={SMALL} pressed={longer} />
            <WhatIf piece={piece.id} measure={measure} />
          </>
        )}
      </dd>
      {ways.length > 0 && (
        <>
          <dt className="leading-4 text-ink-faint">gives way</dt>
          <dd
            className="truncate leading-4"
            title={ways.map(({ name, below }) => `${name} leaves for the panel below ${below} px`).join('; ')}
          >
            {ways.map(({ name, below }) => `${name} below ${below}`).join(', ')}
          </dd>
        </>
      )}
    </dl>
  );
}
