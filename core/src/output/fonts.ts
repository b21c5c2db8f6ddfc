import { sampleOf, wordsOf } from '../kinds/texts.ts';
import { cssString } from '../print/css.ts';
import { styleRule, type ConditionalRule } from '../print/trees.ts';
import { countLetters, fallbackMetrics } from '../text/fallback-metrics.ts';
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

function fallbackFace(
  context: CompileContext,
  typeface: Typeface,
  letters: ReadonlyMap<string, number>,
): ConditionalRule[] {
  const metrics = context.fonts.find((entry) => entry.family === typeface.id);
  if (!metrics) return [];
  const fallback = fallbackMetrics(typeface, metrics, 400, letters);
  return [
    styleRule('@font-face', [
      ['font-family', fallbackName(context, typeface.id)],
      ['src', fallback.local.map((name) => `local(${cssString(name)})`).join(', ')],
      ['size-adjust', `${fallback.sizeAdjust}%`],
      ['ascent-override', `${fallback.ascent}%`],
      ['descent-override', `${fallback.descent}%`],
      ['line-gap-override', `${fallback.lineGap}%`],
    ]),
  ];
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
export function makeFaces(context: CompileContext, typefaces: readonly Typeface[]): Faces {
  const words = wordsOf(context.site, context.pieces);
  const letters = countLetters(sampleOf(words));
  const faces = typefaces.map((typeface) => ({
    typeface,
    subsets: [null, ...neededSubsets(words, subsetsOf(typeface.id))],
  }));
  return {
    rules: faces.flatMap(({ typeface, subsets }) => [
      ...subsets.map((subset) => faceRule(context, typeface, subset)),
      ...fallbackFace(context, typeface, letters),
    ]),
    files: faces.flatMap(({ typeface, subsets }) => subsets.map((subset) => faceFile(typeface.id, subset))),
  };
}
