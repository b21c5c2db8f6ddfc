import { expect, test, type CDPSession, type Page } from '@playwright/test';
import {
  colourOf, isColourValue, loadSite, ownersOf, parseColour, property, resolve, ROLES, slotsOf, toPixels, type Level, type PropertyId, type Site, type SlotKind, type State, type Value,
} from '@hamaca/core';
import { demoSite, handOff, startHost } from './support/output.ts';

const SITES = 10;
const SAMPLES_PER_SITE = 80;

/** Links that wear every slot of a menu, for one level. */
const dressed = (level: number) => [
  { id: `dressed-${level}`, label: 'Dressed', target: { kind: 'url', url: `/dressed/${level}` }, description: 'A line beneath', icon: 'icon-reed', image: '/reed.png', children: [] },
  { id: `action-${level}`, label: 'Act', target: { kind: 'url', url: `/act/${level}` }, role: 'action', children: [] },
  { id: `heading-${level}`, label: 'Head', target: { kind: 'none' }, role: 'heading', children: [] },
  { id: `divider-${level}`, label: '', target: { kind: 'none' }, role: 'divider', children: [] },
];

/** A small seeded generator (mulberry32), so that a failure can be run again. */
function seeded(seed: number) {
  let state = seed;
  const next = () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  return { next, pick: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T, chance: (share: number) => next() < share };
}
type Random = ReturnType<typeof seeded>;

function randomValue(random: Random, site: Site, id: PropertyId): Value {
  const entry = property(id);
  switch (entry.kind) {
    case 'colour': return random.pick<() => Value>([
      () => ({ swatch: random.pick(site.palette).id }), () => ({ swatch: random.pick(site.palette).id, alpha: 0.5 }), () => ({ role: random.pick(ROLES) }),
      () => ({ literal: random.pick(['#336699', 'rgb(10 20 30 / 0.5)', 'oklch(60% 0.1 150)', 'transparent']) }),
    ])();
    case 'family': return random.pick(['figtree', 'karla', 'newsreader', 'system']);
    case 'number': return random.pick([300, 400, 500, 600, 700]);
    case 'length': {
      // A box is never narrower than its padding; widths stay above what padding can come to.
      const size = Math.round(Math.max(entry.min, random.next() * Math.min(entry.max, 60))) + (id === 'width' ? 160 : 0);
      return random.chance(0.2) && id !== 'tracking' ? `${Math.max(entry.min, size) / 16}rem` : size;
    }
  }
}

/** The demo with three levels placed and random values in random cells of every slot. */
function randomSite(random: Random): Site {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- looks are filled in as raw JSON and loaded again
  const raw = JSON.parse(JSON.stringify(demoSite())) as any;
  const header = raw.pieces[0];
  const owners = [header, header.rows[0], ...Object.values(header.rows[0].zones).flat() as never[], raw.pieces[1]];
  header.rows[0].zones.middle[0].levels = 3;
  raw.icons = [{ id: 'icon-reed', name: 'reed', svg: '<svg viewBox="0 0 24 24"><path d="M4 4v16"/></svg>', set: null }];
  const [visit] = raw.menus[0].items;
  raw.menus[0].items.push(...dressed(1));
  visit.children.push(...dressed(2));
  visit.children[2].children.push(...dressed(3));
  for (const owner of owners) {
    const kinds = slotsOf(owner.kind ?? 'row') as Record<string, SlotKind>;
    owner.look = {};
    for (const [slot, kind] of Object.entries(kinds)) {
      for (let count = 0; count < kind.properties.length * 3; count++) {
        const level = kind.levels.length > 1 && random.chance(0.6) ? String(random.pick(kind.levels)) : 'all';
        const state = random.pick(kind.states);
        const band = random.chance(0.3) ? 'phone' : 'all';
        const id = random.pick(kind.properties);
        const values = (((owner.look[slot] ??= {})[level] ??= {})[state] ??= {})[band] ??= {};
        values[id] = randomValue(random, demoSite(), id);
      }
    }
  }
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}

interface Sample { owner: string; slot: string; level: Level | null; states: State[]; property: PropertyId; width: number }

function randomSample(random: Random, site: Site): Sample {
  const owner = random.pick([...ownersOf(site).values()]);
  const slot = random.pick(Object.keys(slotsOf(owner.kind)));
  const kind = slotsOf(owner.kind)[slot] as SlotKind;
  const states = kind.states.filter((state) => state !== 'rest' && random.chance(0.4));
  return { owner: owner.id, slot, level: kind.levels.length > 0 ? random.pick(kind.levels) : null, states, property: random.pick(kind.properties), width: random.pick([390, 800, 1100, 1280]) };
}

const LEVEL_PATHS: Readonly<Record<Level, string>> = { 1: '.hm-list > li >', 2: '.hm-list > li > ul > li >', 3: '.hm-list > li > ul > li > ul > li >' };
const classOf = (slot: string) => (slot === 'bar' ? 'header' : slot === 'scrim' ? 'panel' : slot);

