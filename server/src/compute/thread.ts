/** A thread of the server: does one task after another. */
import { parentPort } from 'node:worker_threads';
import { TASKS, type Emit, type TaskName } from './tasks.ts';

/** A task as a thread is told of it. */
export interface ThreadTask {
  readonly name: TaskName;
  readonly input: unknown;
}

/** What a thread says when it is done. */
export type ThreadAnswer =
  { readonly answer: unknown } | { readonly failed: string } | { readonly piece: Uint8Array };

/** Hands a piece over without copying it. */
const emit: Emit = (piece) => {
  const { buffer } = piece.slice();
  parentPort?.postMessage({ piece: new Uint8Array(buffer) }, [buffer]);
};

const run = async ({ name, input }: ThreadTask): Promise<ThreadAnswer> => {
  try {
    return { answer: await (TASKS[name] as (input: unknown, emit: Emit) => Promise<unknown>)(input, emit) };
  } catch (error) {
    return { failed: (error as Error).stack ?? String(error) };
  }
};

parentPort?.on('message', (task: ThreadTask) => {
  void run(task).then((answer) => parentPort?.postMessage(answer));
});
