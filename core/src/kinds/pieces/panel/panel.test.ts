import { describe, expect, test } from '@jest/globals';
import { DEMO, DEMO_HEADER } from '../../../../test/demo.ts';
import { runEdit, type Edit } from '../../../edit/operations.ts';
import { loadSite } from '../../../load/load-site.ts';
import { compileSite } from '../../../output/compile-site.ts';
import { OPENER_DRAWINGS, TURNS } from '../../controls/opener-drawings.ts';
import { hasSlot, ownersOf, regionsOf } from '../../placed.ts';
import { COMINGS, EDGES, STANDINGS } from '../../properties/panel.ts';
import type { PropertyId } from '../../properties/properties.ts';
import type { Site } from '../../site.ts';

const run = (site: Site, edit: Edit): Site => {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value.site;
};
const set = (fields: Readonly<Record<string, unknown>>, site = DEMO, id = 'panel') =>
  run(site, { name: 'set-owner', args: { id, fields } });
const look = (
  values: Readonly<Partial<Record<PropertyId, string | number>>>,
  { site = DEMO, slot = 'panel', owner = 'panel', band = 'all' } = {},
) =>
  run(site, {
    name: 'set-look',
    args: {
      cells: Object.entries(values).map(([property, value]) => ({
        owner,
        slot,
        property: property as PropertyId,
        level: 'all' as const,
        state: 'rest' as const,
        band,
        value,
      })),
    },
  });
const compiled = (site: Site) => compileSite(site, { fonts: [], fontBase: '/', flat: true });
/** The rules of the stylesheet whose selectors end in some text, with what they stand under. */
const rulesOf = (site: Site, ending: string) =>
  compiled(site)
    .stylesheet.split('\n')
    .reduce<{ readonly rules: string[]; at: string }>(
      (found, line) => {
        if (line.endsWith('{')) found.at = line;
        else if (found.at.includes(ending)) found.rules.push(line.trim());
        return found;
      },
      { rules: [], at: '' },
    ).rules;

describe('the side a panel comes from', () => {
  const sideOf = (site: Site) =>
    rulesOf(site, '.hm-menu-panel:not(#hm)[id] {').find((rule) => rule.startsWith('inset-inline: '));
  const regionAt = (name: string) =>
    [...regionsOf(DEMO).values()].find((region) => region.piece === DEMO_HEADER && region.name === name)
      ?.id ?? '';
  const moved = run(look({ stands: 'at its opener’s side' }), {
    name: 'move-part',
    args: { id: 'opener', place: { region: regionAt('start'), index: 0 } },
  });

  test('is that of the opener, wherever it is carried', () => {
    expect(sideOf(look({ stands: 'at its opener’s side' }))).toBe('inset-inline: auto 0;');
    expect(sideOf(moved)).toBe('inset-inline: 0 auto;');
  });

  test('is the one that was chosen, where one was', () => {
    expect(sideOf(look({ stands: 'at the end' }, { site: moved }))).toBe('inset-inline: auto 0;');
  });
});

describe('where a panel stands', () => {
  test.each(STANDINGS)('%s is arranged in its own way, with room to the edges as told', (stands) => {
    const rules = rulesOf(look({ stands, windowGap: 12 }), '.hm-menu-panel:not(#hm)[id] {');
    expect(rules.some((rule) => /^inset(?:-block)?:/.test(rule) && rule.includes('12px'))).toBe(
      stands !== 'beneath the bar',
    );
    const others = STANDINGS.filter((other) => other !== stands && !other.includes('side'));
    for (const other of others) {
      const same =
        rulesOf(look({ stands: other, windowGap: 12 }), '.hm-menu-panel:not(#hm)[id] {').join() ===
        rules.join();
      expect(same && stands !== 'at its opener’s side').toBe(false);
    }
  });

  test('can differ from band to band', () => {
    const rules = rulesOf(
      look({ stands: 'over the whole window' }, { band: 'phone' }),
      '.hm-menu-panel:not(#hm)[id] {',
    );
    expect(rules).toEqual(expect.arrayContaining(['inset-inline: auto 0;', 'inline-size: auto;']));
  });
});

describe('how a panel comes', () => {
  test.each(COMINGS)('%s is said as a motion only where motion is wanted', (comesIn) => {
    const { stylesheet } = compiled(look({ comesIn, comeTime: 500 }));
    for (const block of stylesheet.split(/\n(?=[^\s}])/).filter((one) => one.includes('@starting-style')))
      expect(block).toMatch(/^@media[^{]*prefers-reduced-motion: no-preference/);
    expect(stylesheet.includes('allow-discrete')).toBe(comesIn !== 'at once');
  });

  test.each(EDGES)('it slides from %s, mirrored where that has a side', (comesFrom) => {
    const { stylesheet } = compiled(look({ comesIn: 'sliding', comesFrom }));
    const aside = ['the start', 'the end', 'its own edge'].includes(comesFrom);
    expect(stylesheet.includes(':dir(rtl)')).toBe(aside);
  });
});

