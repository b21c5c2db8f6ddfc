import { describe, expect, test } from '@jest/globals';
import { DEMO, DEMO_HEADER, headerOf, measure, rawDemo } from '../../test/demo.ts';
import { randomEdit } from '../../test/random-edit.ts';
import { randomHeader } from '../../test/random-header.ts';
import { seeded } from '../../test/random-site.ts';
import { runEdit } from '../edit/operations.ts';
import { placedParts } from '../kinds/placed.ts';
import { loadSite } from '../load/load-site.ts';
import { longerBy } from '../text/other-measures.ts';
import { fitAt, fitLine, rowFits, TIGHT_ROOM } from './fit.ts';
import { givingWay } from './gives-way.ts';

const RANGE = { from: 320, to: 1920 };
const line = fitLine(DEMO, DEMO_HEADER, RANGE, measure);

describe('the fit of the demo’s header', () => {
  test('covers the whole line without gaps or overlaps', () => {
    expect(line.segments[0]?.from).toBe(320);
    expect(line.segments.at(-1)?.to).toBe(1920);
    line.segments.slice(1).forEach((segment, index) => {
      expect(segment.from).toBe((line.segments[index]?.to ?? 0) + 1);
    });
  });
  test('the smallest safe breakpoint leaves just the room that is safe', () => {
    expect(line.safeBreakpoint).toBe(Math.ceil(line.needed[0]?.width ?? 0) + TIGHT_ROOM);
    const at = (min: number) => {
      const edited = runEdit(DEMO, { name: 'set-band-start', args: { id: 'wide', min } });
      return edited.ok ? fitAt(fitLine(edited.value.site, DEMO_HEADER, RANGE, measure), min) : null;
    };
    const safe = line.safeBreakpoint ?? 0;
    expect([at(safe), at(safe - 1), at(safe - TIGHT_ROOM), at(safe - TIGHT_ROOM - 1)]).toEqual([
      'fits',
      'tight',
      'tight',
      'breaks',
    ]);
  });
  test('of several measurers the one that needs the most counts, band by band', () => {
    const longer = longerBy(measure, 0.3);
    const shorter = longerBy(measure, -0.3);
    const worst = fitLine(DEMO, DEMO_HEADER, RANGE, measure, longer, shorter);
    expect(worst.needed).toEqual(fitLine(DEMO, DEMO_HEADER, RANGE, longer).needed);
    expect(worst.needed[0]?.width).toBeGreaterThan((line.needed[0]?.width ?? 0) + 50);
    expect(fitLine(DEMO, DEMO_HEADER, RANGE, measure, shorter)).toEqual(line);
  });
  test('is certain, as every letter is known; an unknown one makes it an estimate', () => {
    expect(line.certain).toBe(true);
    const edited = runEdit(DEMO, { name: 'set-owner', args: { id: 'book', fields: { label: '予約' } } });
    const header = edited.ok && edited.value.site.pieces[0];
    if (!edited.ok || !header || header.kind !== 'header') throw new Error('no header');
    const unsure = fitLine(edited.value.site, header, RANGE, measure);
    expect(unsure.certain).toBe(false);
    expect(unsure.needed[0]?.unmeasured).toEqual(['予約']);
  });
  test('a bolder current page needs its room', () => {
    const edited = runEdit(DEMO, {
      name: 'set-look',
      args: {
        cells: [
          {
            owner: 'menu-main',
            slot: 'link',
            property: 'weight',
            level: 'all',
            state: 'current',
            band: 'all',
            value: null,
          },
        ],
      },
    });
    const header = edited.ok && edited.value.site.pieces[0];
    if (!edited.ok || !header || header.kind !== 'header') throw new Error('no header');
    expect(fitLine(edited.value.site, header, RANGE, measure).needed[0]?.width).toBeLessThan(
      line.needed[0]?.width ?? 0,
    );
  });
  test('a header that never folds is told the width from which it fits; one whose content is held too narrow is not', () => {
    const stays = runEdit(DEMO, { name: 'fold-part', args: { id: 'menu-main', from: null } });
    if (!stays.ok) throw new Error(stays.error[0]?.message);
    const { site } = stays.value;
    expect(fitLine(site, headerOf(site), RANGE, measure).safeBreakpoint).toBe(
      Math.ceil(line.needed[0]?.width ?? 0) + TIGHT_ROOM,
    );
    const held = runEdit(DEMO, { name: 'set-owner', args: { id: 'row-main', fields: { contained: 400 } } });
    if (!held.ok) throw new Error(held.error[0]?.message);
    const never = fitLine(held.value.site, headerOf(held.value.site), RANGE, measure);
    expect(never.safeBreakpoint).toBeNull();
    expect(never.segments.at(-1)).toEqual({ from: 1000, to: RANGE.to, fit: 'breaks' });
  });
});

