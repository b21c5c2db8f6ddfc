import { containedPadding } from '../kinds/out.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import type { Declaration } from '../print/trees.ts';
import type { Value } from '../values/values.ts';
import type { CompileContext } from './context.ts';
import { declareBeneath, isSaidBeneath } from './hang.ts';
import type { Candidate } from './passes/prune.ts';
import type { SlotPlace } from './slot-place.ts';
import { valueDeclarations } from './values.ts';

/** Where a value is said. */
type At = Pick<Candidate, 'state' | 'level' | 'band'>;

const WEAKEST: At = { state: 'rest', level: 'all', band: 'all' };

/** Whether nothing weaker could say otherwise. */
export const isWeakest = ({ state, level, band }: At): boolean =>
  state === 'rest' && level === 'all' && band === 'all';

/** The declarations a value of a slot becomes where it is said. */
export function declare(
  context: CompileContext,
  { owner, slot, contained, variable }: SlotPlace,
  id: PropertyId,
  value: Value,
  at: At = WEAKEST,
): readonly Declaration[] {
  const all = valueDeclarations(context, id, value);
  // Corners that are not round are so without a word where nothing weaker could round them.
  const declarations =
    property(id).kind === 'corners' && isWeakest(at) ? all.filter(([, css]) => css !== '0') : all;
  if (isSaidBeneath(context, owner.id, slot, id, at.band))
    return [...declarations, declareBeneath(context, slot, id, value)];
  const before = at.state === 'rest' ? variable(id) : null;
  if (before !== null)
    return declarations.map(([name, css]): Declaration => [name, `var(${before}, ${css})`]);
  if (id !== 'paddingInline' || contained === null) return declarations;
  return declarations.map(([name, css]): Declaration => [name, containedPadding(css, contained)]);
}
