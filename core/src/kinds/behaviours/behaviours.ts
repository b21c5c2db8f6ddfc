import { BUILT, STOPPABLE } from './built.ts';
import type { Behaviour } from './tools.ts';

const behaviour = <const Id extends keyof typeof BUILT>(
  id: Id,
  does: string,
  ...attributes: readonly string[]
): Behaviour<Id> => ({
  id,
  does,
  attributes,
  script: BUILT[id],
  stoppable: STOPPABLE[id],
});

/**
 * Everything the script can do, in the order it is started: what moves parts comes after what listens to them. Among
 * those that may stand anywhere, the order is the one that packs best.
 */
export const BEHAVIOURS = [
  behaviour('current', 'marks the links to the page it is on'),
  behaviour('sight', 'marks the link to the section in sight', 'sight'),
  behaviour('single', 'closes submenus beside the one that opens in a panel', 'single'),
  behaviour(
    'disclosure',
    'opens and closes what buttons control, submenus where asked by pointing',
    'open',
    'edge',
    'hover',
  ),
  behaviour('arrows', 'leads from link to link by arrow keys, Home and End'),
  behaviour('swipe', 'closes panels by a sweep of a finger', 'swipe'),
  behaviour('hides', 'tells the stylesheet on which way the page is scrolled', 'down'),
  behaviour('rest', 'moves links that a row has no room for into a submenu of their own', 'rest'),
  behaviour('panel', 'opens and closes panels', 'bare', 'scrim', 'link'),
  behaviour('appears', 'tells the stylesheet that the page is scrolled far enough', 'past'),
  behaviour('distance', 'tells the stylesheet how far the page is scrolled'),
  behaviour('year', 'keeps years of legal lines right', 'year'),
  behaviour('fold', 'moves parts to their berth and back', 'berth'),
  behaviour('scrolled', 'tells the stylesheet that the page is scrolled', 'scrolled'),
  behaviour('summons', 'opens panels by elements of the page', 'by'),
  behaviour('away', 'closes panels once the page is scrolled on', 'away'),
] as const;

export type BehaviourId = (typeof BEHAVIOURS)[number]['id'];

/** Starts behaviours on all roots: the source text of the function they are handed to, for good and to be stopped. */
export const JOIN = { script: BUILT.join, stoppable: STOPPABLE.join } as const;

/** The behaviours that are needed, in the order they are started. */
const orderedBehaviours = (needed: ReadonlySet<BehaviourId>) =>
  BEHAVIOURS.filter((behaviour) => needed.has(behaviour.id));

/**
 * A script that starts behaviours on all elements that a selector finds: classic, without globals, harmless when loaded twice. Of one
 * that can be stopped the text is an expression that answers how.
 */
export function joinBehaviours(
  prefix: string,
  roots: string,
  needed: ReadonlySet<BehaviourId>,
  form: 'script' | 'stoppable',
): string {
  const starts = orderedBehaviours(needed).map((one) => one[form]);
  return `(${JOIN[form]})(${JSON.stringify(prefix)},${JSON.stringify(roots)},[${starts.join(',')}]);\n`;
}
