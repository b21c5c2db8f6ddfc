import { MAY_MOVE } from '../kinds/out.ts';
import { styleRule, type ConditionalRule, type Declaration } from '../print/trees.ts';
import { readDeclarations } from '../values/kinds/declarations.ts';
import type { Value } from '../values/values.ts';

/** The declarations a designer wrote; none where they cannot be read, which documents do not hold. */
export function ownDeclarations(value: Value): readonly Declaration[] {
  const read = readDeclarations(typeof value === 'string' ? value : '');
  return read.ok ? read.value : [];
}

/** Whether a declaration moves something: never where a visitor asked for no motion. */
const moves = ([name]: Declaration): boolean => /^(?:animation|transition|view-transition)\b/.test(name);

/** Rules of the designer's own declarations: they stand where they are, behind what the sheet says for the same place. */
export function ownRules(
  selector: string,
  declarations: readonly Declaration[],
  conditions: readonly string[],
): ConditionalRule[] {
  const still = declarations.filter((own) => !moves(own));
  const moving = declarations.filter(moves);
  return [
    ...(still.length > 0 ? [{ ...styleRule(selector, still, ...conditions), stays: true }] : []),
    ...(moving.length > 0 ? [{ ...styleRule(selector, moving, ...conditions, MAY_MOVE), stays: true }] : []),
  ];
}
