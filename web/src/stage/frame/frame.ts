import type { ElementEntry } from '@hamaca/core';
import { createForeign } from './foreign.ts';
import { listenToHanging } from './hanging.ts';
import { listenToMeasures } from './measures.ts';
import { createSheet } from './sheet.ts';
import type {
  ForeignMessage,
  ForeignPinMessage,
  FromFrame,
  LightMessage,
  PinMessage,
  PlayMessage,
  RenderMessage,
  RenderedPage,
  StageElement,
  StatementChange,
  SurveyMessage,
  ToFrame,
} from './protocol.ts';

/*
 * The stage's side of the isolated frame: shows the real output over a scene, tells what is clicked, freezes states.
 * It has no access to the interface and takes messages only from its parent. What it shows follows from the last message
 * of each kind alone: markup is never patched but built anew, and the output's script is stopped and started with it.
 */

const ownStyle = document.createElement('style');
ownStyle.textContent = `[data-hamaca-chosen]{outline:2px dashed #b9780f!important;outline-offset:-2px!important}[data-hamaca-lit]{box-shadow:0 0 0 2px #fff,0 0 0 5px #b9780f!important}[data-chosen]:not([data-pin~=focus]){outline:2px dashed #b9780f!important;outline-offset:1px!important}[data-lit]{box-shadow:0 0 0 2px #fff,0 0 0 5px #b9780f!important}[data-faint]{opacity:.3!important}`;
const groundStyle = document.createElement('style');
groundStyle.textContent = 'body{margin:0;background:#fff}';
const faceStyle = document.createElement('style');
document.head.append(groundStyle, ownStyle, faceStyle);
const sheet = createSheet(document.head);

/** The pieces stand in the page's body as they do in a page: what holds them has no box. */
function boxless(...children: Element[]): HTMLElement {
  const box = document.createElement('div');
  box.style.display = 'contents';
  box.append(...children);
  return box;
}
const scene = document.createElement('main');
const places = { before: boxless(), beside: boxless(), after: boxless() };
const columns = document.createElement('div');
columns.append(places.beside, scene);
const holder = document.body;
holder.append(places.before, columns, places.after);
const foreign = createForeign(places.before);

const PLACES = ['before', 'beside', 'after'] as const;

let rendered: RenderedPage | null = null;
let pinned: PinMessage | null = null;
let lit: LightMessage | null = null;
/** Stops the output's script. */
let stop: (() => void) | null = null;

const tell = (message: FromFrame) => {
  parent.postMessage(message, '*');
};

const entries = (): readonly ElementEntry[] => rendered?.entries ?? [];
const attribute = (word: string) => `data-${rendered?.prefix ?? ''}${word}`;

/** The word that the frame's policy lets scripts run by. */
const WORD = document.querySelector('script')?.nonce ?? '';

/** Runs the output's script, which answers how to stop it, as an element: the frame's policy allows no other way. */
function runScript(code: string): (() => void) | null {
  if (code === '') return null;
  const script = document.createElement('script');
  script.nonce = WORD;
  // Each ends a statement of its own, and the first one is an expression.
  script.textContent = `window.outputStop = ${code}`;
  document.body.append(script);
  script.remove();
  const holderOfStop = window as unknown as { outputStop?: () => void };
  const made = holderOfStop.outputStop ?? null;
  delete holderOfStop.outputStop;
  return made;
}

/** Whether dialogs are closed by the stage itself, so that it need not be told. */
let closingItself = false;

function byItself(work: () => void): void {
  closingItself = true;
  work();
  closingItself = false;
}

/** What holds a side column and the scene has no box where there is neither. */
function showColumns({ beside, columns: held }: RenderedPage): void {
  columns.style.cssText = beside === '' ? (foreign.isShown() ? 'display:none' : '') : held;
}

function buildAnew(page: RenderedPage): void {
  const top = scrollY;
  byItself(() => {
    stop?.();
    for (const place of PLACES) {
      const template = document.createElement('template');
      template.innerHTML = page[place];
      places[place].replaceChildren(template.content);
    }
    showColumns(page);
    stop = runScript(page.script);
  });
  // While nothing stood there the page was short.
  scrollTo({ top, behavior: 'instant' });
  for (const dialog of holder.querySelectorAll('dialog'))
    dialog.addEventListener('close', () => {
      if (!closingItself && dialog.isConnected) tell({ type: 'closed' });
    });
}

/** The widths that some statements ask for. */
const breakpointsOf = (statements: readonly string[]) =>
  (statements.join('').match(/\(width [^)]*\)/g) ?? []).join();

