import { beforeEach, describe, expect, test } from '@jest/globals';
import { itemsOf, runEdit, walkMenu, type Site } from '@hamaca/core';
import { DEMO } from '../../../../../core/test/demo.ts';
import type { SiteStore } from '../../../store/site-store.ts';
import {
  enterSite,
  goToLine,
  linksStore,
  selectTo,
  setFolded,
  showLink,
} from '../../../store/links-store.ts';
import { createOutlineActions } from './outline-actions.ts';

/** A store that edits in memory and remembers the name of each step of undo. */
function memoryStore() {
  let site: Site = DEMO;
  const steps: string[] = [];
  const store = {
    getState: () => ({ site }),
    edit: (edit: Parameters<SiteStore['edit']>[0], label: string) => {
      const ran = runEdit(site, edit);
      if (ran.ok && ran.value.patch.length > 0) {
        site = ran.value.site;
        steps.push(label);
      }
      return ran.ok;
    },
  } as unknown as SiteStore;
  return { store, steps, site: () => site };
}

const lines = (site: Site, menu = 'main') => {
  const found: string[] = [];
  const entry = site.menus.find(({ id }) => id === menu);
  if (entry)
    walkMenu(entry, '', ({ item, depth }) => {
      found.push(`${'-'.repeat(depth - 1)}${item.label}`);
    });
  return found;
};
const idOf = (site: Site, label: string) =>
  [...itemsOf(site).values()].find(({ item }) => item.label === label)?.item.id ?? '';
const start = () => {
  const memory = memoryStore();
  return {
    ...memory,
    actions: createOutlineActions(memory.store, 'main'),
    at: (label: string) => {
      goToLine(idOf(memory.site(), label));
    },
  };
};
const caretLabel = (site: Site) => itemsOf(site).get(linksStore.getState().caret ?? '')?.item.label;

beforeEach(() => {
  enterSite(`site-${Math.random()}`);
});

describe('adding', () => {
  test('a line goes behind the caret’s, or beneath an unfolded parent, and the caret with it', () => {
    const { actions, site, at, steps } = start();
    at('News');
    actions.addAfterCaret();
    expect(lines(site()).slice(-3)).toEqual(['News', '', 'Contact']);
    expect(linksStore.getState().wanted).toMatchObject({ column: 'label' });
    at('Learn');
    actions.addAfterCaret();
    expect(lines(site()).slice(lines(site()).indexOf('Learn')).slice(0, 3)).toEqual([
      'Learn',
      '-',
      '-School days',
    ]);
    actions.addAtEnd();
    expect(lines(site()).at(-1)).toBe('');
    expect(steps).toEqual(['Add a link', 'Add a link', 'Add a link']);
  });
  test('links from elsewhere are put in together and taken together', () => {
    const { actions, site, at } = start();
    at('Give');
    actions.insert(
      {
        items: ['Donate', 'Adopt a nest'].map((label) => ({
          id: label.slice(0, 3),
          label,
          target: { kind: 'none' },
          children: [],
        })),
      },
      'Paste links',
    );
    expect(lines(site()).slice(-5)).toEqual(['-Give', '-Donate', '-Adopt a nest', 'News', 'Contact']);
    expect(actions.selectedIds()).toHaveLength(2);
    expect(caretLabel(site())).toBe('Donate');
  });
});

describe('pasting into a line that was only made', () => {
  const pasted = { items: [{ id: 'don', label: 'Donate', target: { kind: 'none' }, children: [] }] } as const;
  test('fills it, in one step', () => {
    const { actions, site, at, steps } = start();
    at('News');
    actions.addAfterCaret();
    actions.insert(pasted, 'Paste a link');
    expect(lines(site()).slice(-3)).toEqual(['News', 'Donate', 'Contact']);
    expect(caretLabel(site())).toBe('Donate');
    expect(steps).toEqual(['Add a link', 'Paste a link']);
  });
  test('leaves one that has words, or a target', () => {
    const { actions, site, at } = start();
    at('News');
    actions.insert(pasted, 'Paste a link');
    expect(lines(site()).slice(-3)).toEqual(['News', 'Donate', 'Contact']);
  });
});