function selectorOf({ slot, level }: Sample): string {
  const path = LEVEL_PATHS[level ?? 1];
  if (slot === 'link') return `${path} a.hm-link`;
  if (slot === 'action' || slot === 'heading') return `${path} .hm-${slot}`;
  if (['description', 'glyph', 'picture'].includes(slot)) return `${path} a.hm-link .hm-${slot}`;
  return slot === 'marker' ? 'button.hm-marker' : `.hm-${classOf(slot)}`;
}

async function takeSample(page: Page, session: CDPSession, sample: Sample): Promise<string> {
  const selector = selectorOf(sample);
  await page.evaluate(({ selector, states }) => {
    for (const element of document.querySelectorAll('[aria-current]')) element.removeAttribute('aria-current');
    for (const element of document.querySelectorAll('[aria-expanded]')) {
      if (element.matches('a')) element.removeAttribute('aria-expanded');
      else element.setAttribute('aria-expanded', 'false');
    }
    const element = document.querySelector(selector);
    const isMarker = element?.matches('.hm-marker');
    const link = element?.closest('a') ?? element;
    if (states.includes('current')) (isMarker ? element?.previousElementSibling : link)?.setAttribute('aria-current', 'page');
    if (states.includes('open')) (isMarker ? element : link?.nextElementSibling?.matches('[aria-expanded]') ? link.nextElementSibling : link)?.setAttribute('aria-expanded', 'true');
  }, { selector, states: sample.states });
  const { root } = await session.send('DOM.getDocument');
  const inside = ['description', 'glyph', 'picture'].includes(sample.slot);
  // What stands inside a link has the link's states.
  const { nodeId } = await session.send('DOM.querySelector', { nodeId: root.nodeId, selector: inside ? `${selector.replace(/ \.hm-\w+$/, '')}:has(.hm-${sample.slot})` : selector });
  const forcedPseudoClasses = sample.states.flatMap((state) => ({ hover: ['hover'], focus: ['focus', 'focus-visible'], pressed: ['active'] })[state as string] ?? []);
  await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses });
  const css = property(sample.property).css;
  const value = await page.evaluate(({ selector, css, pseudo }) => {
    const element = document.querySelector(selector);
    return element ? getComputedStyle(element, pseudo).getPropertyValue(css) : 'missing';
  }, { selector, css, pseudo: sample.slot === 'scrim' ? '::backdrop' : null });
  await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses: [] });
  return value;
}

function agrees(site: Site, sample: Sample, value: Value, size: number, computed: string): boolean {
  if (isColourValue(value)) {
    const wanted = colourOf(site, value);
    const found = parseColour(computed);
    return found !== null && Math.abs(found.a - wanted.a) < 0.01 && (wanted.a === 0 || (['r', 'g', 'b'] as const).every((channel) => Math.abs(found[channel] - wanted[channel]) < 0.006));
  }
  const { kind } = property(sample.property);
  if (kind === 'family') return value === 'system' ? computed.startsWith('system-ui') : computed.startsWith(`hm-${value}`);
  if (kind === 'number') return Number(computed) === value;
  return Math.abs((computed === 'normal' || computed === 'auto' ? 0 : parseFloat(computed)) - toPixels(value, size)) < 0.02;
}

test(`what resolve says is what the browser computes, on ${SITES * SAMPLES_PER_SITE} random samples`, async ({ page }) => {
  const host = await startHost();
  const session = await page.context().newCDPSession(page);
  await session.send('DOM.enable');
  await session.send('CSS.enable');
  const disagreements: unknown[] = [];
  let taken = 0;
  for (let seed = 1; seed <= SITES; seed++) {
    const random = seeded(seed);
    const site = randomSite(random);
    host.put(handOff(site));
    const samples = Array.from({ length: SAMPLES_PER_SITE }, () => randomSample(random, site)).sort((a, b) => a.width - b.width);
    let width = 0;
    for (const sample of samples) {
      if (sample.width !== width) {
        width = sample.width;
        await page.setViewportSize({ width, height: 700 });
        await page.goto(host.url);
        if (width < 1000) await page.evaluate(() => { document.querySelector('dialog')?.showModal(); (document.activeElement as HTMLElement | null)?.blur(); });
      }
      // A scrim is there only while its panel is open.
      if (sample.slot === 'scrim' && width >= 1000) continue;
      const computed = await takeSample(page, session, sample);
      const band = width >= 1000 ? 0 : 1;
      const answer = (id: PropertyId) => resolve(site, { ...sample, property: id, band });
      const sizeValue = answer('size')?.value;
      const size = typeof sizeValue === 'number' || typeof sizeValue === 'string' ? toPixels(sizeValue, 16) : 16;
      const resolved = answer(sample.property);
      taken++;
      if (!resolved || !agrees(site, sample, resolved.value, size, computed)) disagreements.push({ seed, ...sample, resolved, computed });
    }
  }
  await host.close();
  expect(disagreements).toEqual([]);
  expect(taken).toBeGreaterThanOrEqual(700);
});
