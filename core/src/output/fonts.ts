import { shownLinks } from '../kinds/walk.ts';
import { property } from '../kinds/properties/properties.ts';
import { countLetters, fallbackMetrics } from '../text/fallback-metrics.ts';
import { findTypeface, type Typeface } from '../text/typefaces.ts';
import { outputParts, type CompileContext } from './context.ts';
import { cssString } from '../print/css.ts';
import { rule, type ConditionalRule, type Declaration } from '../print/trees.ts';
import { familyName } from './values.ts';

/** The typefaces a stylesheet names, in the order it does. */
export function usedTypefaces(context: CompileContext, rules: readonly ConditionalRule[]): Typeface[] {
  const families = rules.flatMap(({ rule: { declarations } }) =>
    declarations
      .filter(([name]) => name === property('family').css[0])
      .map(([, value]) => value.split(',')[0] ?? ''),
  );
  const ids = new Set(families.map((name) => name.slice(context.names.prefix.length)));
  return [...ids]
    .map((id) => findTypeface(id, context.site.typefaces))
    .filter((typeface) => typeface !== null);
}

/** All labels of the header: the sample its fallback faces are fitted to. */
function labels(context: CompileContext): string {
  const texts = outputParts(context).flatMap((part): readonly string[] => {
    switch (part.kind) {
      case 'logo':
        return [part.text];
      case 'button':
      case 'shortcut':
        return [part.label];
      case 'menu':
        return shownLinks(context.site, part).flatMap((item) => [item.label, item.description ?? '']);
      case 'text':
        return part.entries.map((entry) => entry.text);
      case 'search':
        return [part.placeholder];
      case 'social':
      case 'image':
      case 'rule':
      case 'opener':
        return [];
    }
  });
  return texts.join(' ').slice(0, 5000);
}

function fallbackFace(
  context: CompileContext,
  typeface: Typeface,
  sample: ReadonlyMap<string, number>,
): ConditionalRule[] {
  const metrics = context.fonts.find((entry) => entry.family === typeface.id);
  if (!metrics) return [];
  const fallback = fallbackMetrics(typeface, metrics, 400, sample);
  return [
    rule('@font-face', [
      ['font-family', `${familyName(context, typeface.id)}-fallback`],
      ['src', fallback.local.map((name) => `local(${cssString(name)})`).join(', ')],
      ['size-adjust', `${fallback.sizeAdjust}%`],
      ['ascent-override', `${fallback.ascent}%`],
      ['descent-override', `${fallback.descent}%`],
      ['line-gap-override', `${fallback.lineGap}%`],
    ]),
  ];
}

/** The faces a header uses, each with a system face scaled to its measures, so that nothing moves when it arrives. */
export function fontRules(context: CompileContext, typefaces: readonly Typeface[]): ConditionalRule[] {
  const sample = countLetters(labels(context));
  return typefaces.flatMap((typeface) => {
    const face: Declaration[] = [
      ['font-family', familyName(context, typeface.id)],
      ['src', `url(${context.fontBase}${typeface.id}.woff2) format("woff2")`],
      ['font-weight', typeface.weights.join(' ')],
      ['font-display', 'swap'],
    ];
    return [rule('@font-face', face), ...fallbackFace(context, typeface, sample)];
  });
}
