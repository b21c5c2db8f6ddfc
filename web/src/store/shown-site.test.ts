/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { EMPTY_HISTORY } from '@hamaca/core';
import { createStore } from 'zustand/vanilla';
import { DEMO } from '../../../core/test/demo.ts';
import { showSite } from './shown-site.ts';
import type { SiteState } from './site-store.ts';

const open = () =>
  createStore<SiteState>(() => ({
    id: 'x',
    status: 'ready',
    site: DEMO,
    previewing: false,
    history: EMPTY_HISTORY,
    saving: 'saved',
    kept: true,
    unsent: 0,
  }));
const named = (name: string) => ({ ...DEMO, name });

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

test('an edit is drawn at once, the middle of a drag once the stage has painted, and only the newest', () => {
  const store = open();
  const shown = showSite(store);
  const seen: (string | undefined)[] = [];
  shown.subscribe(({ site }) => seen.push(site?.name));
  store.setState({ site: named('Edited') });
  expect(seen).toEqual(['Edited']);
  store.setState({ site: named('Dragged'), previewing: true });
  store.setState({ site: named('Dragged on') });
  expect(seen).toEqual(['Edited']);
  jest.advanceTimersByTime(200);
  expect(seen).toEqual(['Edited', 'Dragged on']);
});

test('the end of a drag does not wait, and nothing older comes after it', () => {
  const store = open();
  const shown = showSite(store);
  store.setState({ site: named('Dragged'), previewing: true });
  store.setState({ site: named('Let go'), previewing: false });
  expect(shown.getState().site?.name).toBe('Let go');
  const seen: unknown[] = [];
  shown.subscribe((state) => seen.push(state));
  jest.advanceTimersByTime(500);
  expect(seen).toEqual([]);
});

test('once closed it follows no more', () => {
  const store = open();
  const shown = showSite(store);
  store.setState({ site: named('Dragged'), previewing: true });
  shown.close();
  store.setState({ site: named('After'), previewing: false });
  jest.advanceTimersByTime(500);
  expect(shown.getState().site?.name).toBe(DEMO.name);
});