/** Shows the stylesheet that comes of the shown one. */
function showStylesheet(changes: readonly StatementChange[]): void {
  const before = sheet.statements();
  sheet.show(changes);
  // The output looks at its stylesheet whenever the window changes: a moved breakpoint is no less.
  const isMoved = changes.some(
    ({ from, gone, come }) => breakpointsOf(before.slice(from, from + gone)) !== breakpointsOf(come),
  );
  if (before.length > 0 && isMoved) byItself(() => window.dispatchEvent(new Event('resize')));
}

function tellPainted(): void {
  lookForHanging();
  measures.look();
  // The task after an animation frame runs once that frame is painted.
  requestAnimationFrame(() => {
    setTimeout(() => {
      tell({ type: 'painted', at: performance.timeOrigin + performance.now() });
    });
  });
}

/** Shows what stands at the end of the page; the page around the frame stays where it is. */
function showEnd(): void {
  const chosen = pinned ? findElement(pinned.selected) : null;
  const end =
    [...places.after.children].find((piece) => piece.contains(chosen)) ?? places.after.lastElementChild;
  if (!end) return;
  // At the very end nothing sticks to the window's edge any more.
  scrollTo({ top: document.documentElement.scrollHeight, behavior: 'instant' });
  const beneath = parseFloat(getComputedStyle(document.documentElement).scrollPaddingBlockStart) || 0;
  const { top } = end.getBoundingClientRect();
  if (top < beneath) scrollTo({ top: scrollY + top - beneath, behavior: 'instant' });
}

function render({ changed, sheet: changes }: RenderMessage): void {
  // Faces that are set again are loaded again.
  if (changed.faces !== undefined && faceStyle.textContent !== changed.faces)
    faceStyle.textContent = changed.faces;
  if (changes.length > 0) showStylesheet(changes);
  const page = { ...rendered, ...changed } as RenderedPage;
  rendered = page;
  if (changed.language !== undefined) document.documentElement.lang = page.language;
  if (changed.direction !== undefined) document.documentElement.dir = page.direction;
  if (changed.scene !== undefined) scene.innerHTML = page.scene;
  if (changed.atEnd !== undefined || changed.isLow !== undefined) {
    // The end of a page is in sight beneath what little is left of the page.
    scene.style.cssText = page.column;
    if (page.atEnd) requestAnimationFrame(showEnd);
    scene.style.maxHeight = page.isLow ? '30vh' : '';
    scene.style.overflow = page.isLow ? 'hidden' : '';
  }
  if (changed.script !== undefined || PLACES.some((place) => changed[place] !== undefined)) {
    buildAnew(page);
    if (pinned) pin(pinned);
    if (lit) light(lit);
  }
  tellPainted();
}

/** Shows a foreign page instead of a scene; it brings its own ground along. */
async function showForeign({ content }: ForeignMessage): Promise<void> {
  const top = scrollY;
  groundStyle.disabled = content !== null;
  scene.hidden = content !== null;
  const shown = foreign.show(content);
  if (rendered) showColumns(rendered);
  else columns.hidden = content !== null;
  await shown;
  scrollTo({ top, behavior: 'instant' });
  if (content && content.script !== '') runScript(content.script);
  if (foreignPinned) pinForeign(foreignPinned);
  tellPainted();
}

let foreignPinned: ForeignPinMessage | null = null;

function pinForeign(message: ForeignPinMessage): void {
  foreignPinned = message;
  const measured = foreign.pin(message);
  if (message.chosen !== null && measured) tell({ type: 'foreign-chosen', at: message.chosen, ...measured });
}

function findElement(wanted: StageElement | null): Element | null {
  if (!wanted || wanted.selector.includes('::')) return null;
  const elements = holder.querySelectorAll(wanted.selector);
  return elements[Math.min(wanted.index, elements.length - 1)] ?? null;
}

/** Opens the panel that is to be seen and closes every other one. */
function revealPanel({ reveal }: PinMessage, chosen: Element | null): void {
  const wanted = reveal.panel === null ? chosen?.closest('dialog') : holder.querySelector(reveal.panel);
  for (const dialog of holder.querySelectorAll('dialog')) {
    if (dialog === wanted && !dialog.open) {
      dialog.toggleAttribute(attribute('bare'), innerWidth <= document.documentElement.clientWidth);
      // A dialog that opens takes the focus, also from the interface: what is inert cannot.
      dialog.inert = true;
      dialog.showModal();
      dialog.inert = false;
    }
    if (dialog !== wanted && dialog.open)
      byItself(() => {
        dialog.close();
      });
  }
}

/** What a button opens. */
const boxOf = (button: Element) => document.getElementById(button.getAttribute('aria-controls') ?? '');

