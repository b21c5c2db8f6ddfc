import { BEHAVIOURS, JOIN, type BehaviourId } from '../kinds/behaviours/behaviours.ts';
import type { CompileContext } from './context.ts';

/** The behaviours that are needed, in the order they are started. */
export const orderedBehaviours = (needed: ReadonlySet<BehaviourId>) =>
  BEHAVIOURS.filter((behaviour) => needed.has(behaviour.id));

/**
 * The script: classic, without globals, harmless when loaded twice. As an expression it answers how to stop it, which
 * the stage uses; empty where nothing is needed.
 */
export function printScript({ names }: CompileContext, needed: ReadonlySet<BehaviourId>): string {
  const behaviours = orderedBehaviours(needed);
  if (behaviours.length === 0) return '';
  const starts = behaviours.map(({ script }) => script).join(',\n');
  return `(${JOIN})(${JSON.stringify(names.prefix)},${JSON.stringify(`.${names.root}`)},[\n${starts}\n]);\n`;
}
