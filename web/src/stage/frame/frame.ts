import morphdom from 'morphdom';
import type { Level } from '@hamaca/core';
import { listenToCarrying } from './carry.ts';
import type { FromFrame, PinnedElement, SlotPlace, ToFrame } from './protocol.ts';

/*
 * The stage's side of the isolated frame: shows the real output over a scene, tells what is clicked, freezes states.
 * It has no access to the interface and takes messages only from its parent.
 */

type Render = Extract<ToFrame, { type: 'render' }>;
type Pin = Extract<ToFrame, { type: 'pin' }>;

const style = document.createElement('style');
const ownStyle = document.createElement('style');
ownStyle.textContent = `body{margin:0;background:#fff}[data-chosen]:not([data-pin~=focus]){outline:2px dashed #b9780f!important;outline-offset:1px!important}[data-lit]{box-shadow:0 0 0 2px #fff,0 0 0 5px #b9780f!important}`;
const faceStyle = document.createElement('style');
document.head.append(ownStyle, faceStyle, style);
const holder = document.createElement('div');
const scene = document.createElement('main');
scene.style.display = 'block';
document.body.append(holder, scene);

let last: Render | null = null;
let lastPin: Pin | null = null;

const tell = (message: FromFrame) => {
  parent.postMessage(message, '*');
};

/** The output's own state that a new copy of the markup must not undo. */
const KEPT_ATTRIBUTES = [
  'data-hm-ready',
  'aria-expanded',
  'open',
  'data-hm-bare',
  'data-pin',
  'data-chosen',
  'data-lit',
  'data-hm-scrolled',
];

function runScript(code: string): void {
  const script = document.createElement('script');
  script.textContent = code;
  document.body.append(script);
  script.remove();
}

/** How many things of the markup the output's script listens to: a change of these needs a fresh start. */
const structureOf = (root: ParentNode) => root.querySelectorAll('[aria-expanded],dialog,[commandfor]').length;

function replaceMarkup(fresh: DocumentFragment, script: string): void {
  holder.replaceChildren(fresh);
  runScript(script);
}

/** Puts the menu back where the markup has it, lets `work` compare, and sets it out again. */
function withMenuInPlace(work: () => void): void {
  const dialog = holder.querySelector('dialog');
  const menu = dialog?.previousElementSibling;
  const isOut = menu?.tagName === 'NAV' && !dialog?.querySelector('nav');
  if (isOut) dialog?.append(menu);
  work();
  const after = holder.querySelector('dialog');
  const inside = after?.querySelector('nav');
  if (isOut && inside) after?.before(inside);
}

function morphMarkup(fresh: DocumentFragment): void {
  const next = fresh.firstElementChild;
  const now = holder.firstElementChild;
  if (!next || !now) return;
  withMenuInPlace(() => {
    morphdom(now, next, {
      onBeforeElUpdated: (from, to) => {
        for (const name of KEPT_ATTRIBUTES) {
          const value = from.getAttribute(name);
          if (value !== null) to.setAttribute(name, value);
        }
        return !from.isEqualNode(to);
      },
    });
  });
}

/** Font faces stand first in the stylesheet; they are kept apart, as setting them again makes the browser load them again. */
const facesOf = (stylesheet: string) => /^(?:@font-face \{[^}]*\}\n)*/.exec(stylesheet)?.[0] ?? '';

const breakpointsOf = (stylesheet: string) => (stylesheet.match(/\(width [^)]*\)/g) ?? []).join();

function showStylesheet(before: string, now: string): void {
  const faces = facesOf(now);
  if (faceStyle.textContent !== faces) faceStyle.textContent = faces;
  style.textContent = now.slice(faces.length);
  // The output looks at its stylesheet whenever the window changes: a moved breakpoint is no less.
  if (before !== '' && breakpointsOf(before) !== breakpointsOf(now))
    window.dispatchEvent(new Event('resize'));
}

function render(message: Render): void {
  const before = last;
  let changed = false;
  last = message;
  document.documentElement.lang = message.language;
  document.documentElement.dir = message.direction;
  if (before?.stylesheet !== message.stylesheet) showStylesheet(before?.stylesheet ?? '', message.stylesheet);
  if (before?.scene !== message.scene) scene.innerHTML = message.scene;
  if (before?.markup !== message.markup || before.script !== message.script) {
    const template = document.createElement('template');
    template.innerHTML = message.markup;
    changed = true;
    const sameStructure =
      before?.script === message.script && structureOf(template.content) === structureOf(holder);
    if (sameStructure) morphMarkup(template.content);
    else replaceMarkup(template.content, message.script);
  }
  if (lastPin && changed) pin(lastPin);
  // The task after an animation frame runs once that frame is painted.
  requestAnimationFrame(() => {
    setTimeout(() => {
      tell({ type: 'painted', at: performance.timeOrigin + performance.now() });
    });
  });
}

