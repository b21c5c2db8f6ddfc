/** @jest-environment jsdom */
import { gzipSync } from 'node:zlib';
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { start as appears } from './appears/script.ts';
import { start as arrows } from './arrows/script.ts';
import { start as away } from './away/script.ts';
import { BEHAVIOURS, JOIN } from './behaviours.ts';
import { start as current } from './current/script.ts';
import { start as disclosure } from './disclosure/script.ts';
import { start as distance } from './distance/script.ts';
import { start as fold } from './fold/script.ts';
import { start as hides } from './hides/script.ts';
import { start as join } from './join/script.ts';
import { start as panel } from './panel/script.ts';
import { printReadableScript } from './readable.ts';
import { start as rest } from './rest/script.ts';
import { start as scrolled } from './scrolled/script.ts';
import { start as single } from './single/script.ts';
import { start as summons } from './summons/script.ts';
import { start as swipe } from './swipe/script.ts';
import type { Start } from './tools.ts';
import { start as year } from './year/script.ts';
import { start as sight } from './sight/script.ts';

const STARTS: Readonly<Record<string, Start>> = {
  current,
  disclosure,
  single,
  arrows,
  panel: panel as Start,
  summons,
  away: away as Start,
  swipe: swipe as Start,
  distance,
  sight,
  year,
  fold: fold as Start,
  rest,
  hides,
  appears,
  scrolled,
};

const PAGE = `
  <header class="root">
    <nav data-hm-berth="berth" data-hm-hover="">
      <ul>
        <li id="visit"><a href="/visit/">Visit</a><button id="more" aria-expanded="false" aria-controls="box"></button>
          <ul id="box"><li><a id="hours" href="/visit/hours/">Hours</a></li></ul></li>
        <li><a href="/index.html">Home</a></li>
      </ul>
    </nav>
    <div><button id="glass" aria-expanded="false" aria-controls="search"></button><form id="search"><input id="words"></form></div>
    <button id="opener" commandfor="panel"></button>
  </header>
  <dialog class="root" id="panel" data-hm-scrim="" data-hm-link=""><span id="berth"></span><a id="inside" href="#x">In</a></dialog>
  <p id="elsewhere" tabindex="0">Elsewhere</p>`;

const at = (id: string) => document.getElementById(id) as HTMLElement;
const page = () => document.body.innerHTML;
/** Starts behaviours; answers how to stop them. */
const run = (...names: string[]): (() => void) => {
  const stop = join(
    'hm-',
    '.root',
    names.map((name) => STARTS[name] as Start),
  );
  if (!stop) throw new Error('It cannot be stopped.');
  return stop;
};
const send = (id: string, type: string, { pointerType, ...more }: Record<string, unknown> = {}) => {
  const isPointer = type === 'click' || type.startsWith('pointer');
  const make = isPointer ? MouseEvent : type.startsWith('key') ? KeyboardEvent : Event;
  const event = new make(type, { bubbles: !/enter|leave/.test(type), cancelable: true, ...more });
  at(id).dispatchEvent(Object.assign(event, pointerType === undefined ? {} : { pointerType }));
};
const pointed = { pointerType: 'mouse' };
const isOpen = () => at('more').getAttribute('aria-expanded') === 'true';

/** Whether the stylesheet says that parts fold. */
let folds = false;

beforeEach(() => {
  document.body.innerHTML = PAGE;
  folds = false;
  jest.spyOn(window, 'getComputedStyle').mockImplementation(
    (element) =>
      ({
        getPropertyValue: (name: string) => (folds && ['--hm-folds', '--hm-rest'].includes(name) ? '1' : ''),
        position: element.closest('dialog') || element.id === 'within' ? 'static' : 'absolute',
        direction: document.dir || 'ltr',
      }) as CSSStyleDeclaration,
  );
  HTMLDialogElement.prototype.showModal = function (this: HTMLDialogElement) {
    this.open = true;
  };
  HTMLDialogElement.prototype.close = function (this: HTMLDialogElement) {
    this.open = false;
  };
});

test('all of them together pack into less than 2.4 KiB, as the output joins them', () => {
  const all = BEHAVIOURS.map(({ script }) => script).join(',');
  const script = `(${JOIN.script})("hm-",".hm-marisma",[${all}]);`;
  expect(gzipSync(script, { level: 9 }).length).toBeLessThan(2458);
});

