import { createStore } from 'zustand/vanilla';

/** A short message at the foot of the window; `action` offers one thing to do about it. */
export interface Notice {
  readonly id: number;
  readonly tone: 'info' | 'error';
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}

/** Milliseconds a notice stays; errors and those that offer something stay until they are closed. */
const STAY = 6000;
let count = 0;

export const noticeStore = createStore<{ notices: readonly Notice[] }>(() => ({ notices: [] }));

export function dismissNotice(id: number): void {
  noticeStore.setState(({ notices }) => ({ notices: notices.filter((notice) => notice.id !== id) }));
}

export function notify(notice: Omit<Notice, 'id'>): void {
  const id = ++count;
  // What is said again takes the place of what was said.
  noticeStore.setState(({ notices }) => ({
    notices: [...notices.filter(({ text }) => text !== notice.text).slice(-3), { ...notice, id }],
  }));
  if (notice.tone === 'info' && !notice.action)
    setTimeout(() => {
      dismissNotice(id);
    }, STAY);
}