describe('taking several lines', () => {
  test('a range is what stands between anchor and caret, as it is seen', () => {
    const { actions, site, at } = start();
    setFolded((folded) => {
      folded.add(idOf(site(), 'Visit'));
    });
    at('Visit');
    selectTo(idOf(site(), 'Birds'), actions.visibleIds());
    expect(actions.selectedIds().map((id) => itemsOf(site()).get(id)?.item.label)).toEqual([
      'Visit',
      'Birds',
    ]);
    actions.selectAll();
    expect(actions.selectedIds()).toHaveLength(22 - 7);
  });
  test('steps move all of them once; where nothing can move nothing is kept', () => {
    const { actions, site, at, steps } = start();
    at('News');
    selectTo(idOf(site(), 'Contact'), actions.visibleIds());
    actions.step('down', 'label');
    expect(steps).toEqual([]);
    actions.step('in', 'label');
    expect(lines(site()).slice(-3)).toEqual(['-Give', '-News', '-Contact']);
    expect(linksStore.getState().selected.size).toBe(2);
    actions.step('out', 'label');
    expect(lines(site())).toEqual(lines(DEMO));
    expect(steps).toEqual(['Move 2 links', 'Move 2 links']);
  });
  test('nesting unfolds the parent, so that what was nested is seen', () => {
    const { actions, site, at } = start();
    setFolded((folded) => {
      folded.add(idOf(site(), 'Join in'));
    });
    at('News');
    actions.step('in', 'label');
    expect(linksStore.getState().folded.has(idOf(site(), 'Join in'))).toBe(false);
    expect(actions.visibleIds()).toContain(idOf(site(), 'News'));
  });
  test('removing leaves the caret in the line before', () => {
    const { actions, site, at, steps } = start();
    at('Birds');
    selectTo(idOf(site(), 'Learn'), actions.visibleIds());
    actions.remove();
    expect(lines(site()).filter((line) => !line.startsWith('-'))).toEqual([
      'Visit',
      'Join in',
      'News',
      'Contact',
    ]);
    expect(caretLabel(site())).toBe('Access for all');
    at('Contact');
    actions.remove();
    expect(steps).toEqual(['Remove 5 links', 'Remove “Contact”']);
    expect(caretLabel(site())).toBe('News');
  });
  test('removing all of them leaves no caret behind', () => {
    const { actions, site } = start();
    actions.selectAll();
    actions.remove();
    expect(lines(site())).toEqual([]);
    expect(linksStore.getState()).toMatchObject({ caret: null, anchor: null });
    actions.remove();
    actions.duplicate();
    expect(lines(site())).toEqual([]);
  });
  test('duplicating goes to the copy', () => {
    const { actions, site, at } = start();
    at('News');
    actions.duplicate();
    expect(lines(site()).slice(-3)).toEqual(['News', 'News', 'Contact']);
    expect(linksStore.getState().caret).not.toBe(idOf(DEMO, 'News'));
  });
});

describe('seeing', () => {
  test('folds, details and another menu', () => {
    const { actions, site, at } = start();
    actions.foldAll(true);
    expect(actions.visibleIds()).toHaveLength(6);
    actions.foldAll(false);
    at('Visit');
    actions.toggleFold(idOf(site(), 'Visit'));
    expect(actions.visibleIds()).toHaveLength(22 - 7);
    actions.toggleDetails();
    expect(linksStore.getState().open).toBe(idOf(site(), 'Visit'));
    actions.toggleDetails();
    expect(linksStore.getState().open).toBeNull();
    showLink(site(), idOf(site(), 'Pond'));
    expect(linksStore.getState()).toMatchObject({ menu: 'social', caret: idOf(site(), 'Pond') });
    actions.foldAll(true);
    showLink(site(), idOf(site(), 'Reed hide'));
    expect(actions.visibleIds()).toContain(idOf(site(), 'Reed hide'));
    enterSite('elsewhere');
    expect(linksStore.getState()).toMatchObject({ menu: null, caret: null, site: 'elsewhere' });
  });
});
