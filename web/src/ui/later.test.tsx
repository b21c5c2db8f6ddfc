/** @jest-environment jsdom */
import { beforeEach, expect, test } from '@jest/globals';
import { act } from 'react';
import { createRoot } from 'react-dom/client';
import { noticeStore } from '../store/notices.ts';
import { later } from './later.tsx';

const Word = ({ text }: { readonly text: string }) => <b>{text}</b>;

beforeEach(() => {
  Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });
  document.body.innerHTML = '<div></div>';
  noticeStore.setState({ notices: [] });
});

const draw = async (node: React.ReactNode) => {
  const root = createRoot(document.body.firstElementChild as Element);
  await act(async () => {
    root.render(node);
    await Promise.resolve();
  });
  return document.body.textContent;
};

test('what is not there yet leaves its room, and is drawn when it comes', async () => {
  let come: (component: typeof Word) => void = () => undefined;
  const Later = later<{ readonly text: string }>(
    async () =>
      new Promise((resolve) => {
        come = resolve;
      }),
    <i>…</i>,
  );
  expect(await draw(<Later text="here" />)).toBe('…');
  await act(async () => {
    come(Word);
    await Later.load();
  });
  expect(document.body.innerHTML).toBe('<div><b>here</b></div>');
});

test('what was loaded before is drawn at once', async () => {
  const Later = later<{ readonly text: string }>(async () => Promise.resolve(Word), <i>…</i>);
  await Later.load();
  const root = createRoot(document.body.firstElementChild as Element);
  act(() => {
    root.render(<Later text="at once" />);
  });
  expect(document.body.textContent).toBe('at once');
});

test('what cannot be loaded is said, and tried again by the next who needs it', async () => {
  let tries = 0;
  const Later = later<{ readonly text: string }>(async () => {
    tries++;
    return tries === 1 ? Promise.reject(new Error('no network')) : Promise.resolve(Word);
  });
  expect(await draw(<Later text="x" />)).toBe('');
  expect(noticeStore.getState().notices[0]?.text).toContain('no network');
  await Later.load();
  expect(tries).toBe(2);
});