describe('how a panel closes', () => {
  test('what it closes by is told to the browser', () => {
    const closedby = (fields: Readonly<Record<string, unknown>>) =>
      /closedby="(\w+)"/.exec(compiled(set(fields)).pieces.get('panel') ?? '')?.[1];
    expect(closedby({})).toBe('any');
    expect(closedby({ byScrim: false })).toBe('closerequest');
    expect(closedby({ byScrim: false, byEscape: false })).toBe('none');
  });

  test('one way that always works is left', () => {
    const ran = runEdit(DEMO, {
      name: 'set-owner',
      args: { id: 'panel', fields: { closeAs: 'none', byScrim: false, byEscape: false } },
    });
    expect(ran.ok ? '' : ran.error[0]?.message).toBe(
      'a panel needs a close control, or to be closed by the scrim or by Escape',
    );
    const raw = JSON.parse(JSON.stringify(DEMO)) as { pieces: Record<string, unknown>[] };
    Object.assign(raw.pieces[1] ?? {}, { closeAs: 'none', byScrim: false, byEscape: false });
    expect(loadSite(raw)).toMatchObject({ ok: false });
    expect(compiled(set({ closeAs: 'none', byScrim: false })).pieces.get('panel')).not.toContain(
      '<button class="hm-menu-panel-close',
    );
  });

  test.each([
    ['drawing', 'aria-label="Close menu"', false],
    ['word', '>Close</span>', true],
    ['both', '>Close</span>', true],
    ['opener', 'aria-label="Close menu"', false],
  ])('by %s it has a name and what belongs to it', (closeAs, named, hasWord) => {
    const site = set({ closeAs });
    expect(compiled(site).pieces.get('panel')).toContain(named);
    const owner = ownersOf(site).get('panel');
    expect(owner && hasSlot(site, owner, 'close-label')).toBe(hasWord);
  });

  test('the script does only what is asked of it', () => {
    expect(compiled(DEMO).behaviours).not.toContain('swipe');
    expect(compiled(set({ bySwipe: true })).behaviours).toContain('swipe');
    expect(compiled(set({ byScroll: true })).behaviours).not.toContain('away');
    expect(compiled(set({ byScroll: true, holdsPage: false })).behaviours).toContain('away');
    expect(compiled(set({ openedBy: '.more' })).behaviours).toContain('summons');
    expect(compiled(look({ pageBehind: 'is drawn smaller' })).behaviours).toContain('distance');
  });
});

describe('the page behind', () => {
  test('is pushed by the width of a panel at a side, and by nothing else', () => {
    const pushed = look({ stands: 'at the start', width: '80%', pageBehind: 'is pushed aside' });
    expect(rulesOf(pushed, 'body:has(.hm-marisma.hm-menu-panel:modal)')).toContain(
      'inset-inline-start: 80%;',
    );
    expect(
      rulesOf(look({ stands: 'at the top' }, { site: pushed }), 'body:has(.hm-marisma.hm-menu-panel:modal)'),
    ).toEqual([]);
  });

  test('is held fast unless it is told not to', () => {
    expect(compiled(DEMO).stylesheet).toContain('overflow: hidden');
    const free = compiled(set({ holdsPage: false })).stylesheet;
    expect(free).not.toMatch(/html:has\([^{]*:modal\)[^{]*\{\s*overflow: hidden/);
  });
});

describe('the motion of a panel', () => {
  const timesOf = (site: Site) =>
    rulesOf(site, '.hm-menu-panel').filter((rule) => /^transition-(?:duration|timing|delay)/.test(rule));
  const duration = 'transition-duration: var(--hm-come-time);';

  test('is in the output as far as looks say anything of it', () => {
    // The panel and its scrim.
    expect(timesOf(DEMO)).toEqual([duration, duration]);
    const curve = 'transition-timing-function: var(--hm-come-curve, ease);';
    expect(timesOf(look({ comeCurve: 'spring' }))).toEqual([duration, curve, duration, curve]);
    const delays = timesOf(look({ comeDelay: 90 }));
    expect(delays.filter((rule) => rule === 'transition-delay: var(--hm-come-delay, 0s);')).toHaveLength(2);
    expect(delays.filter((rule) => rule === 'transition-delay: 0s;')).toHaveLength(2);
    expect(
      timesOf(look({ goTime: 90 })).filter((rule) => rule.includes('var(--hm-go-time, var(--hm-come-time))')),
    ).toHaveLength(2);
  });
});

describe('openers', () => {
  const drawings = Object.keys(OPENER_DRAWINGS);
  const turns = Object.keys(TURNS);

  test.each(drawings)('drawn as %s they have a name', (drawing) => {
    const markup = compiled(set({ drawing }, DEMO, 'opener')).pieces.get('header') ?? '';
    const button = /<button\s+class="hm-menu-opener".*?<\/button>/s.exec(markup)?.[0] ?? '';
    expect(button.includes('<svg')).toBe(drawing !== 'none');
    expect(/aria-label="Menu"|>Menu<\/span>/.test(button)).toBe(true);
  });

  test.each(turns)('that turn by %s do so while their panel is open', (way) => {
    for (const drawing of drawings) {
      const { stylesheet } = compiled(set({ drawing, turns: way }, DEMO, 'opener'));
      const isTurned = /html:has\([^)]*:modal\)[^{]*hm-menu-opener-drawing/.test(stylesheet);
      expect(isTurned).toBe(way !== 'none' && drawing !== 'none');
    }
  });

  test('fixed on the page they keep clear of what the device covers, and take no room in their row', () => {
    const site = look({ fixedAt: 'at the bottom, end' }, { slot: 'opener', owner: 'opener' });
    expect(rulesOf(site, 'hm-menu-opener')).toContain('inset-block-end: env(safe-area-inset-bottom, 0px);');
  });
});