test.each([1, 2, 3, 4])(
  'widths that are remembered from edit to edit are those of a site never seen before (%i)',
  (seed) => {
    const random = seeded(seed);
    let site = randomHeader(random, 0.5);
    let edited = 0;
    for (let step = 0; step < 60 && placedParts(site).length > 0; step++) {
      const ran = runEdit(site, randomEdit(random, site));
      if (!ran.ok) continue;
      ({ site } = ran.value);
      edited++;
      const unknown = structuredClone(site);
      expect(rowFits(site, measure)).toEqual(rowFits(unknown, measure));
      expect([...givingWay(site, measure)]).toEqual([...givingWay(unknown, measure)]);
    }
    expect(edited).toBeGreaterThan(12);
  },
);

describe('what gives way', () => {
  const below = (site: typeof DEMO) => givingWay(site, measure).get('book');
  test('leaves from just beneath the width at which its row has room for it', () => {
    const stays = runEdit(DEMO, { name: 'fold-part', args: { id: 'book', from: null } });
    if (!stays.ok) throw new Error('refused');
    const phone = rowFits(stays.value.site, measure).find(({ band }) => band === 'phone');
    expect(below(DEMO)).toBe(Math.ceil(phone?.needed ?? 0) + 1);
    expect(below(stays.value.site)).toBeUndefined();
  });
  test('never leaves where there is room at every width of its bands', () => {
    const short = runEdit(DEMO, { name: 'set-owner', args: { id: 'logo', fields: { text: 'M' } } });
    if (!short.ok) throw new Error('refused');
    expect(below(short.value.site)).toBeLessThan(320);
  });
  test('of several the last leaves first', () => {
    const two = runEdit(DEMO, { name: 'duplicate-part', args: { id: 'book', copy: 'other' } });
    if (!two.ok) throw new Error('refused');
    const ways = givingWay(two.value.site, measure);
    expect(ways.get('other')).toBeGreaterThan(ways.get('book') ?? Infinity);
  });
});

test('own declarations that may change widths make them uncertain, others do not', () => {
  const withOwn = (ownCss: string, state = 'rest') => {
    // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a raw document is changed
    const raw = rawDemo() as any;
    const { look } = raw.pieces[0].rows[0].zones.middle[0];
    look.link ??= {};
    look.link['@link1'] = { [state]: { phone: { ownCss }, all: { ownCss } } };
    const loaded = loadSite(raw);
    if (!loaded.ok) throw new Error(loaded.error[0]?.message);
    return rowFits(loaded.value, measure).every((fit) => fit.certain);
  };
  expect(withOwn('rotate: 2deg; background-color: teal; border-radius: 3px; --w: 3px')).toBe(true);
  expect(withOwn('padding-left: 2px', 'hover')).toBe(true);
  expect(withOwn('rotate: 2deg; padding-left: 2px')).toBe(false);
  expect(withOwn('letter-spacing: 1px', 'current')).toBe(false);
});
