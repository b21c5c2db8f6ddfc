import type { PropertyId } from '../kinds/properties/properties.ts';
import type { LookRules } from './look-rules.ts';
import type { Usage } from './usage.ts';

/** The families a slot is set in, and the weights, by what its rules and those it inherits from say. */
interface Type {
  readonly families: ReadonlySet<string>;
  readonly weights: ReadonlySet<string>;
}

/** What a slot has: its own where its look always says it, and what it inherits as well where not. */
const had = (
  own: ReadonlySet<string>,
  inherited: ReadonlySet<string>,
  isAlways: boolean,
): ReadonlySet<string> => (isAlways && own.size > 0 ? own : new Set([...own, ...inherited]));

/**
 * The weights each family is used in, as they are written: a stand-in is needed for no others. `usages` are those of the
 * looks' rules, in their order.
 */
export function weightsByFamily(
  looks: LookRules,
  root: Type,
  usages: readonly Usage[],
): ReadonlyMap<string, ReadonlySet<string>> {
  const types = new Map<string, Type>();
  const found = new Map<string, Set<string>>();
  const add = ({ families, weights }: Type) => {
    for (const family of families) {
      const known = found.get(family);
      if (known) for (const weight of weights) known.add(weight);
      else found.set(family, new Set(weights));
    }
  };
  add(root);
  // A slot may stand in one that comes later: twice is enough for every way down.
  for (const isLast of [false, true])
    looks.forEach(({ place: { owner, slot, kind }, look }, index) => {
      const own = usages[index];
      if (!own) return;
      const inherited = types.get(`${owner.id} ${kind.inside ?? kind.inherits ?? ''}`) ?? root;
      const says = (id: PropertyId) =>
        kind.typeStyle !== undefined ||
        kind.defaults[id] !== undefined ||
        look['all']?.rest?.['all']?.[id] !== undefined;
      const type = {
        families: had(own.families, inherited.families, says('family')),
        weights: had(own.weights, inherited.weights, says('weight')),
      };
      types.set(`${owner.id} ${slot}`, type);
      if (isLast && kind.text !== 'none') add(type);
    });
  return found;
}
