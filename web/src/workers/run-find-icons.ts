import type { IconAnswer, IconQuestion } from './find-icons.ts';

const waiting = new Map<number, (answer: IconAnswer) => void>();
let worker: Worker | null = null;
let count = 0;

type WithoutId<Question> = Question extends unknown ? Omit<Question, 'id'> : never;

/** Asks the library in its worker, which stays for the next question. */
async function ask(question: WithoutId<IconQuestion>): Promise<readonly (string | null)[]> {
  if (!worker) {
    worker = new Worker(new URL('./find-icons.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', (event: MessageEvent<IconAnswer>) => {
      waiting.get(event.data.id)?.(event.data);
      waiting.delete(event.data.id);
    });
  }
  const id = ++count;
  const answered = new Promise<IconAnswer>((take) => {
    waiting.set(id, take);
  });
  worker.postMessage({ ...question, id });
  const { found } = await answered;
  if (!found) throw new Error('The icon library cannot be reached.');
  return found;
}

/** Names of icons that a search finds, the plainest first. */
export const searchIcons = async (typed: string, most: number): Promise<readonly string[]> =>
  (await ask({ typed, most })).filter((name) => name !== null);

/** To each label the icon that fits it best. */
export const iconsForLabels = (labels: readonly string[]): Promise<readonly (string | null)[]> =>
  ask({ labels });
