import { sameJson } from '../base/json.ts';
import { slotKind } from '../kinds/placed.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import type { Site } from '../kinds/site.ts';
import type { Declaration } from '../print/trees.ts';
import { resolve, type Question } from './resolve.ts';
import { formatValue } from './value-text.ts';

/** Physical names and shorthands of others, as the sheet's properties are declared. */
const OTHER_NAMES: readonly (readonly [own: RegExp, declared: string])[] = [
  [/^padding-(?:left|right)$/, 'padding-inline'],
  [/^padding-(?:top|bottom)$/, 'padding-block'],
  [/^margin-(?:left|right)$/, 'margin-inline'],
  [/^margin-(?:top|bottom)$/, 'margin-block'],
  [/^border-(?:left|right)/, 'border-inline'],
  [/^border-(?:top|bottom)(?!-.*radius)/, 'border-block'],
  [/^border(?:-[a-z]+)*-radius$/, 'border-radius'],
  [/^(?:min-|max-)?width$/, 'inline-size'],
  [/^(?:min-|max-)?height$/, 'block-size'],
  [/^font$/, 'line-height'],
  [/^(?:row|column)-gap$/, 'gap'],
];

const isRadius = (name: string) => name.endsWith('-radius');
const isWithin = (inner: string, outer: string) => inner === outer || inner.startsWith(`${outer}-`);

/** Whether a declaration of the designer's own says what a property's declaration says. */
function clashes(own: string, declared: string): boolean {
  if (isRadius(own) && isRadius(declared)) return true;
  if (isWithin(own, declared) || isWithin(declared, own)) return true;
  return OTHER_NAMES.some(([form, other]) => form.test(own) && isWithin(declared, other));
}

/** One declaration of the designer's own, and what of the sheet it goes before. */
export interface Overridden {
  readonly declaration: Declaration;
  readonly over: readonly { readonly property: PropertyId; readonly value: string }[];
}

/** What the sheet says at a place that own declarations there go before; values nobody said are left out. */
export function overriddenBy(
  site: Site,
  question: Omit<Question, 'property'>,
  declarations: readonly Declaration[],
): Overridden[] {
  const ids = slotKind(site, question)?.properties ?? [];
  return declarations.map((declaration) => ({
    declaration,
    over: ids.flatMap((id) => {
      const entry = property(id);
      if (entry.on !== undefined || !entry.css.some((name) => clashes(declaration[0], name))) return [];
      const value = resolve(site, { ...question, property: id })?.value;
      return value === undefined || sameJson(value, entry.initial)
        ? []
        : [{ property: id, value: formatValue(site, value) }];
    }),
  }));
}
