import type { ForeignState, StagedMark, StagedNames } from '@hamaca/core';
import type {
  ComputedStates,
  ElementMarks,
  ForeignContent,
  ForeignPinMessage,
  TextPaint,
} from './protocol.ts';
import { textPaint } from './text-paint.ts';

/*
 * A page that exists already, on the stage: its own elements in the body, its own stylesheets in the head. What it shows was
 * brought along and is handed over as blobs; nothing of it runs.
 */

/** States that a page is put in here. */
const MEASURED: readonly ForeignState[] = ['rest', 'hover', 'focus', 'pressed', 'current', 'open'];

/** What the stage itself marks. */
const CHOSEN = 'data-hamaca-chosen';
const LIT = 'data-hamaca-lit';

/** The ring that browsers draw around what is in focus, beneath everything that a page says. */
const BROWSER_RING = (focus: string) =>
  `@layer hamaca-browser{:where([${focus}]){outline:auto 1px -webkit-focus-ring-color}}`;

/** Longest wait for a stylesheet, in ms: those that are blobs come at once, or never. */
const LONGEST = 3000;

/** Puts the addresses of blobs in for those that begin in a way, and end with a number and a dot. */
const fillIn = (text: string, beginning: string, known: readonly string[]): string =>
  text
    .split(beginning)
    .map((part, index) =>
      index === 0 ? part : part.replace(/^(\d+)\./, (_, at: string) => known[Number(at)] ?? 'data:,'),
    )
    .join('');

function setAttributes(
  element: Element,
  now: Readonly<Record<string, string>>,
  before: readonly string[],
): string[] {
  for (const name of before) element.removeAttribute(name);
  for (const [name, value] of Object.entries(now)) {
    try {
      element.setAttribute(name, value);
    } catch {
      // Readers of markup take names that cannot be set.
    }
  }
  return Object.keys(now);
}

/**
 * Markup as elements. Each of the page's own bears its number: what does not came of markup that is read in another way than it was
 * written, and goes.
 */
function fragmentOf(markup: string, number: string): DocumentFragment {
  const template = document.createElement('template');
  template.innerHTML = markup;
  for (const element of template.content.querySelectorAll(`:not([${number}])`)) element.remove();
  return template.content;
}

const loaded = (link: Element) =>
  new Promise<void>((resolve) => {
    for (const type of ['load', 'error'])
      link.addEventListener(type, () => {
        resolve();
      });
    setTimeout(resolve, LONGEST);
  });

/** How an element is drawn in every state. */
interface MeasuredStates {
  /** Px, as it is just now. */
  readonly height: number;
  readonly paints: readonly TextPaint[];
  readonly computed: ComputedStates;
}

/** What the browser computes of an element or a pseudo-element of it, by longhand, where it is not what it was before. */
function computedStyle(
  element: Element,
  pseudo: string | null,
  before: Readonly<Record<string, string>> = {},
): Record<string, string> {
  const style = getComputedStyle(element, pseudo === null ? null : `::${pseudo}`);
  const found: Record<string, string> = {};
  for (const name of style) {
    const value = style.getPropertyValue(name);
    if (!name.startsWith('--') && value !== before[name]) found[name] = value;
  }
  return found;
}

function setMark(element: Element, name: string, value: string | null): void {
  if (value === null) element.removeAttribute(name);
  else element.setAttribute(name, value);
  // What a visitor did to a box that can be ticked hides what its markup says.
  if (name === 'checked' && element instanceof HTMLInputElement) element.checked = value !== null;
}

