import { memoise } from '../base/memo.ts';
import { property } from '../kinds/properties/properties.ts';
import type { ConditionalRule } from '../print/trees.ts';

/** What rules name that has to be declared elsewhere. */
export interface Usage {
  /** Families by their output's name, first of each stack. */
  readonly families: ReadonlySet<string>;
  /** Weights of type, as they are written. */
  readonly weights: ReadonlySet<string>;
  /** Custom properties that are read. */
  readonly variables: ReadonlySet<string>;
  /** Movements by their output's name. */
  readonly animations: ReadonlySet<string>;
}

/** The name of a custom property. */
const NAME = /^--[\w-]+/;

const [FAMILY] = property('family').css;
const [WEIGHT] = property('weight').css;
const [ANIMATION] = property('iconMotion').css;

/** What a list of rules names, in order. Lists that an edit leaves alone are not read again. */
export const usageOf = memoise((rules: readonly ConditionalRule[]): Usage => {
  const families = new Set<string>();
  const weights = new Set<string>();
  const variables = new Set<string>();
  const animations = new Set<string>();
  for (const { rule } of rules) {
    for (const [name, value] of rule.declarations) {
      if (name === FAMILY) families.add(value.split(',')[0] ?? '');
      if (name === WEIGHT) weights.add(value);
      if (name === ANIMATION && value !== 'none') animations.add(value);
      if (name === 'animation') animations.add(value.split(' ')[0] ?? '');
      for (let at = value.indexOf('var('); at !== -1; at = value.indexOf('var(', at + 4))
        variables.add(NAME.exec(value.slice(at + 4))?.[0] ?? '');
    }
  }
  return { families, weights, variables, animations };
});

const isSameSet = (a: ReadonlySet<string>, b: ReadonlySet<string>): boolean => {
  if (a.size !== b.size) return false;
  for (const entry of a) if (!b.has(entry)) return false;
  return true;
};

/** Whether two lists of rules name the same. */
export const isSameUsage = (a: Usage, b: Usage | undefined): boolean =>
  a === b ||
  (b !== undefined &&
    isSameSet(a.families, b.families) &&
    isSameSet(a.weights, b.weights) &&
    isSameSet(a.variables, b.variables) &&
    isSameSet(a.animations, b.animations));

/** What several lists of rules name together, each thing once. */
export function joinUsages(usages: readonly Usage[]): Usage {
  const families = new Set<string>();
  const weights = new Set<string>();
  const variables = new Set<string>();
  const animations = new Set<string>();
  for (const usage of usages) {
    for (const family of usage.families) families.add(family);
    for (const weight of usage.weights) weights.add(weight);
    for (const variable of usage.variables) variables.add(variable);
    for (const animation of usage.animations) animations.add(animation);
  }
  return { families, weights, variables, animations };
}
