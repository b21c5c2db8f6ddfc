import type { ForeignState, StagedNames } from '@hamaca/core';
import type { ForeignContent, ForeignPinMessage, TextPaint } from './protocol.ts';
import { textPaint } from './text-paint.ts';

/*
 * A page that exists already, on the stage: its own elements in the body, its own stylesheets in the head. What it shows was
 * brought along and is handed over as blobs; nothing of it runs.
 */

/** States that a page can be put in here; who is current only its markup says. */
const MEASURED = ['rest', 'hover', 'focus', 'pressed'] as const;

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

/** The page that is shown; its nodes stand in the body after `before` and ahead of whatever follows that. */
export function createForeign(before: Element): {
  readonly isShown: () => boolean;
  readonly show: (page: ForeignContent | null) => Promise<void>;
  /** Freezes a state; answers how high what is chosen is, in px, and how its text is painted in every state. */
  readonly pin: (message: ForeignPinMessage) => { height: number; paints: readonly TextPaint[] } | null;
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
  const freeze = (known: StagedNames, chosen: Element | null, state: ForeignState) => {
    const around: Element[] = [];
    for (let at = chosen; at; at = at.parentElement) around.push(at);
    mark(known.hover, state === 'hover' || state === 'pressed' ? around : []);
    mark(known.active, state === 'pressed' ? around : []);
    mark(known.focus, state === 'focus' && chosen ? [chosen] : []);
    mark(known.within, state === 'focus' ? around : []);
  };
  /** What it comes to in each state, without what is on its way to it. */
  const paintsOf = (known: StagedNames, chosen: Element): readonly TextPaint[] => {
    const still = document.createElement('style');
    still.textContent = '*,*::before,*::after{transition:none!important;animation-duration:0s!important}';
    document.head.append(still);
    const paints = MEASURED.map((state) => {
      freeze(known, chosen, state);
      return { state, ...textPaint(chosen) };
    });
    still.remove();
    return paints;
  };
  const pin = (message: ForeignPinMessage) => {
    pinned = message;
    if (!names) return null;
    const chosen = elementAt(message.chosen);
    const paints = chosen ? paintsOf(names, chosen) : [];
    freeze(names, chosen, message.state);
    mark('data-hamaca-chosen', chosen ? [chosen] : []);
    mark(
      'data-hamaca-lit',
      message.lit.map(elementAt).filter((element) => element !== null),
    );
    if (message.reveal) chosen?.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' });
    return chosen && { height: chosen.getBoundingClientRect().height, paints };
  };
  const clear = () => {
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
      // The output comes after the page's own.
      document.head.prepend(styles);
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
