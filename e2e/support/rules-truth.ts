import type { CDPSession, Page } from '@playwright/test';
import {
  Cascade,
  createElementSelectors,
  readForeignPage,
  atRestIn,
  situationOf,
  toldProperties,
  type ForeignPage,
  type ForeignState,
} from '@hamaca/core';

type Element = ForeignPage['elements'][number];

/** One value that was foretold wrongly, and what is amiss. */
export interface Wrong {
  readonly element: string;
  readonly state: ForeignState;
  readonly width: number;
  readonly what: string;
}

export interface Compared {
  readonly samples: number;
  readonly wrong: readonly Wrong[];
}

export interface CompareOptions {
  /** Which elements are looked at. */
  readonly at: string;
  readonly most: number;
  readonly widths: readonly number[];
  readonly states: readonly ForeignState[];
}

/** What stands in the navigation of a page. */
export const NAVIGATION = ['nav', 'header', '[role=navigation]', '[class*=nav]', '[class*=menu]']
  .flatMap((part) => [part, `${part} *`])
  .join(', ');

const ORIGIN = 'http://page.example/';
const HEIGHT = 800;

const TYPES: Readonly<Record<string, string>> = {
  js: 'text/javascript',
  css: 'text/css',
  html: 'text/html',
  svg: 'image/svg+xml',
};

/** Shows a page from its files alone: scripts and everything else are refused. */
export async function showPage(
  page: Page,
  files: (path: string) => string | null,
  path: string,
): Promise<void> {
  await page.unrouteAll();
  await page.route('**/*', async (route) => {
    const url = new URL(route.request().url());
    const at = decodeURIComponent(url.pathname.slice(1));
    const body = url.href.startsWith(ORIGIN) ? files(at) : null;
    // Of scripts only what was added runs.
    const isOwnScript = route.request().resourceType() === 'script' && !/(?:^|\/)added\.js$/.test(at);
    if (body === null || isOwnScript) return route.abort();
    return route.fulfill({
      body,
      contentType: `${TYPES[at.split('.').at(-1) ?? ''] ?? 'text/plain'}; charset=utf-8`,
    });
  });
  await page.goto(`${ORIGIN}${path}`, { waitUntil: 'load' });
  // A pointer that rests on the page points at something.
  await page.mouse.move(-10, -10);
}

/** Writes every foretold value on the element itself: where it is right, nothing changes. */
const tryValues = (page: Page, selector: string, told: readonly { name: string; value: string }[]) =>
  page.evaluate(
    ([find, list]) => {
      const element = document.querySelector<HTMLElement>(find);
      if (!element) return [`there is no ${find}`];
      const computed = getComputedStyle(element);
      const original = element.getAttribute('style');
      // Transitions would show the old value for a while.
      const settle = () => {
        for (const animation of element.getAnimations()) animation.cancel();
      };
      settle();
      const wrong: string[] = [];
      for (const { name, value } of list) {
        const before = computed.getPropertyValue(name);
        element.style.setProperty(name, value, 'important');
        const isTaken = element.style.getPropertyValue(name) !== '';
        settle();
        const after = computed.getPropertyValue(name);
        if (original === null) element.removeAttribute('style');
        else element.setAttribute('style', original);
        settle();
        if (!isTaken) wrong.push(`${name}: ${value} is not taken`);
        else if (before !== after) wrong.push(`${name}: ${value} makes ${after} of ${before}`);
      }
      return wrong;
    },
    [selector, told] as const,
  );

/** Puts an element in a state by the browser's own tools, with those around it as they would be. */
async function force(
  session: CDPSession,
  root: number,
  path: readonly string[],
  state: ForeignState,
): Promise<() => Promise<void>> {
  const forced: number[] = [];
  for (const [index, selector] of state === 'rest' ? [] : path.entries()) {
    const { nodeId } = await session.send('DOM.querySelector', { nodeId: root, selector });
    if (nodeId === 0) continue;
    const focused = index === 0 ? ['focus', 'focus-visible', 'focus-within'] : ['focus-within'];
    forced.push(nodeId);
    await session.send('CSS.forcePseudoState', {
      nodeId,
      forcedPseudoClasses: state === 'hover' ? ['hover'] : focused,
    });
  }
  return async () => {
    for (const nodeId of forced)
      await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses: [] });
  };
}

/** The properties that author rules set on an element, as the browser tells them. */
async function authorProperties(session: CDPSession, nodeId: number): Promise<Set<string>> {
  const { matchedCSSRules = [] } = await session.send('CSS.getMatchedStylesForNode', { nodeId });
  const names = new Set<string>();
  for (const { rule } of matchedCSSRules)
    if (rule.origin === 'regular')
      for (const { name, range, parsedOk, disabled } of rule.style.cssProperties)
        if (range && parsedOk !== false && disabled !== true && !name.startsWith('--')) names.add(name);
  return names;
}

function* around(element: Element): Generator<Element> {
  for (let at: Element | null = element; at; at = at.parent && 'attribs' in at.parent ? at.parent : null)
    yield at;
}

/** Holds what is foretold of the elements of a page against a browser: every value, and that none is left out. */
export async function compareRules(
  page: Page,
  files: (path: string) => string | null,
  path: string,
  { at, most, widths, states }: CompareOptions,
): Promise<Compared> {
  const foreign = readForeignPage({ text: files }, path, files(path) ?? '');
  const found = foreign.matcher.select(at, foreign.elements)?.elements ?? [];
  const elements = found.filter(({ name }) => !/^(?:script|style|br|option)$/.test(name)).slice(0, most);
  const selectorOf = createElementSelectors(foreign.elements);
  const session = await page.context().newCDPSession(page);
  const wrong: Wrong[] = [];
  let samples = 0;
  for (const width of widths) {
    await page.setViewportSize({ width, height: HEIGHT });
    await showPage(page, files, path);
    await session.send('DOM.enable');
    await session.send('CSS.enable');
    const { root } = await session.send('DOM.getDocument', { depth: 0 });
    const viewport = { width, height: HEIGHT };
    for (const state of states) {
      const atRest = new Cascade(foreign, atRestIn(viewport));
      for (const element of elements) {
        if (state !== 'rest' && !/^(?:a|button|li|summary|input)$/.test(element.name)) continue;
        const cascade =
          state === 'rest' ? atRest : new Cascade(foreign, situationOf(foreign, element, state, viewport));
        const told = toldProperties(foreign, cascade, element, null);
        const selector = selectorOf(element);
        const { nodeId } = await session.send('DOM.querySelector', { nodeId: root.nodeId, selector });
        const release = await force(session, root.nodeId, [...around(element)].map(selectorOf), state);
        // What is told as uncertain is no claim.
        const certain = told.filter((property) => property.certain);
        samples += certain.length;

        const values = certain.map(({ name, value }) => ({ name, value }));
        for (const what of await tryValues(page, selector, values))
          wrong.push({ element: selector, state, width, what });
        const known = new Set(cascade.candidates(element).map(({ declaration }) => declaration.property));
        for (const name of await authorProperties(session, nodeId))
          if (!known.has(name)) wrong.push({ element: selector, state, width, what: `${name} is left out` });
        await release();
      }
    }
  }
  await session.detach();
  return { samples, wrong };
}
