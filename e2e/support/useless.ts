/** Finds declarations that change nothing: each is taken away in turn, in every state and on pages of several sorts. */
import type { Page } from '@playwright/test';

/** What a page is looked at in. */
interface Situation {
  /** States that are frozen in everything of ours. */
  readonly states: readonly string[];
  /** The page's own stylesheet. */
  readonly host?: string;
  /** Whether the script has run. */
  readonly ready?: boolean;
  readonly direction?: 'ltr' | 'rtl';
  /** Whether every swatch has a colour of its own, so that links to equal colours differ. */
  readonly recoloured?: boolean;
}

/** What a host page may say of the elements we use. */
const HOST_RULES = `svg, svg *, img, hr, button, a, ul, li, nav, header, dialog, input, form, span, div {
  margin: 7px; padding: 7px; border: 3px solid red; transform: rotate(1deg); display: inline-block; float: left;
  max-width: 90px; vertical-align: top; overflow: scroll; color: red; font: italic 30px/2 monospace; width: 33px;
  height: 33px; flex: 1; opacity: 0.7; list-style: square; text-decoration: underline; cursor: help; background: pink;
  border-radius: 9px; object-fit: cover; fill: red; stroke: lime; stroke-width: 9
}
*::before, *::after { content: "x" }`;

const STATES = ['hover', 'focus', 'current', 'open', 'pressed', 'scrolled'];

/** In the order that lets most declarations show early. */
const SITUATIONS: readonly Situation[] = [
  ...[[], ['hover'], ['focus'], ['current']].map((states) => ({ states, recoloured: true })),
  { states: ['open'], direction: 'rtl' },
  ...[[], ...STATES.map((state) => [state])].map((states) => ({ states })),
  ...STATES.flatMap((one, index) => STATES.slice(index + 1).map((other) => ({ states: [one, other] }))),
  { states: [], ready: false },
  { states: [], host: `@layer base { ${HOST_RULES} }` },
  { states: [], host: HOST_RULES },
];

/** Notes every declaration whose effect can be seen here: not what other media, engines or the start of a motion ask for. */
async function gatherDeclarations(page: Page): Promise<void> {
  await page.evaluate(() => {
    const found: unknown[] = [];
    const gather = (rules: CSSRuleList, around: string) => {
      for (const rule of rules) {
        if (rule instanceof CSSStyleRule) {
          // The cut from the host page is written out into hundreds of declarations.
          const isReset = rule.cssText.length > 3000;
          const isElsewhere = /data-hm-edge|\) li:|lead:focus-visible/.test(rule.selectorText);
          if (isReset || isElsewhere) continue;
          for (const declaration of rule.style.cssText.split(/;\s*(?![^(]*\))/)) {
            const [name = '', ...value] = declaration.split(':');
            if (name !== '' && !/^(--|transition)/.test(name))
              found.push({ rule, name, value: value.join(':').trim(), where: around + rule.selectorText });
          }
        } else if (rule instanceof CSSGroupingRule) {
          const text = rule.cssText.slice(0, rule.cssText.indexOf('{'));
          if (!/print|forced-colors|scripting|starting-style|reduced-motion/.test(text))
            gather(rule.cssRules, text);
        }
      }
    };
    const sheet = document.querySelector<HTMLStyleElement>('style[data-ours]')?.sheet;
    if (sheet) gather(sheet.cssRules, '');
    Object.assign(window, { remaining: found });
  });
}

