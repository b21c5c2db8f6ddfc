import { WORDS } from '../words/words.ts';
import { notify } from './notices.ts';

/** Copies a text and says so. */
export async function copyText(text: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    notify({ tone: 'info', text: WORDS.copied });
  } catch {
    // Whatever the browser's reason, it can be copied by hand.
    notify({ tone: 'error', text: WORDS.copyFailed });
  }
}