/** The menu level an element stands at, or null outside menus. */
function levelOf(element: Element): Level | null {
  let level = 0;
  for (let at = element.closest('ul'); at; at = at.parentElement?.closest('ul') ?? null) level++;
  return level === 0 ? null : (Math.min(level, 3) as Level);
}

const LEVELLED = new Set(['link', 'marker', 'submenu', 'description', 'glyph', 'picture']);

const levelOfSlot = (element: Element, slot: string) => (LEVELLED.has(slot) ? levelOf(element) : null);

const slotOfClass = (className: string): SlotPlace | undefined =>
  last?.slots.find((place) => place.className === className);

/** The elements of a slot and level in document order. */
function elementsOf(className: string, level: Level | null): Element[] {
  const all = [...holder.querySelectorAll(`.${CSS.escape(className)}`)];
  const slot = slotOfClass(className)?.slot ?? '';
  return level === null ? all : all.filter((element) => levelOfSlot(element, slot) === level);
}

function findElement(wanted: PinnedElement | null): Element | null {
  if (!wanted) return null;
  const elements = elementsOf(wanted.className, wanted.level);
  return elements[Math.min(wanted.index, elements.length - 1)] ?? null;
}

function pin(message: Pin): void {
  lastPin = message;
  for (const element of holder.querySelectorAll('[data-pin]')) element.removeAttribute('data-pin');
  for (const element of holder.querySelectorAll('[data-chosen]')) element.removeAttribute('data-chosen');
  const chosen = findElement(message.selected);
  const pinned = findElement(message.pinned);
  reveal(message, chosen);
  if (message.outlined) chosen?.setAttribute('data-chosen', '');
  holder.firstElementChild?.toggleAttribute(
    'data-hm-scrolled',
    message.pinned?.states.includes('scrolled') === true || scrollY > 40,
  );
  if (pinned && message.pinned && message.pinned.states.length > 0)
    pinned.setAttribute('data-pin', message.pinned.states.join(' '));
}

/** Lights up everything of some classes. */
function light(classNames: readonly string[]): void {
  for (const element of holder.querySelectorAll('[data-lit]')) element.removeAttribute('data-lit');
  for (const name of classNames)
    for (const element of holder.getElementsByClassName(name)) element.setAttribute('data-lit', '');
}

function reveal(message: Pin, chosen: Element | null): void {
  const dialog = holder.querySelector('dialog');
  const folded = dialog?.querySelector('nav') !== null && dialog !== null;
  const inDialog = chosen ? dialog?.contains(chosen) : false;
  if (dialog && folded && !dialog.open && (message.reveal === 'panel' || inDialog)) {
    holder.firstElementChild?.toggleAttribute(
      'data-hm-bare',
      innerWidth <= document.documentElement.clientWidth,
    );
    dialog.showModal();
    tell({ type: 'revealed' });
  }
  if (dialog?.open && message.reveal === null && !inDialog) dialog.close();
  const open = message.reveal === 'submenu' || message.pinned?.states.includes('open') === true;
  const item = chosen?.closest('ul ul')?.closest('li') ?? chosen?.closest('li') ?? null;
  for (const button of holder.querySelectorAll('nav [aria-expanded=true]')) {
    if (button.parentElement !== item) button.setAttribute('aria-expanded', 'false');
  }
  if (!open) return;
  const button =
    item?.querySelector(':scope > [aria-expanded]') ?? holder.querySelector('nav [aria-expanded]');
  button?.setAttribute('aria-expanded', 'true');
}

function pick(target: Element): void {
  for (let at: Element | null = target; at && at !== holder; at = at.parentElement) {
    const element = at;
    const place = [...element.classList].map(slotOfClass).find((found) => found !== undefined);
    if (!place) continue;
    const level = levelOfSlot(element, place.slot);
    tell({
      type: 'pick',
      owner: place.owner,
      slot: place.slot,
      level,
      index: elementsOf(place.className, level).indexOf(element),
    });
    return;
  }
}

listenToCarrying(holder, () => last?.slots ?? [], tell);

// Links lead nowhere on the stage; everything else works as it will.
document.addEventListener(
  'click',
  (event) => {
    if (!(event.target instanceof Element)) return;
    if (event.target.closest('a[href]')) event.preventDefault();
    if (holder.contains(event.target)) pick(event.target);
  },
  true,
);

// Shortcuts belong to the interface also while the stage has the focus.
document.addEventListener('keydown', (event) => {
  if (!event.ctrlKey && !event.metaKey && !event.altKey) return;
  tell({
    type: 'key',
    key: event.key,
    code: event.code,
    meta: event.ctrlKey || event.metaKey,
    shift: event.shiftKey,
    alt: event.altKey,
  });
});

window.addEventListener('message', (event: MessageEvent<ToFrame>) => {
  if (event.source !== parent) return;
  if (event.data.type === 'render') render(event.data);
  else if (event.data.type === 'pin') pin(event.data);
  else light(event.data.classNames);
});

tell({ type: 'ready' });
