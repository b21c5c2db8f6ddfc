import { sampleOf, wordsOf } from '../kinds/texts.ts';
import { cssString } from '../print/css.ts';
import { styleRule, type ConditionalRule } from '../print/trees.ts';
import { countLetters, fallbackMetrics, type FallbackMetrics } from '../text/fallback-metrics.ts';
import { neededSubsets, SUBSETS, type Subset } from '../text/subsets.ts';
import { faceFile, findTypeface, subsetsOf, type Typeface } from '../text/typefaces.ts';
import type { CompileContext } from './context.ts';
import { fallbackName, familyName } from './values.ts';

/** The typefaces of some families, in their order. */
export function typefacesOf(context: CompileContext, families: ReadonlySet<string>): Typeface[] {
  return [...families]
    .map((name) => name.slice(context.names.prefix.length))
    .map((id) => findTypeface(id, context.site.typefaces))
    .filter((typeface) => typeface !== null);
}

/** Weights whose stand-ins take the same room to within so much, in percent, share one. */
const SAME_ROOM = 0.5;

interface StandIn {
  readonly from: number;
  to: number;
  readonly metrics: FallbackMetrics;
}

/** The system faces that stand in for a typeface until it is there: one for each weight that takes room of its own. */
function standIns(
  context: CompileContext,
  typeface: Typeface,
  letters: ReadonlyMap<string, number>,
  weights: readonly number[],
): StandIn[] {
  const metrics = context.fonts.find((entry) => entry.family === typeface.id);
  if (!metrics) return [];
  const found: StandIn[] = [];
  for (const weight of weights.length > 0 ? weights : [400]) {
    const own = fallbackMetrics(typeface, metrics, weight, letters);
    const last = found.at(-1);
    if (last && Math.abs(last.metrics.sizeAdjust - own.sizeAdjust) <= SAME_ROOM) last.to = weight;
    else found.push({ from: weight, to: weight, metrics: own });
  }
  return found;
}

function fallbackFaces(
  context: CompileContext,
  typeface: Typeface,
  letters: ReadonlyMap<string, number>,
  weights: readonly number[],
): ConditionalRule[] {
  const found = standIns(context, typeface, letters, weights);
  return found.map(({ from, to, metrics }) =>
    styleRule('@font-face', [
      ['font-family', fallbackName(context, typeface.id)],
      ['src', metrics.local.map((name) => `local(${cssString(name)})`).join(', ')],
      ...(found.length > 1 ? ([['font-weight', from === to ? String(from) : `${from} ${to}`]] as const) : []),
      ['size-adjust', `${metrics.sizeAdjust}%`],
      ['ascent-override', `${metrics.ascent}%`],
      ['descent-override', `${metrics.descent}%`],
      ['line-gap-override', `${metrics.lineGap}%`],
    ]),
  );
}

/** A face of one file: Latin, or a subset for the letters of its range alone. */
function faceRule(
  context: CompileContext,
  { id, weights }: Typeface,
  subset: Subset | null,
): ConditionalRule {
  return styleRule('@font-face', [
    ['font-family', familyName(context, id)],
    ['src', `url(${context.fontBase}${faceFile(id, subset)}.woff2) format("woff2")`],
    ['font-weight', weights.join(' ')],
    ['font-display', 'swap'],
    ...(subset === null ? [] : [['unicode-range', SUBSETS[subset]] as const]),
  ]);
}

/** The faces of a site and the files they load, by name without their ending. */
export interface Faces {
  readonly rules: readonly ConditionalRule[];
  readonly files: readonly string[];
}

/**
 * The faces a site uses, with the subsets its words need, each typeface with a system face scaled to its measures, so that
 * nothing moves when it arrives.
 */
export function makeFaces(
  context: CompileContext,
  typefaces: readonly Typeface[],
  weightsOf: (typeface: Typeface) => readonly number[],
): Faces {
  const words = wordsOf(context.site, context.pieces);
  const letters = countLetters(sampleOf(words));
  const faces = typefaces.map((typeface) => ({
    typeface,
    subsets: [null, ...neededSubsets(words, subsetsOf(typeface.id))],
  }));
  return {
    rules: faces.flatMap(({ typeface, subsets }) => [
      ...subsets.map((subset) => faceRule(context, typeface, subset)),
      ...fallbackFaces(context, typeface, letters, weightsOf(typeface)),
    ]),
    files: faces.flatMap(({ typeface, subsets }) => subsets.map((subset) => faceFile(typeface.id, subset))),
  };
}
