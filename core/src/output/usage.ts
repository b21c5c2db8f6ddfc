import { memoise } from '../base/memo.ts';
import { property } from '../kinds/properties/properties.ts';
import type { ConditionalRule } from '../print/trees.ts';

/** What rules name that has to be declared elsewhere. */
export interface Usage {
  /** Families by their output's name, first of each stack. */
  readonly families: ReadonlySet<string>;
  /** Custom properties that are read. */
  readonly variables: ReadonlySet<string>;
  /** Movements by their output's name. */
  readonly animations: ReadonlySet<string>;
}

const [FAMILY] = property('family').css;
const [ANIMATION] = property('iconMotion').css;

/** What a list of rules names, in order. Lists that an edit leaves alone are not read again. */
const usageOf = memoise((rules: readonly ConditionalRule[]): Usage => {
  const families = new Set<string>();
  const variables = new Set<string>();
  const animations = new Set<string>();
  for (const { rule } of rules) {
    for (const [name, value] of rule.declarations) {
      if (name === FAMILY) families.add(value.split(',')[0] ?? '');
      if (name === ANIMATION && value !== 'none') animations.add(value);
      if (value.includes('var('))
        for (const match of value.matchAll(/var\((--[\w-]+)/g)) variables.add(match[1] ?? '');
    }
  }
  return { families, variables, animations };
});

/** What several lists of rules name, each thing once. */
export function joinUsages(lists: readonly (readonly ConditionalRule[])[]): Usage {
  const families = new Set<string>();
  const variables = new Set<string>();
  const animations = new Set<string>();
  for (const list of lists) {
    const usage = usageOf(list);
    for (const family of usage.families) families.add(family);
    for (const variable of usage.variables) variables.add(variable);
    for (const animation of usage.animations) animations.add(animation);
  }
  return { families, variables, animations };
}