/** The boxes that are to be seen: those around what is chosen, and its own where that is asked for. */
function boxesToOpen({ reveal, pinned: frozen }: PinMessage, chosen: Element | null): ReadonlySet<Element> {
  const boxes = [...holder.querySelectorAll('[aria-expanded]')].map(boxOf).filter((box) => box !== null);
  const open = new Set<Element>(boxes.filter((box) => chosen !== null && box.contains(chosen)));
  const own = boxes.find((box) => box.parentElement === chosen?.closest('li'));
  if (own && frozen?.states.includes('open')) open.add(own);
  // What is chosen in one piece opens nothing in another.
  const root = chosen?.closest(`.${rendered?.root ?? 'none'}`);
  const first = own ?? boxes.find((box) => box.closest('nav') && (!root || root.contains(box)));
  if (reveal.submenu && open.size === 0 && first) open.add(first);
  return open;
}

/** A box that stands open turns at the window's edge as in a page. */
function turnAtEdge(box: Element): void {
  box.removeAttribute(attribute('edge'));
  const { left, right } = box.getBoundingClientRect();
  const isOver = right > document.documentElement.clientWidth;
  if (left < 0 || isOver)
    box.setAttribute(
      attribute('edge'),
      isOver === (getComputedStyle(box).direction === 'ltr') ? 'end' : 'start',
    );
}

/** Opens the boxes that are to be seen and closes every other one. */
function revealSubmenus(message: PinMessage, chosen: Element | null): void {
  const open = boxesToOpen(message, chosen);
  for (const button of holder.querySelectorAll('[aria-expanded]')) {
    const box = boxOf(button);
    if (!box) continue;
    const isOpen = open.has(box);
    // What is as it was is not written: the browser would lay the page out anew for it.
    if (button.getAttribute('aria-expanded') !== String(isOpen))
      button.setAttribute('aria-expanded', String(isOpen));
    if (box.hasAttribute(attribute('open')) !== isOpen) box.toggleAttribute(attribute('open'), isOpen);
    if (!isOpen) box.removeAttribute(attribute('edge'));
  }
  for (const box of open) turnAtEdge(box);
}

/** Tells the stylesheet that the page is scrolled, and far enough: where that is frozen, or as far as it really is. */
function freezeScrolled(): void {
  const frozen = pinned?.pinned?.states.includes('scrolled') === true;
  for (const root of roots()) {
    for (const name of ['scrolled', 'past'])
      if (frozen) root.setAttribute(attribute(name), '');
      else if (scrollY === 0) root.removeAttribute(attribute(name));
  }
}

/** The roots of the pieces that stand in the page. */
const roots = () => [...holder.querySelectorAll(`.${rendered?.root ?? 'none'}:not(dialog)`)];

const clear = (name: string) => {
  for (const element of holder.querySelectorAll(`[${name}]`)) element.removeAttribute(name);
};

/** Marks one element alone. What is marked so already is not touched: the browser would style it anew. */
function mark(name: string, marked: Element | null, value = ''): void {
  for (const other of holder.querySelectorAll(`[${name}]`)) if (other !== marked) other.removeAttribute(name);
  if (marked && marked.getAttribute(name) !== value) marked.setAttribute(name, value);
}

function pin(message: PinMessage): void {
  pinned = message;
  const { inked, outlined } = message;
  if (inked === null) clear('data-faint');
  else for (const root of roots()) root.toggleAttribute('data-faint', !root.matches(inked));
  const chosen = findElement(message.selected);
  mark('data-chosen', outlined ? chosen : null);
  const states = message.pinned?.states ?? [];
  mark('data-pin', states.length > 0 ? findElement(message.pinned) : null, states.join(' '));
  revealPanel(message, chosen);
  revealSubmenus(message, chosen);
  freezeScrolled();
}

/** How long a box is on its way, in ms. */
function lasting(box: Element): number {
  const { transitionDuration, transitionDelay } = getComputedStyle(box);
  const longest = (times: string) => Math.max(...times.split(',').map((time) => parseFloat(time) * 1000));
  return longest(transitionDuration) + longest(transitionDelay);
}

/** Time between going and coming again, in ms. */
const PAUSE = 250;

/** How fast what is played slowly goes. */
const SLOWLY = 0.25;

/** Slows down all that moves at the moment. */
function slowDown(): void {
  for (const animation of document.getAnimations()) animation.playbackRate = SLOWLY;
}

