import { partKind } from '../kinds/catalogue.ts';
import { partsOf } from '../kinds/placed.ts';
import { cssString } from '../print/css.ts';
import { styleRule, type ConditionalRule, type Declaration } from '../print/trees.ts';
import { countLetters, fallbackMetrics } from '../text/fallback-metrics.ts';
import { findTypeface, type Typeface } from '../text/typefaces.ts';
import type { CompileContext } from './context.ts';
import { fallbackName, familyName } from './values.ts';

/** The typefaces of some families, in their order. */
export function typefacesOf(context: CompileContext, families: ReadonlySet<string>): Typeface[] {
  return [...families]
    .map((name) => name.slice(context.names.prefix.length))
    .map((id) => findTypeface(id, context.site.typefaces))
    .filter((typeface) => typeface !== null);
}

/** The words of the pieces: the sample their fallback faces are fitted to. */
function sample({ site, pieces }: CompileContext): string {
  const texts = pieces.flatMap((piece) =>
    partsOf(site, piece).flatMap((part) => partKind(part).texts(part as never, site)),
  );
  return texts.join(' ').slice(0, 5000);
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

/** The faces a site uses, each with a system face scaled to its measures, so that nothing moves when it arrives. */
export function fontRules(context: CompileContext, typefaces: readonly Typeface[]): ConditionalRule[] {
  const letters = countLetters(sample(context));
  return typefaces.flatMap((typeface) => {
    const face: Declaration[] = [
      ['font-family', familyName(context, typeface.id)],
      ['src', `url(${context.fontBase}${typeface.id}.woff2) format("woff2")`],
      ['font-weight', typeface.weights.join(' ')],
      ['font-display', 'swap'],
    ];
    return [styleRule('@font-face', face), ...fallbackFace(context, typeface, letters)];
  });
}