/** Takes from the noted declarations those that change something in a situation; says how many are left. */
async function keepUseless(page: Page, situation: Situation): Promise<number> {
  return page.evaluate(({ states, host = '', ready = true, direction = 'ltr', recoloured = false }) => {
    interface Noted {
      readonly rule: CSSStyleRule;
      readonly name: string;
      readonly value: string;
    }
    const held = window as unknown as { remaining: Noted[] };
    const styleOf = (which: string) => document.querySelector<HTMLStyleElement>(`style[data-${which}]`);
    const hostStyle = styleOf('host');
    if (hostStyle) hostStyle.textContent = host;
    document.documentElement.dir = direction;
    const palette = [...(styleOf('ours')?.sheet?.cssRules ?? [])].find(
      (rule): rule is CSSStyleRule =>
        rule instanceof CSSStyleRule && rule.style[0]?.startsWith('--') === true,
    );
    for (const element of document.querySelectorAll<HTMLElement>('[class*="hm-"]')) {
      element.removeAttribute('data-pin');
      if (states.length > 0) element.setAttribute('data-pin', states.join(' '));
      if (!element.matches('[class^="hm-"]:not([class^="hm-"] *)')) continue;
      if (ready) element.setAttribute('data-hm-ready', 'true');
      else element.removeAttribute('data-hm-ready');
      element.toggleAttribute('data-hm-scrolled', states.includes('scrolled'));
      [...(palette?.style ?? [])].forEach((name, index) => {
        if (recoloured)
          element.style.setProperty(name, `rgb(${index * 9 + 3} ${200 - index * 7} ${index * 5})`);
        else element.style.removeProperty(name);
      });
    }
    for (const button of document.querySelectorAll('[aria-expanded]'))
      button.setAttribute('aria-expanded', String(states.includes('open')));
    for (const list of document.querySelectorAll('[class*=submenu]'))
      list.toggleAttribute('data-hm-open', states.includes('open'));

    const probe = document.createElement('i');
    const longhands = (name: string, value: string) => {
      probe.style.cssText = '';
      probe.style.setProperty(name, value);
      return [...probe.style, 'display'];
    };
    const styled = (element: Element, pseudo: string | null, names: readonly string[]) => {
      const style = getComputedStyle(element, pseudo);
      const values = names.map((name) => style.getPropertyValue(name));
      return [...values, ...(pseudo ? [style.width, style.height] : [])].join(';');
    };
    const placed = (element: Element) => JSON.stringify(element.getBoundingClientRect());
    const isActive = (rule: CSSRule | null): boolean =>
      !rule ||
      ((!(rule instanceof CSSMediaRule) || matchMedia(rule.conditionText).matches) &&
        isActive(rule.parentRule));
    const PSEUDO = /::(?:before|after|backdrop)/g;
    const entriesOf = (list: string) => {
      let depth = 0;
      const entries = [''];
      for (const sign of list) {
        if (sign === '(') depth++;
        if (sign === ')') depth--;
        if (sign === ',' && depth === 0) entries.push('');
        else entries[entries.length - 1] += sign;
      }
      return entries.map((entry) => entry.trim());
    };

    held.remaining = held.remaining.filter(({ rule, name, value }) => {
      if (!isActive(rule)) return true;
      const pseudo = rule.selectorText.match(PSEUDO)?.[0] ?? null;
      // What several share is looked at in each of them.
      const chosen = entriesOf(rule.selectorText.replace(PSEUDO, '')).flatMap(
        (selector, _index, { length }) => {
          const matched = [...document.querySelectorAll(selector)];
          return length > 1
            ? matched.slice(0, 2)
            : [...new Set([...matched.slice(0, 4), ...matched.slice(-2)])];
        },
      );
      const names = longhands(name, value);
      const around = chosen.flatMap((element) => [
        element,
        ...[...element.querySelectorAll('*')].slice(0, 25),
        ...(element.parentElement ? [element.parentElement, ...element.parentElement.children] : []),
      ]);
      const picture = () =>
        [
          ...chosen.map((element) => styled(element, pseudo, names)),
          ...chosen.flatMap((element) =>
            [...element.children].slice(0, 3).map((child) => styled(child, null, names)),
          ),
          ...around.map(placed),
        ].join();
      const before = picture();
      rule.style.removeProperty(name);
      const isUseless = picture() === before;
      rule.style.setProperty(name, value);
      return isUseless;
    });
    return held.remaining.length;
  }, situation);
}

/**
 * The declarations of a page's stylesheet (`style[data-ours]`, made with frozen states) that change nothing in any
 * situation, each with the rule it stands in. The page has an empty `style[data-host]` before it.
 */
export async function uselessDeclarations(page: Page): Promise<string[]> {
  await gatherDeclarations(page);
  for (const situation of SITUATIONS) if ((await keepUseless(page, situation)) === 0) break;
  return page.evaluate(() =>
    (window as unknown as { remaining: { name: string; value: string; where: string }[] }).remaining.map(
      ({ where, name, value }) => `${where} { ${name}: ${value} }`,
    ),
  );
}
