import { describe, expect, test } from '@jest/globals';
import { DEMO, MARISMA } from '../../../test/demo.ts';
import { staying } from '../../../test/staying.ts';
import { runEdit, type Edit } from '../../edit/operations.ts';
import { loadSite } from '../../load/load-site.ts';
import type { Site } from '../../kinds/site.ts';
import type { Cell } from '../../model/look.ts';
import type { Value } from '../../values/values.ts';
import { runChecks } from '../run-checks.ts';

const run = (site: Site, ...edits: Edit[]): Site =>
  edits.reduce((now, edit) => {
    const ran = runEdit(now, edit);
    if (!ran.ok) throw new Error(ran.error[0]?.message);
    return ran.value.site;
  }, site);
const look = (owner: string, slot: string, property: Cell['property'], value: Value, band = 'all'): Edit => ({
  name: 'set-look',
  args: { cells: [{ owner, slot, property, level: 'all', state: 'rest', band, value }] },
});
const set = (id: string, fields: Readonly<Record<string, unknown>>): Edit => ({
  name: 'set-owner',
  args: { id, fields },
});
const found = (site: Site, check: string) => runChecks(site).filter((finding) => finding.check === check);

/** The demo with a band between its two. */
function threeBands(): Site {
  const raw = JSON.parse(JSON.stringify(DEMO)) as { bands: object[] };
  raw.bands.splice(1, 0, { id: 'tablet', name: 'Tablet', min: 600 });
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}

/** Sites that each check objects to, with what it says; and one that it does not. */
const SAMPLES: Readonly<
  Record<
    string,
    { readonly wrong: () => Site; readonly says: RegExp; readonly right?: () => Site; readonly mends?: false }
  >
> = {
  'no-way-to-menu': {
    wrong: () => run(DEMO, set('opener', { bands: ['wide'] })),
    says: /^In Phone Main is in the panel Menu, and nothing there opens it\.$/,
    right: () => run(DEMO, set('opener', { bands: ['wide'] }), set('panel', { openedBy: '.more' })),
  },
  'no-way-out': {
    wrong: () =>
      run(DEMO, look('panel', 'panel', 'stands', 'over the whole window'), set('panel', { closeAs: 'none' })),
    says: /^Menu has no close control, and in Wide it covers the whole window\.$/,
    right: () => run(DEMO, set('panel', { closeAs: 'none' })),
  },
  'target-small': {
    wrong: () => run(DEMO, look('opener', 'opener', 'paddingInline', 2)),
    says: /^Opener is 28 px in Phone, where 44 px are needed\.$/,
    right: () => run(DEMO, look('opener', 'opener', 'size', 30)),
  },
  'bar-tall': {
    wrong: () => run(DEMO, staying(), look('row-main', 'row', 'height', 160, 'phone')),
    says: /^Header stays 160 px high, of 390 px that a phone has on its side\.$/,
    right: () => run(DEMO, staying('hides on the way down'), look('row-main', 'row', 'height', 160)),
  },
  'fixed-in-blur': {
    wrong: () =>
      run(DEMO, look('opener', 'opener', 'fixedAt', 'at the bottom, end'), look('header', 'bar', 'blur', 8)),
    says: /is fixed on the page in Wide, but Header, bar blurs what is behind it and holds it fast\.$/,
    right: () => run(DEMO, look('opener', 'opener', 'fixedAt', 'at the bottom, end')),
  },
  'fixed-together': {
    wrong: () =>
      run(
        DEMO,
        look('opener', 'opener', 'fixedAt', 'at the bottom, end'),
        staying('stays at the bottom', 'phone'),
      ),
    says: /^In Phone an opener stands at the bottom, end of the window, where Header stands too\.$/,
    right: () =>
      run(DEMO, look('opener', 'opener', 'fixedAt', 'at the top, end'), staying('stays at the bottom')),
    mends: false,
  },
  'page-pushed': {
    wrong: () => run(DEMO, look('book', 'button', 'minWidth', 400, 'phone')),
    says: /^In Phone .* is never narrower than 400 px, where windows have 320 px\.$/,
    right: () =>
      run(DEMO, look('book', 'button', 'minWidth', 400), look('book', 'button', 'minWidth', 0, 'phone')),
  },
  'panel-wide': {
    wrong: () => run(DEMO, look('panel', 'panel', 'width', 480)),
    says: /^In Phone Menu is to be 480 px wide, where a window may have 390 px\.$/,
    right: () =>
      run(DEMO, look('panel', 'panel', 'width', 480), look('panel', 'panel', 'width', '80%', 'phone')),
  },
  'scrim-weak': {
    wrong: () =>
      run(
        DEMO,
        look('panel', 'panel', 'fill', { literal: '#ffffff20' }),
        look('panel', 'scrim', 'fill', { literal: '#10203040' }),
      ),
    says: /^In Wide Menu and its scrim hide only 34 % of the page behind its words\.$/,
    right: () =>
      run(
        DEMO,
        look('panel', 'panel', 'fill', { literal: '#ffffff00' }),
        look('panel', 'scrim', 'fill', { literal: '#102030e0' }),
      ),
  },
  'hidden-between': {
    wrong: () => run(threeBands(), set('logo', { bands: ['wide', 'phone'] })),
    says: /^It is hidden in Tablet, and shown in wider and narrower bands\.$/,
    right: () => run(threeBands(), set('logo', { bands: ['wide'] })),
  },
};

describe.each(Object.entries(SAMPLES))('%s', (check, { wrong, says, right, mends }) => {
  test('is told where it is wrong, once, and mended', () => {
    const site = wrong();
    const findings = found(site, check);
    expect(findings.map(({ reason }) => reason)).toEqual([expect.stringMatching(says)]);
    expect(findings[0]?.at?.piece).toBeDefined();
    if (mends === false) return;
    const fix = findings[0]?.fix;
    expect(fix && found(run(site, fix.edit), check)).toEqual([]);
  });

  test('is not told where it is right', () => {
    expect(found(right?.() ?? DEMO, check)).toEqual([]);
    expect(found(DEMO, check)).toEqual([]);
    expect(found(MARISMA, check)).toEqual([]);
  });
});