/** Closes what stands open and opens it again, so that its motion is seen. */
function play({ slowly }: PlayMessage): void {
  const boxes = [...holder.querySelectorAll(`nav [${attribute('open')}]`)];
  const dialogs = [...holder.querySelectorAll<HTMLDialogElement>('dialog[open]')];
  // A panel's own motion takes its submenus along.
  if (dialogs.length > 0)
    byItself(() => {
      for (const dialog of dialogs) dialog.close();
    });
  else for (const box of boxes) box.removeAttribute(attribute('open'));
  const longest = Math.max(0, ...[...boxes, ...dialogs].map(lasting));
  if (slowly) slowDown();
  setTimeout(
    () => {
      if (pinned) pin(pinned);
      if (slowly) slowDown();
    },
    (slowly ? longest / SLOWLY : longest) + PAUSE,
  );
}

function light(message: LightMessage): void {
  lit = message;
  clear('data-lit');
  for (const selector of message.selectors)
    for (const element of holder.querySelectorAll(selector)) element.setAttribute('data-lit', '');
}

/** Tells which slot was clicked: of everything around, what is innermost. */
function pick(target: Element): void {
  for (let at: Element | null = target; at && at !== holder; at = at.parentElement) {
    const element = at;
    const entry = entries().find((one) => element.matches(one.selector));
    if (!entry) continue;
    const { owner, slot, level } = entry;
    const index = [...holder.querySelectorAll(entry.selector)].indexOf(element);
    const opens = target.closest('[commandfor]')?.getAttribute('commandfor') ?? '';
    const dialog = document.getElementById(opens);
    const opened =
      dialog instanceof HTMLDialogElement && !dialog.open
        ? (entries().find((one) => dialog.matches(one.selector))?.owner ?? null)
        : null;
    tell({ type: 'pick', owner, slot, level, index, opened });
    return;
  }
}

const lookForHanging = listenToHanging(holder, entries, tell);
const measures = listenToMeasures(holder, entries, tell);

/** The page as it stands, for a picture of it. */
function tellPicture(): void {
  const css = [...document.styleSheets]
    .flatMap((sheet) => [...sheet.cssRules].map((rule) => rule.cssText))
    .join('\n');
  tell({ type: 'picture', body: new XMLSerializer().serializeToString(document.body), css });
}

/** Waits until the frame has a width, its typefaces are there and the output's script has looked. */
async function settle(width: number): Promise<void> {
  const drawn = async () => new Promise((resolve) => requestAnimationFrame(resolve));
  while (innerWidth !== width) await drawn();
  // Faces are asked for once something is laid out in them.
  holder.getBoundingClientRect();
  await document.fonts.ready;
  await drawn();
  await drawn();
}

async function tellSurvey({ width }: SurveyMessage): Promise<void> {
  const { survey } = await import('./survey/survey.ts');
  await settle(width);
  byItself(() => {
    tell({ type: 'surveyed', width, ...survey(holder, entries()) });
  });
}

// Links lead nowhere on the stage; everything else works as it will.
document.addEventListener(
  'click',
  (event) => {
    if (!(event.target instanceof Element)) return;
    if (event.target.closest('a[href]')) event.preventDefault();
    const { target } = event;
    // The output stands within the body of such a page.
    const isOwn = Object.values(places).some((place) => place.contains(target));
    const at = isOwn ? null : foreign.placeOf(target);
    if (at !== null) tell({ type: 'foreign-pick', at });
    else if (holder.contains(target)) pick(target);
  },
  true,
);

// After the output's own listener: what is frozen stays.
window.addEventListener('scroll', () => {
  if (pinned?.pinned?.states.includes('scrolled')) requestAnimationFrame(freezeScrolled);
});

// Shortcuts belong to the interface also while the stage has the focus.
document.addEventListener('keydown', (event) => {
  const isShortcut = event.ctrlKey || event.metaKey || event.altKey;
  // What is typed while nothing on the page takes it is meant for what was chosen there.
  const isTaken = event.target instanceof Element && event.target.matches('input, textarea, select');
  if (!isShortcut && (isTaken || event.key.length !== 1 || event.key === ' ')) return;
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
  else if (event.data.type === 'foreign') void showForeign(event.data);
  else if (event.data.type === 'foreign-pin') pinForeign(event.data);
  else if (event.data.type === 'play') play(event.data);
  else if (event.data.type === 'picture') tellPicture();
  else if (event.data.type === 'survey') void tellSurvey(event.data);
  else if (event.data.type === 'measure') measures.turn(event.data.on);
  else light(event.data);
});

tell({ type: 'ready' });

// Nothing can be carried before it stands there: the first picture does not wait for it.
void import('./carry.ts').then(({ listenToCarrying }) => {
  listenToCarrying(holder, entries, tell);
});
void import('./arcs.ts').then(({ listenToArcs }) => {
  listenToArcs(holder, entries, tell);
});
void import('./edges.ts').then(({ listenToEdges }) => {
  listenToEdges(holder, entries, tell);
});
