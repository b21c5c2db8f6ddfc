import { joinBehaviours, type BehaviourId } from '../kinds/behaviours/behaviours.ts';
import type { CompileContext } from './context.ts';

/** The script of a hand-off; empty where nothing is needed. That of the stage is an expression that answers how to stop it. */
export const printScript = ({ names, pinnable }: CompileContext, needed: ReadonlySet<BehaviourId>): string =>
  needed.size === 0
    ? ''
    : joinBehaviours(names.prefix, `.${names.root}`, needed, pinnable ? 'stoppable' : 'script');