/** The page that is shown; its nodes stand in the body after `before` and ahead of whatever follows that. */
export function createForeign(before: Element): {
  readonly isShown: () => boolean;
  readonly show: (page: ForeignContent | null) => Promise<void>;
  /** Freezes a state; answers how high what is chosen is, in px, and how it is drawn in every state. */
  readonly pin: (message: ForeignPinMessage) => MeasuredStates | null;
  /** Which of the page's elements something is, or lies in; null where it is none of them. */
  readonly placeOf: (target: Element) => number | null;
} {
  let nodes: ChildNode[] = [];
  let head: ChildNode[] = [];
  let blobs: string[] = [];
  let attributes: { root: string[]; body: string[] } = { root: [], body: [] };
  let pinned: ForeignPinMessage | null = null;
  let names: StagedNames | null = null;

  const blobOf = (content: BlobPart, type: string) => {
    const address = URL.createObjectURL(new Blob([content], { type }));
    blobs.push(address);
    return address;
  };
  const elementAt = (at: number | null) =>
    at === null || !names ? null : document.querySelector(`[${names.at}="${at}"]`);
  const mark = (name: string, elements: readonly Element[]) => {
    for (const other of document.querySelectorAll(`[${name}]`))
      if (!elements.includes(other)) other.removeAttribute(name);
    for (const element of elements) if (!element.hasAttribute(name)) element.setAttribute(name, '');
  };
  /** Takes the marks of a state back that the page's markup does not bear. */
  let unmark: () => void = () => undefined;
  const setMarks = (marks: readonly StagedMark[]) => {
    unmark();
    const before: (() => void)[] = [];
    for (const { at, attributes } of marks) {
      const element = elementAt(at);
      if (!element) continue;
      for (const [name, value] of Object.entries(attributes)) {
        const was = element.getAttribute(name);
        before.push(() => {
          setMark(element, name, was);
        });
        setMark(element, name, value);
      }
    }
    unmark = () => {
      for (const takeBack of before.reverse()) takeBack();
      unmark = () => undefined;
    };
  };
  const marksFor = (state: ForeignState, marks: ElementMarks | null): readonly StagedMark[] =>
    marks && (state === 'current' || state === 'open') ? marks[state] : [];
  const freeze = (
    known: StagedNames,
    chosen: Element | null,
    state: ForeignState,
    marks: ElementMarks | null,
  ) => {
    setMarks(marksFor(state, marks));
    const around: Element[] = [];
    for (let at = chosen; at; at = at.parentElement) around.push(at);
    // What is open is pointed at in what it lies in.
    const outer = state === 'open' && marks?.opensByPointing === true ? around.slice(1) : [];
    mark(known.hover, state === 'hover' || state === 'pressed' ? around : outer);
    mark(known.active, state === 'pressed' ? around : []);
    mark(known.focus, state === 'focus' && chosen ? [chosen] : []);
    mark(known.within, state === 'focus' ? around : outer);
  };
  /** What it comes to in each state, without what is on its way to it. */
  const measure = (
    known: StagedNames,
    chosen: Element,
    { pseudo, marks }: ForeignPinMessage,
  ): Omit<MeasuredStates, 'height'> => {
    // What the stage draws around what is chosen is not the page's.
    mark(CHOSEN, []);
    mark(LIT, []);
    const still = document.createElement('style');
    still.textContent = '*,*::before,*::after{transition:none!important;animation-duration:0s!important}';
    document.head.append(still);
    const paints: TextPaint[] = [];
    const computed: Partial<Record<ForeignState, Readonly<Record<string, string>>>> = {};
    for (const state of MEASURED) {
      freeze(known, chosen, state, marks);
      if (pseudo === null) paints.push({ state, ...textPaint(chosen) });
      computed[state] = computedStyle(chosen, pseudo, computed.rest);
    }
    still.remove();
    return { paints, computed };
  };
  const pin = (message: ForeignPinMessage) => {
    pinned = message;
    if (!names) return null;
    const chosen = elementAt(message.chosen);
    const measured = chosen && measure(names, chosen, message);
    freeze(names, chosen, message.state, message.marks);
    // In focus its own ring is what is looked at.
    mark(CHOSEN, chosen && message.state !== 'focus' ? [chosen] : []);
    mark(
      LIT,
      message.lit.map(elementAt).filter((element) => element !== null),
    );
    if (message.reveal) chosen?.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' });
    return chosen && measured && { height: chosen.getBoundingClientRect().height, ...measured };
  };
  const clear = () => {
    unmark = () => undefined;
    for (const node of [...nodes, ...head]) node.remove();
    for (const address of blobs) URL.revokeObjectURL(address);
    [nodes, head, blobs] = [[], [], []];
  };
  return {
    isShown: () => nodes.length > 0 || head.length > 0,
    show: async (page) => {
      clear();
      const { documentElement: root, body } = document;
      attributes = {
        root: setAttributes(root, page?.page.rootAttributes ?? {}, attributes.root),
        body: setAttributes(body, page?.page.bodyAttributes ?? {}, attributes.body),
      };
      if (!page) return;
      names = page.names;
      const { file, sheet } = page.names;
      const files = page.files.map(({ bytes, type }) => blobOf(bytes, type));
      const sheets: string[] = [];
      // Those that others import come first.
      const filled = (text: string) => fillIn(fillIn(text, file, files), sheet, sheets);
      for (const text of page.page.sheets) sheets.push(blobOf(filled(text), 'text/css'));
      const styles = fragmentOf(filled(page.page.head), names.at);
      const content = fragmentOf(filled(page.page.body), names.at);
      const links = [...styles.querySelectorAll('link'), ...content.querySelectorAll('link')];
      const waited = links.map(loaded);
      head = [...styles.childNodes];
      nodes = [...content.childNodes];
      const ring = document.createElement('style');
      ring.textContent = BROWSER_RING(names.focus);
      head = [ring, ...head];
      // The output comes after the page's own.
      document.head.prepend(ring, styles);
      before.after(content);
      if (pinned) pin(pinned);
      await Promise.all(waited);
    },
    pin,
    placeOf: (target) => {
      const at = names && target.closest(`[${names.at}]`)?.getAttribute(names.at);
      return at === null || at === undefined ? null : Number(at);
    },
  };
}