describe('the script as it is read', () => {
  const all = new Set(BEHAVIOURS.map(({ id }) => id));
  test('has a function with a comment for each behaviour, without what only the stage needs', () => {
    const script = printReadableScript('my-', '.my-site', all, 'What the menus of A */ B do.');
    for (const { id } of BEHAVIOURS)
      expect(script).toMatch(new RegExp(`\\*/\\nconst ${id} = \\((?:_?root(?:, html)?)?\\) => \\{`));
    expect(script).not.toMatch(/\bundo\b|STOPPABLE|\bat\('|[^.\w]on\(|\bhm-|eslint/);
    expect(script).toContain("'data-my-open'");
    expect(script).toContain("'--my-folds'");
    expect(script).toContain('A * / B');
    // It is a whole: it runs in a page without any menu.
    expect(() => {
      new Function(script)();
    }).not.toThrow();
  });
  test('has the behaviours that are needed alone, in the order they are started', () => {
    const script = printReadableScript('hm-', '.root', new Set(['disclosure', 'current']), 'x');
    expect([...script.matchAll(/^const (\w+) = \(/gm)].map(([, name]) => name)).toEqual([
      'current',
      'disclosure',
    ]);
    expect(script).toContain('of [current, disclosure]');
    expect(printReadableScript('hm-', '.root', new Set(), 'x')).toBe('');
  });
});

test('every behaviour has a module, a purpose and its own attributes', () => {
  expect(BEHAVIOURS.map(({ id }) => id).sort()).toEqual(Object.keys(STARTS).sort());
  const names = BEHAVIOURS.flatMap(({ attributes }) => [...attributes]);
  expect(new Set(names).size).toBe(names.length);
  for (const { does, script } of BEHAVIOURS) {
    expect(does).toMatch(/^[a-z]/);
    // Written out as one function that says nothing to the page’s own names.
    expect(script).toMatch(/^(?:\w+|\(\w+(?:,\w+)*\))=>\{/);
  }
});

describe('starting', () => {
  test('twice changes nothing, and stopping gives the page back', () => {
    const before = page();
    const stop = run('disclosure', 'panel', 'current', 'scrolled', 'fold');
    const started = page();
    expect(started).not.toBe(before);
    const second = run('disclosure', 'panel', 'current', 'scrolled', 'fold');
    expect(page()).toBe(started);
    second();
    expect(page()).toBe(started);
    send('more', 'click');
    send('opener', 'click');
    stop();
    expect(page()).toBe(before);
    // Nothing listens any more.
    send('more', 'click');
    expect(isOpen()).toBe(false);
  });
  test.each(Object.keys(STARTS))('%s alone takes back what it did', (name) => {
    const before = page();
    folds = true;
    const stop = run(name);
    send('more', 'click');
    send('opener', 'click');
    stop();
    expect(page()).toBe(before);
  });
});

describe('submenus', () => {
  test('open and close by their button', () => {
    run('disclosure');
    send('more', 'click');
    expect(isOpen()).toBe(true);
    send('more', 'click');
    expect(isOpen()).toBe(false);
  });
  test('open by pointing at once and close a moment after; a click keeps them open, a second one closes them', () => {
    jest.useFakeTimers();
    run('disclosure');
    send('visit', 'pointerenter', pointed);
    jest.advanceTimersByTime(0);
    expect(isOpen()).toBe(true);
    send('visit', 'pointerleave', pointed);
    jest.advanceTimersByTime(200);
    expect(isOpen()).toBe(true);
    send('visit', 'pointerenter', pointed);
    jest.advanceTimersByTime(400);
    expect(isOpen()).toBe(true);
    send('visit', 'pointerleave', pointed);
    jest.advanceTimersByTime(260);
    expect(isOpen()).toBe(false);
    send('visit', 'pointerenter', pointed);
    jest.advanceTimersByTime(0);
    send('more', 'click', pointed);
    expect(isOpen()).toBe(true);
    send('visit', 'pointerleave', pointed);
    jest.advanceTimersByTime(1000);
    expect(isOpen()).toBe(true);
    send('visit', 'pointerenter', pointed);
    jest.advanceTimersByTime(0);
    send('more', 'click', pointed);
    expect(isOpen()).toBe(false);
    // What a click closed stays closed until it is pointed at anew, and then closes as what pointing opened does.
    jest.advanceTimersByTime(1000);
    expect(isOpen()).toBe(false);
    at('more').focus();
    send('visit', 'pointerleave', pointed);
    send('visit', 'pointerenter', pointed);
    jest.advanceTimersByTime(0);
    expect(isOpen()).toBe(true);
    send('visit', 'pointerleave', pointed);
    jest.advanceTimersByTime(260);
    expect(isOpen()).toBe(false);
    send('visit', 'pointerenter', { pointerType: 'touch' });
    expect(isOpen()).toBe(false);
    jest.useRealTimers();
  });
  test.each([0, 60])(
    'a click keeps open what pointing would open a moment later, %i ms after it came',
    (after) => {
      jest.useFakeTimers();
      run('disclosure');
      send('visit', 'pointerenter', pointed);
      if (after > 0) jest.advanceTimersByTime(after);
      send('more', 'click', pointed);
      jest.advanceTimersByTime(200);
      send('visit', 'pointerleave', pointed);
      jest.advanceTimersByTime(1000);
      expect(isOpen()).toBe(true);
      jest.useRealTimers();
    },
  );
  test('close when attention goes elsewhere, and by Escape with focus back on the button', () => {
    run('disclosure', 'arrows');
    send('more', 'click');
    send('hours', 'focusin');
    expect(isOpen()).toBe(true);
    send('elsewhere', 'focusin');
    expect(isOpen()).toBe(false);
    for (const id of ['more', 'hours']) Object.defineProperty(at(id), 'offsetHeight', { value: 80 });
    send('more', 'keydown', { key: 'ArrowDown' });
    expect(isOpen()).toBe(true);
    expect(document.activeElement?.id).toBe('hours');
    send('hours', 'keydown', { key: 'Escape' });
    expect(isOpen()).toBe(false);
    expect(document.activeElement?.id).toBe('more');
  });
  test('in a panel stay as they are, and do not open by pointing', () => {
    folds = true;
    run('disclosure', 'fold');
    expect(at('panel').contains(at('more'))).toBe(true);
    send('visit', 'pointerenter', pointed);
    expect(isOpen()).toBe(false);
    send('more', 'click', pointed);
    send('elsewhere', 'focusin');
    expect(isOpen()).toBe(true);
  });
});

describe('panels', () => {
  const dialog = () => at('panel') as HTMLDialogElement;
  const stands = (box: Readonly<Record<'left' | 'right' | 'top' | 'bottom', number>>) => {
    Object.defineProperties(dialog(), {
      offsetLeft: { value: box.left },
      offsetTop: { value: box.top },
      offsetWidth: { value: box.right - box.left },
      offsetHeight: { value: box.bottom - box.top },
    });
  };
  /** Presses at a place of the dialog, which is 200 by 600: beyond it lies the scrim. */
  const press = (offsetX: number, offsetY: number) => {
    Object.defineProperties(dialog(), { offsetWidth: { value: 200 }, offsetHeight: { value: 600 } });
    dialog().dispatchEvent(Object.assign(new Event('click', { bubbles: true }), { offsetX, offsetY }));
  };
  test('open and close by their opener', () => {
    run('panel');
    send('opener', 'click');
    expect(dialog().open).toBe(true);
    send('opener', 'click');
    expect(dialog().open).toBe(false);
  });
  test('are left to browsers that open them by themselves', () => {
    Object.assign(at('opener'), { command: 'show-modal' });
    run('panel');
    send('opener', 'click');
    expect(dialog().open).toBe(false);
  });
  test('close by the scrim and by following a link, not by a click inside', () => {
    run('panel');
    dialog().showModal();
    press(100, 20);
    expect(dialog().open).toBe(true);
    press(-20, 20);
    expect(dialog().open).toBe(false);
    dialog().showModal();
    send('inside', 'click');
    expect(dialog().open).toBe(false);
  });
  test('close by the scrim above and beneath, and stay where they are told to', () => {
    run('panel');
    dialog().showModal();
    press(20, 700);
    expect(dialog().open).toBe(false);
    dialog().removeAttribute('data-hm-scrim');
    dialog().removeAttribute('data-hm-link');
    dialog().showModal();
    press(20, -20);
    send('inside', 'click');
    expect(dialog().open).toBe(true);
    dialog().setAttribute('data-hm-scrim', '');
    press(20, -20);
    expect(dialog().open).toBe(false);
  });
  test('open by elements of the page that are named', () => {
    dialog().setAttribute('data-hm-by', '#elsewhere, .more');
    run('summons');
    send('more', 'click');
    expect(dialog().open).toBe(false);
    send('elsewhere', 'click');
    expect(dialog().open).toBe(true);
  });
  test('close once the page is scrolled on, where that is asked for', () => {
    const stop = run('away');
    dialog().showModal();
    window.dispatchEvent(new Event('scroll'));
    expect(dialog().open).toBe(true);
    stop();
    dialog().setAttribute('data-hm-away', '');
    run('away');
    window.dispatchEvent(new Event('scroll'));
    expect(dialog().open).toBe(false);
  });
  test.each([
    ['at the end', { left: 100, right: 1024, top: 0, bottom: 768 }, [90, 0], [-90, 0]],
    ['at the start', { left: 0, right: 300, top: 0, bottom: 768 }, [-90, 0], [90, 0]],
    ['at the bottom', { left: 0, right: 1024, top: 300, bottom: 768 }, [0, 90], [0, -90]],
    ['at the top', { left: 0, right: 1024, top: 0, bottom: 300 }, [0, -90], [0, 90]],
    ['over the window', { left: 0, right: 1024, top: 0, bottom: 768 }, [-90, 0], [0, 90]],
  ])('%s are swept back over their edge, not the other way', (_where, box, back, other) => {
    dialog().setAttribute('data-hm-swipe', '');
    stands(box);
    run('swipe');
    dialog().showModal();
    const sweep = ([x, y]: readonly number[]) => {
      const touch = (clientX: number, clientY: number) => ({ clientX, clientY });
      const start = Object.assign(new Event('touchstart', { bubbles: true }), {
        changedTouches: [touch(400, 300)],
      });
      const end = Object.assign(new Event('touchend', { bubbles: true }), {
        changedTouches: [touch(400 + (x ?? 0), 300 + (y ?? 0))],
      });
      at('inside').dispatchEvent(start);
      at('inside').dispatchEvent(end);
      return dialog().open;
    };
    expect(sweep(other)).toBe(true);
    expect(sweep([30, 30])).toBe(true);
    expect(sweep(back)).toBe(false);
  });
});

test('in a panel a submenu that unfolds closes those beside it, where that is asked for', () => {
  const submenu = (id: string) =>
    `<li><button id="${id}" aria-expanded="false" aria-controls="${id}-box"></button><ul id="${id}-box"><li><a href="/">In</a></li></ul></li>`;
  const panelOf = document.querySelector('dialog') as Element;
  panelOf.innerHTML = `<nav><ul>${submenu('one')}${submenu('other')}</ul></nav>`;
  const opened = () => ['one', 'other'].map((id) => at(id).getAttribute('aria-expanded'));
  const stop = run('disclosure', 'single');
  send('one', 'click');
  send('other', 'click');
  expect(opened()).toEqual(['true', 'true']);
  stop();
  panelOf.querySelector('nav')?.setAttribute('data-hm-single', '');
  run('disclosure', 'single');
  send('one', 'click');
  send('other', 'click');
  expect(opened()).toEqual(['false', 'true']);
  send('other', 'click');
  expect(opened()).toEqual(['false', 'false']);
});

test('links that the row has no room for move under the last one, and back', () => {
  const nav = document.querySelector('nav') as Element;
  nav.innerHTML = `<ul>${['a', 'b', 'c', 'd'].map((id) => `<li id="${id}"><a class="hm-main-link hm-level-1 own"></a></li>`).join('')}
    <li id="last" hidden><button></button><ul id="under" data-hm-rest=""></ul></li><li id="action"></li></ul>`;
  // A link is as wide as another, and a line has room for so many; what is hidden has no height.
  let room = 3;
  const visible = () =>
    [...(nav.firstElementChild?.children ?? [])].filter((one) => !(one as HTMLElement).hidden);
  for (const item of nav.querySelectorAll('li')) {
    Object.defineProperty(item, 'offsetHeight', { get: () => (item.hidden ? 0 : 20) });
    Object.defineProperty(item, 'offsetTop', { get: () => 20 * Math.floor(visible().indexOf(item) / room) });
  }
  const observers: ResizeObserverCallback[] = [];
  const disconnect = jest.fn();
  window.ResizeObserver = class {
    constructor(callback: ResizeObserverCallback) {
      observers.push(callback);
    }
    observe = jest.fn();
    unobserve = jest.fn();
    disconnect = disconnect;
  };
  const stop = run('rest');
  const settled = () => {
    for (const observer of observers) observer([], { observe: jest.fn(), unobserve: jest.fn(), disconnect });
    return [visible(), [...at('under').children]].map((items) => items.map(({ id }) => id).join(' '));
  };
  expect(settled()).toEqual(['a b c d action', '']);
  folds = true;
  expect(settled()).toEqual(['a last action', 'b c d']);
  // What moved is at another level now.
  const levels = () =>
    [...nav.querySelectorAll('li > a')].map(({ className }) => className.match(/level-./)?.[0]);
  expect(levels()).toEqual(['level-1', 'level-2', 'level-2', 'level-2']);
  room = 4;
  expect(settled()).toEqual(['a b last action', 'c d']);
  room = 1;
  expect(settled()).toEqual(['last action', 'a b c d']);
  room = 5;
  expect(settled()).toEqual(['a b c d action', '']);
  room = 3;
  settled();
  stop();
  expect(disconnect).toHaveBeenCalled();
  expect(visible().map(({ id }) => id)).toEqual(['a', 'b', 'c', 'd', 'action']);
  expect(levels()).toEqual(['level-1', 'level-1', 'level-1', 'level-1']);
});

test('the stylesheet is told how far the page is scrolled', () => {
  const stop = run('distance');
  Object.defineProperty(window, 'scrollY', { value: 120, configurable: true });
  window.dispatchEvent(new Event('scroll'));
  expect(document.documentElement.style.getPropertyValue('--hm-y')).toBe('120px');
  stop();
  expect(document.documentElement.style.getPropertyValue('--hm-y')).toBe('');
  Object.defineProperty(window, 'scrollY', { value: 0, configurable: true });
});

test('a part folds into its berth and comes back when there is room', () => {
  run('fold');
  const nav = document.querySelector('nav') as Element;
  const follower = nav.nextElementSibling;
  folds = true;
  window.dispatchEvent(new Event('resize'));
  expect(nav.nextElementSibling?.id).toBe('berth');
  (at('panel') as HTMLDialogElement).showModal();
  folds = false;
  window.dispatchEvent(new Event('resize'));
  expect(nav.nextElementSibling).toBe(follower);
  expect((at('panel') as HTMLDialogElement).open).toBe(false);
});

test('the links to this page are marked, whatever the ending of its path', () => {
  run('current');
  expect([...document.querySelectorAll('[aria-current=page]')].map((link) => link.textContent)).toEqual([
    'Home',
  ]);
});

/** Scrolls the page to each place in turn; answers whether the header has a mark there, and never the panel. */
const marksAt = (name: string, places: readonly number[]) =>
  places.map((y) => {
    Object.defineProperty(window, 'scrollY', { value: y, configurable: true });
    window.dispatchEvent(new Event('scroll'));
    expect(at('panel').hasAttribute(name)).toBe(false);
    return document.querySelector('header')?.hasAttribute(name);
  });

test('scrolled is told late on the way down and taken back at the top', () => {
  run('scrolled');
  expect(marksAt('data-hm-scrolled', [20, 50, 30, 0])).toEqual([false, true, true, false]);
});

test('the way down is told beyond the bar, the way up at once, and a tremble is neither', () => {
  Object.defineProperty(document.querySelector('header'), 'offsetHeight', { value: 60 });
  const stop = run('hides');
  expect(marksAt('data-hm-down', [40, 100, 300, 298, 280, 500])).toEqual([
    false,
    true,
    true,
    true,
    false,
    true,
  ]);
  stop();
  expect(document.querySelector('header')?.hasAttribute('data-hm-down')).toBe(false);
  marksAt('data-hm-down', [0]);
});

test('a bar that waits is told once the page is scrolled as far as its look says', () => {
  jest.spyOn(window, 'getComputedStyle').mockImplementation(
    () =>
      ({
        getPropertyValue: (name: string) => (name === '--hm-after' ? '300px' : ''),
      }) as unknown as CSSStyleDeclaration,
  );
  run('appears');
  expect(marksAt('data-hm-past', [0, 299, 301, 100])).toEqual([false, false, true, false]);
  marksAt('data-hm-past', [0]);
});

test('a search that opens takes the focus, and closes elsewhere and by Escape', () => {
  const styles = { position: 'absolute', direction: 'ltr' } as CSSStyleDeclaration;
  jest.spyOn(window, 'getComputedStyle').mockImplementation(() => styles);
  run('disclosure');
  const isOpen = () => at('search').hasAttribute('data-hm-open');
  send('glass', 'click');
  expect([isOpen(), document.activeElement?.id]).toEqual([true, 'words']);
  send('words', 'keydown', { key: 'Escape' });
  expect([isOpen(), document.activeElement?.id]).toEqual([false, 'glass']);
  send('glass', 'click');
  send('elsewhere', 'focusin');
  expect(isOpen()).toBe(false);
});

test('a branch that unfolds in place is open from the start where it holds the page one is on', () => {
  const styles = { position: 'static', direction: 'ltr' } as CSSStyleDeclaration;
  jest.spyOn(window, 'getComputedStyle').mockImplementation(() => styles);
  at('hours').setAttribute('aria-current', 'page');
  const stop = run('disclosure');
  expect(at('more').getAttribute('aria-expanded')).toBe('true');
  stop();
  expect(at('more').getAttribute('aria-expanded')).toBe('false');
});

test('years that keep themselves right say the one it is, and what they said before once stopped', () => {
  const root = document.querySelector('header') as Element;
  root.insertAdjacentHTML(
    'beforeend',
    '<p id="legal">© 2019–<span data-hm-year="">2021</span> Marisma <span>2021</span></p>',
  );
  const stop = run('year');
  expect(at('legal').textContent).toBe(`© 2019–${new Date().getFullYear()} Marisma 2021`);
  stop();
  expect(at('legal').textContent).toBe('© 2019–2021 Marisma 2021');
});

test('the link to the section is marked, the last one that came there', () => {
  const watched = new Map<string, (isIntersecting: boolean) => void>();
  class Observer {
    private readonly tell: (entries: { isIntersecting: boolean }[]) => void;
    constructor(tell: (entries: { isIntersecting: boolean }[]) => void, options: IntersectionObserverInit) {
      this.tell = tell;
      expect(options.rootMargin).toBe('-33% 0% -66%');
    }
    observe(element: Element) {
      watched.set(element.id, (isIntersecting) => {
        this.tell([{ isIntersecting }]);
      });
    }
    disconnect() {
      watched.clear();
    }
  }
  Object.assign(globalThis, { IntersectionObserver: Observer });
  const nav = document.querySelector('nav') as Element;
  nav.setAttribute('data-hm-sight', '');
  nav.innerHTML =
    '<a id="to-a" href="#a">A</a><a id="to-b" href="#b">B</a><a id="to-gone" href="#gone">C</a><a href="/">D</a>';
  document.body.insertAdjacentHTML('beforeend', '<section id="a"></section><section id="b"></section>');
  const marked = () => [...nav.querySelectorAll('[aria-current=true]')].map(({ id }) => id);
  const stop = run('sight');
  expect([...watched.keys()]).toEqual(['a', 'b']);
  watched.get('a')?.(true);
  expect(marked()).toEqual(['to-a']);
  watched.get('a')?.(false);
  expect(marked()).toEqual(['to-a']);
  watched.get('b')?.(true);
  expect(marked()).toEqual(['to-b']);
  stop();
  expect(marked()).toEqual([]);
  expect(watched.size).toBe(0);
});
