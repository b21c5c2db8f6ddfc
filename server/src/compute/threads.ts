import { Worker } from 'node:worker_threads';
import { PROBLEMS } from '../problem.ts';
import type { Compute, Emit, TaskAnswer, TaskInput, TaskName } from './tasks.ts';
import type { ThreadAnswer } from './thread.ts';

export interface ThreadOptions {
  /** The script a thread runs. */
  readonly script: URL;
  /** Most threads at once. */
  readonly most: number;
  /** Milliseconds a task may take. */
  readonly limit: number;
}

/** Megabytes a thread may fill; a task that needs more is stopped. */
const MOST_MEMORY = 1024;

interface Job {
  readonly name: TaskName;
  readonly input: unknown;
  readonly signal: AbortSignal;
  readonly emit: Emit | undefined;
  readonly resolve: (answer: never) => void;
  readonly reject: (reason: unknown) => void;
}

/** Nobody waits for the answer any more. */
const gone = () => new Error('Whoever asked has gone.');

/** Does work in threads, so that it holds up nobody else. A task that takes too long ends with its thread. */
export function createThreads({ script, most, limit }: ThreadOptions): Compute {
  const idle: Worker[] = [];
  const waiting: Job[] = [];
  const all = new Set<Worker>();
  let busy = 0;

  const makeThread = (): Worker => {
    const thread = new Worker(script, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY } });
    all.add(thread);
    thread.once('exit', () => {
      all.delete(thread);
      const at = idle.indexOf(thread);
      if (at >= 0) idle.splice(at, 1);
    });
    return thread;
  };

  const start = (job: Job): void => {
    const thread = idle.pop() ?? makeThread();
    busy++;
    let isDone = false;
    /** Ends the job once, whichever way; a thread that is still at it ends too. */
    const finish = (isFree: boolean, tell: () => void) => {
      if (isDone) return;
      isDone = true;
      busy--;
      clearTimeout(timer);
      job.signal.removeEventListener('abort', onAbort);
      thread.removeAllListeners('message');
      thread.removeAllListeners('error');
      if (isFree) idle.push(thread);
      else {
        thread.on('error', () => undefined);
        void thread.terminate();
      }
      tell();
      next();
    };
    const onAbort = () => {
      finish(false, () => {
        job.reject(gone());
      });
    };
    const timer = setTimeout(() => {
      finish(false, () => {
        job.reject(PROBLEMS.tookTooLong(limit / 1000));
      });
    }, limit);
    job.signal.addEventListener('abort', onAbort);
    thread.on('message', (said: ThreadAnswer) => {
      if ('piece' in said) {
        if (!isDone) job.emit?.(said.piece);
        return;
      }
      finish(true, () => {
        if ('failed' in said) job.reject(new Error(said.failed));
        else job.resolve(said.answer as never);
      });
    });
    thread.on('error', (error: Error & { code?: string }) => {
      finish(false, () => {
        job.reject(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? PROBLEMS.tookTooMuch() : error);
      });
    });
    thread.postMessage({ name: job.name, input: job.input });
  };

  const next = (): void => {
    while (busy < most) {
      const job = waiting.shift();
      if (!job) return;
      if (job.signal.aborted) job.reject(gone());
      else start(job);
    }
  };

  return {
    run: <Name extends TaskName>(name: Name, input: TaskInput<Name>, signal: AbortSignal, emit?: Emit) =>
      new Promise<TaskAnswer<Name>>((resolve, reject) => {
        waiting.push({ name, input, signal, emit, resolve, reject });
        next();
      }),
    end: async () => {
      await Promise.all([...all].map((thread) => thread.terminate()));
    },
  };
}
