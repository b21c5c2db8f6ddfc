import { BEHAVIOURS, JOIN, type BehaviourId } from '../kinds/behaviours/behaviours.ts';
import type { CompileContext } from './context.ts';

/** The behaviours that are needed, in the order they are started. */
export const orderedBehaviours = (needed: ReadonlySet<BehaviourId>) =>
  BEHAVIOURS.filter((behaviour) => needed.has(behaviour.id));

/**
 * The script: classic, without globals, harmless when loaded twice; empty where nothing is needed. That of the stage is an
 * expression that answers how to stop it.
 */
export function printScript({ names, pinnable }: CompileContext, needed: ReadonlySet<BehaviourId>): string {
  const behaviours = orderedBehaviours(needed);
  if (behaviours.length === 0) return '';
  const form = pinnable ? 'stoppable' : 'script';
  const starts = behaviours.map((behaviour) => behaviour[form]).join(',');
  return `(${JOIN[form]})(${JSON.stringify(names.prefix)},${JSON.stringify(`.${names.root}`)},[${starts}]);\n`;
}
