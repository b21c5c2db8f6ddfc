import { describe, expect, test } from '@jest/globals';
import { DEMO, MARISMA, measure } from '../../test/demo.ts';
import type { MenuItem } from '../model/menu-item.ts';
import type { Piece, Site } from '../kinds/site.ts';
import { pieceKindById } from '../kinds/catalogue.ts';
import type { Target } from '../model/target.ts';
import { countingIds } from '../base/ids.ts';
import { idsOf, ownersOf, partsOf } from '../kinds/placed.ts';
import { applyPatch } from '../edit/json-patch.ts';
import { runEdit, type Edit } from '../edit/operations.ts';
import { shownDepth, unreachedPages } from '../links/reach.ts';
import type { FetchedLink } from './check.ts';
import { CHECKS } from './checks.ts';
import { mendAll, runChecks } from './run-checks.ts';

const url = (address: string): Target => ({ kind: 'url', url: address });
const page = (id: string, section?: string): Target => ({
  kind: 'page',
  page: id,
  ...(section === undefined ? {} : { section }),
});
const link = (label: string, target: Target, more: Partial<MenuItem> = {}): MenuItem => ({
  id: `t-${label.slice(0, 20)}-${JSON.stringify(target).length}`,
  label,
  target,
  children: [],
  ...more,
});
const ITEMS = page('page-visit');
const edited = (site: Site, edit: Edit): Site => {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value.site;
};

/** The demo with one menu of these links and an inventory that knows two pages more. */
const siteWith = (items: readonly MenuItem[], name = 'Test'): Site => ({
  ...DEMO,
  menus: [{ id: 'test', name, items }, ...DEMO.menus.slice(0, 1)],
  pages: [...DEMO.pages, { id: 'page-guess', path: '/guess/', title: 'Guess', sections: [], listed: false }],
});

interface Sample {
  readonly fails: readonly MenuItem[];
  readonly passes: readonly MenuItem[];
  readonly menu?: string;
  readonly fetched?: FetchedLink;
  readonly fixes?: true;
}
const fetched = (address: string, more: Partial<FetchedLink>): FetchedLink => ({
  url: address,
  status: 200,
  finalUrl: address,
  error: null,
  permanent: false,
  ...more,
});

/** For every check links that fail it and links that pass it: a new check without samples fails here. */
const SAMPLES: Readonly<Record<string, Sample>> = {
  'no-target': {
    fails: [link('Visit', { kind: 'none' })],
    passes: [
      link('Visit', ITEMS),
      link('Plan', { kind: 'none' }, { role: 'heading' }),
      link('More', { kind: 'none' }, { children: [link('Hours', page('page-visit-opening-hours'))] }),
    ],
  },
  'path-unknown': {
    fails: [link('Boats', url('/boats/')), link('News', url('/news'))],
    passes: [link('News', page('page-news')), link('Find', url('/find/?q=1'))],
  },
  'page-unlisted': { fails: [link('Guess', page('page-guess'))], passes: [link('News', page('page-news'))] },
  'section-missing': {
    fails: [
      link('By train', page('page-visit-getting-here', 'By_Train')),
      link('Bus', page('page-visit-getting-here', 'bus')),
      link('Ferry', { kind: 'section', section: 'ferry' }),
      link('Log', page('page-news', 'log')),
    ],
    passes: [
      link('By train', page('page-visit-getting-here', 'by-train')),
      link('Top', { kind: 'section', section: 'top' }),
    ],
  },
  'scheme-missing': {
    fails: [link('Orilla', url('www.orilla.example/music')), link('Heron', url('heron.example'))],
    passes: [link('Orilla', url('https://www.orilla.example/')), link('File', url('map.pdf'))],
    fixes: true,
  },
  'refused-scheme': {
    fails: [link('Run', url('javascript:alert(1)'))],
    passes: [link('Files', url('ftp://files.example/'))],
    fixes: true,
  },
  placeholder: {
    fails: [
      link('Shop', url('#')),
      link('Page 1', ITEMS),
      link('Menu item', ITEMS),
      link('Lorem ipsum', ITEMS),
      link('Old', url('/sample-page/')),
      link('Ex', url('https://example.com/')),
    ],
    passes: [link('Item lending', ITEMS), link('Pages of history', ITEMS)],
  },
  'own-host': {
    fails: [
      link('News', url('https://www.marisma.example/news/#latest')),
      link('Find', url('https://marisma.example/find')),
    ],
    passes: [link('Orilla', url('https://orilla.example/'))],
    fixes: true,
  },
  insecure: {
    fails: [link('Orilla', url('http://orilla.example/'))],
    passes: [link('Orilla', url('https://orilla.example/'))],
    fixes: true,
  },
  'social-front-page': {
    fails: [link('Videos', url('https://www.youtube.com/')), link('Pond', url('https://pond.example'))],
    passes: [link('Pond', url('https://pond.example/@marisma'))],
    menu: 'Social',
  },
  'mail-unreachable': {
    fails: [
      link('Write', { kind: 'mail', address: 'hello@marisma' }),
      link('Write', { kind: 'mail', address: 'a b@marisma.example' }),
    ],
    passes: [link('Write', { kind: 'mail', address: 'hello@marisma.example' })],
  },
  'phone-undialable': {
    fails: [
      link('Call', { kind: 'phone', number: 'CALL-NOW' }),
      link('Call', { kind: 'phone', number: '+34 (0)955 010 203' }),
      link('Call', { kind: 'phone', number: '12' }),
      link('Call', { kind: 'phone', number: '0955 010 203' }),
    ],
    passes: [
      link('Call', { kind: 'phone', number: '+34 955 010 203' }),
      link('Help', { kind: 'phone', number: '112' }),
    ],
  },
  'repeated-target': {
    fails: [link('Visit', ITEMS), link('Plan a visit', ITEMS)].slice(0, 2),
    passes: [link('Visit', ITEMS, { children: [link('Overview', ITEMS)] }), link('News', page('page-news'))],
  },
  'label-empty': {
    fails: [link(' ', ITEMS), link('Hides', page('page-news'), { labelHidden: true })],
    passes: [
      link('', { kind: 'none' }, { role: 'divider' }),
      link('Search', ITEMS, { labelHidden: true, image: '/search.png' }),
    ],
  },
  'label-vague': {
    fails: [link('Click here', ITEMS), link('Read more …', page('page-news'))],
    passes: [link('Here be herons', ITEMS)],
    fixes: true,
  },
  'label-long': {
    fails: [link('Everything there is to know about the reserve', ITEMS)],
    passes: [link('Know the reserve', ITEMS)],
  },
  'label-capitals': {
    fails: [link('OPENING HOURS', ITEMS)],
    passes: [link('FAQ', ITEMS), link('Visit LNEC today', page('page-news'))],
    fixes: true,
  },
  'label-shared': {
    fails: [link('Hours', ITEMS), link('hours', page('page-news'))],
    passes: [link('Hours', ITEMS), link('News', page('page-news'))],
  },
  'name-differs': {
    fails: [link('Send', ITEMS, { name: 'Submit the form' })],
    passes: [
      link('Send', ITEMS, { name: 'Send us a message' }),
      link('Send', page('page-news'), { name: 'Mail', labelHidden: true, image: '/m.png' }),
    ],
    fixes: true,
  },
  'new-tab-silent': {
    fails: [link('Pond', url('https://pond.example/m'), { newTab: true })],
    passes: [link('Pond', url('https://pond.example/m'), { newTab: true, title: 'Opens in a new tab' })],
    fixes: true,
  },
  'not-shown': { fails: [], passes: [link('Visit', ITEMS)] },
  redirected: {
    fails: [link('Old', url('https://orilla.example/old'))],
    passes: [link('New', url('https://orilla.example/new'))],
    fetched: fetched('https://orilla.example/old', {
      finalUrl: 'https://orilla.example/new',
      permanent: true,
    }),
    fixes: true,
  },
  unanswered: {
    fails: [link('Gone', url('https://orilla.example/gone'))],
    passes: [link('New', url('https://orilla.example/new'))],
    fetched: fetched('https://orilla.example/gone', { status: 404 }),
  },
};

const findingsOf = (site: Site, check: string, sample: Sample) =>
  runChecks(site, new Map(sample.fetched ? [[sample.fetched.url, sample.fetched]] : [])).filter(
    (finding) => finding.check === check && finding.menu === 'test',
  );

describe.each(CHECKS.map((check) => check.id).filter((id) => id in SAMPLES))('%s', (rule) => {
  const sample = SAMPLES[rule] as Sample;
  test('passes what is right', () => {
    expect(findingsOf(siteWith(sample.passes, sample.menu), rule, sample)).toEqual([]);
  });
  if (rule === 'not-shown') return;
  test('finds what is wrong, with place, reason and evidence', () => {
    const site = siteWith(sample.fails, sample.menu);
    const findings = findingsOf(site, rule, sample);
    const least = rule === 'repeated-target' ? 1 : sample.fails.length;
    expect(new Set(findings.map((finding) => finding.item)).size).toBe(
      new Set(sample.fails.slice(0, least).map((item) => item.id)).size,
    );
    for (const finding of findings) {
      expect(finding.path).toMatch(/^\/menus\/0\/items\/\d+$/);
      expect(finding.reason).toMatch(/\.$/);
      expect(finding.evidence).toBeTruthy();
    }
  });
  test('its fixes can be made, and then it passes', () => {
    const site = siteWith(sample.fails, sample.menu);
    const fixes = findingsOf(site, rule, sample).flatMap((finding) => finding.fix ?? []);
    if (sample.fixes) expect(fixes.length).toBeGreaterThan(0);
    let fixed = site;
    for (const { edit } of fixes) {
      const ran = runEdit(fixed, edit);
      if (!ran.ok) throw new Error(ran.error[0]?.message);
      fixed = ran.value.site;
    }
    expect(findingsOf(fixed, rule, sample).filter((finding) => finding.fix)).toEqual([]);
  });
});

describe('a site as a whole', () => {
  test('levels that a menu does not show are not judged: the dressed demo can be read everywhere', () => {
    expect(runChecks(MARISMA).filter(({ check }) => check === 'text-contrast')).toEqual([]);
  });
  test('the demo has its six open problems', () => {
    expect(runChecks(DEMO).map((finding) => [finding.check, finding.evidence])).toEqual([
      ['not-shown', 'level 3'],
      ['not-shown', 'level 3'],
      ['not-shown', 'level 3'],
      ['insecure', 'http://shop.marisma.example/'],
      ['label-vague', 'Click here'],
      ['placeholder', '#'],
    ]);
    expect(unreachedPages(DEMO)).toEqual(
      new Set(['page-press', 'page-visit-picnic-meadow', 'page-birds-flamingo-count']),
    );
  });
  test('a placement that starts from a link that is gone or has nothing beneath is found, and mended', () => {
    for (const branch of ['gone', DEMO.menus[0]?.items[4]?.id ?? '']) {
      const site = runEdit(DEMO, { name: 'set-owner', args: { id: 'menu-main', fields: { branch } } });
      if (!site.ok) throw new Error();
      const [finding] = runChecks(site.value.site).filter((entry) => entry.check === 'placement-empty');
      expect(finding?.fix && runEdit(site.value.site, finding.fix.edit)).toMatchObject({
        ok: true,
        value: { site: DEMO },
      });
    }
  });
  test('two navigations of one name on a page are told at the later one, and mended', () => {
    const menu = (id: string, name: string) => ({
      kind: 'menu' as const,
      id,
      name,
      menu: DEMO.menus[0]?.id ?? '',
      branch: null,
      levels: 1 as const,
      opensOn: 'click' as const,
      actions: 'none' as const,
      look: {},
    });
    const withMenu = (name: string) => {
      const added = runEdit(DEMO, {
        name: 'add-part',
        args: { place: { region: 'row-main.end', index: 0 }, part: menu('menu-two', name) },
      } as never);
      if (!added.ok) throw new Error(added.error[0]?.message);
      return added.value.site;
    };
    const found = (site: Site) => runChecks(site).filter(({ check }) => check === 'landmark-names');
    expect([found(DEMO), found(withMenu('Second'))]).toEqual([[], []]);
    const [finding, ...others] = found(withMenu('main'));
    expect([finding?.evidence, others]).toEqual(['Header › main', []]);
    const mended = finding?.fix && runEdit(withMenu('main'), finding.fix.edit);
    expect(mended?.ok && found(mended.value.site)).toEqual([]);
  });
  test('calls to action are judged like links, and mended', () => {
    const wrong = runEdit(DEMO, {
      name: 'set-owner',
      args: {
        id: 'book',
        fields: { label: 'BOOK A HIDE', target: { kind: 'url', url: 'www.marisma.example/book' } },
      },
    });
    if (!wrong.ok) throw new Error(wrong.error[0]?.message);
    const found = (site: Site) => runChecks(site).filter((finding) => finding.path.includes('/zones/'));
    expect(found(wrong.value.site).map((finding) => [finding.check, finding.item, finding.evidence])).toEqual(
      [
        ['scheme-missing', null, 'Header › BOOK A HIDE'],
        ['label-capitals', null, 'Header › BOOK A HIDE'],
      ],
    );
    const fixed = found(wrong.value.site).reduce((site, { fix }) => {
      const ran = fix && runEdit(site, fix.edit);
      return ran?.ok ? ran.value.site : site;
    }, wrong.value.site);
    expect(ownersOf(fixed).get('book') && found(fixed).map((finding) => finding.check)).toEqual(['own-host']);
  });
  test('a link to a panel without links of its own is found', () => {
    expect(
      runChecks(siteWith([link('More', { kind: 'panel', panel: 'panel' })])).map((finding) => finding.check),
    ).toContain('panel-empty');
  });
  test('a panel is not empty where the links that open it stand beside what folds into it', () => {
    const opening = edited(MARISMA, {
      name: 'set-item',
      args: { id: 'bar-visit', fields: { target: { kind: 'panel', panel: 'panel' } } },
    });
    const told = (site: Site) => runChecks(site).map((finding) => finding.check);
    expect(told(opening)).not.toContain('panel-empty');
    // The menu folds into it on phones only: a bar at every width opens it where there is nothing in it.
    const everywhere = edited(opening, {
      name: 'set-owner',
      args: { id: 'phone-bar-piece', fields: { bands: null } },
    });
    expect(told(everywhere)).toContain('panel-empty');
  });
  test('a link to a panel that is a draft is told, and letting the panel go mends it', () => {
    const leading = edited(siteWith([link('More', { kind: 'panel', panel: 'panel' })]), {
      name: 'set-owner',
      args: { id: 'panel', fields: { draft: true } },
    });
    const told = (site: Site) => runChecks(site).filter(({ check }) => check === 'leads-to-draft');
    const [finding] = told(leading);
    expect(finding?.evidence).toBe('Menu');
    if (!finding?.fix) throw new Error('There is no way out.');
    expect(told(edited(leading, finding.fix.edit))).toEqual([]);
  });
  test('links that only a ring shows are placed, one level deep', () => {
    const piece = pieceKindById('floating').create({
      id: 'corner',
      name: 'Corner',
      freshId: countingIds('corner-', idsOf(MARISMA)),
      site: MARISMA,
    });
    const lone = { ...MARISMA, pieces: [piece as unknown as Piece] };
    const placed = partsOf(lone, lone.pieces[0] as Piece).find((part) => part.kind === 'ring');
    if (placed?.kind !== 'ring') throw new Error('There is no ring.');
    expect(shownDepth(lone, placed.menu)).toBe(1);
    expect(shownDepth({ ...lone, pieces: [] }, placed.menu)).toBeNull();
  });
  test('every check has a name and a reason of its own, and a sample or a test here', () => {
    for (const field of ['id', 'label', 'why'] as const)
      expect(new Set(CHECKS.map((check) => check[field])).size).toBe(CHECKS.length);
    expect(CHECKS.map((check) => check.id).filter((id) => !(id in SAMPLES))).toEqual([
      'panel-empty',
      'leads-to-draft',
      'piece-nowhere',
      'pieces-collide',
      'piece-empty',
      'placement-empty',
      'landmark-names',
      'text-contrast',
      'row-breaks',
      'page-pushed',
      'no-way-to-menu',
      'no-way-out',
      'target-small',
      'panel-wide',
      'scrim-weak',
      'bar-tall',
      'fixed-in-blur',
      'fixed-together',
      'ring-full',
      'hidden-between',
      // What a browser drew: run-sights.test.ts.
      'text-cut',
      'leaves-window',
      'lies-beneath',
      'mark-faint',
      'target-tiny',
    ]);
  });
  test('an icon in a call to action is judged on the ground of that, and mended there alone', () => {
    const cell = { owner: 'menu-main', state: 'rest', band: 'all' } as const;
    const edit = {
      name: 'set-look',
      args: {
        cells: [
          { ...cell, slot: 'action', level: 'all', property: 'fill', value: { role: 'ink' } },
          { ...cell, slot: 'action', level: 'all', property: 'colour', value: { role: 'paper' } },
          { ...cell, slot: 'glyph', level: '2', property: 'colour', value: { role: 'ink' } },
        ],
      },
    } as const;
    const dark = runEdit(MARISMA, edit);
    if (!dark.ok) throw new Error('refused');
    const found = runChecks(dark.value.site).filter(({ check }) => check === 'text-contrast');
    expect(found.map(({ reason }) => reason)).toEqual([
      expect.stringMatching(/icon of “Book a guided .*”: 1 : 1 at rest/),
    ]);
    const mended = runEdit(dark.value.site, found[0]?.fix?.edit as Edit);
    if (!mended.ok) throw new Error('refused');
    expect(runChecks(mended.value.site).filter(({ check }) => check === 'text-contrast')).toEqual([]);
    const glyph = ownersOf(mended.value.site).get('menu-main')?.look['glyph'];
    expect(glyph?.['2']?.rest?.['all']?.colour).toEqual({ role: 'ink' });
  });
  test('text that is hard to read is found in its state, once a slot, and mended where it fails', () => {
    const cells = (
      [
        ['rest', 'all', { literal: '#e8e4da' }],
        ['hover', 'phone', { literal: '#fdfbf4' }],
      ] as const
    ).map(([state, band, value]) => ({
      owner: 'menu-main',
      slot: 'link',
      property: 'colour' as const,
      level: '1' as const,
      state,
      band,
      value,
    }));
    const pale = runEdit(DEMO, { name: 'set-look', args: { cells } });
    if (!pale.ok) throw new Error(pale.error[0]?.message);
    const found = runChecks(pale.value.site).filter(({ check }) => check === 'text-contrast');
    expect(found.map(({ evidence, outcome }) => [evidence, outcome])).toEqual([
      ['Header › Menu, link', 'fail'],
    ]);
    expect(found[0]?.reason).toMatch(
      /^Menu, link: 1(\.\d)? : 1 at (rest|hover), where 4\.5 : 1 is needed, and fails in \d other states?\.$/,
    );
    expect(found[0]?.at).toMatchObject({
      piece: 'header',
      cell: { owner: 'menu-main', slot: 'link', level: '1' },
    });
    const mended = found[0]?.fix && runEdit(pale.value.site, found[0].fix.edit);
    if (!mended?.ok) throw new Error('not mended');
    expect(runChecks(mended.value.site).filter(({ evidence }) => evidence === found[0]?.evidence)).toEqual(
      [],
    );
  });
  test('rows without room are found where typefaces can be measured, each at its width', () => {
    const rows = (site: Site) =>
      runChecks(site, new Map(), measure).filter(({ check }) => check === 'row-breaks');
    // Its call to action gives way.
    expect(rows(DEMO)).toEqual([]);
    const stays = runEdit(DEMO, { name: 'fold-part', args: { id: 'book', from: null } });
    if (!stays.ok) throw new Error(stays.error[0]?.message);
    const found = rows(stays.value.site);
    expect(found.map(({ reason, at }) => [reason, at])).toEqual([
      [
        'Main needs 364 px for one line, and Phone shows it from 320 px (320 to 363 px).',
        expect.objectContaining({ piece: 'header', width: 320 }),
      ],
    ]);
    expect(found[0]?.fix?.label).toBe('Let the call to action leave for the panel where there is no room');
    const mended = found[0]?.fix && runEdit(stays.value.site, found[0].fix.edit);
    expect(mended?.ok && mended.value.site).toEqual(DEMO);
    expect(runChecks(stays.value.site).filter(({ check }) => check === 'row-breaks')).toEqual([]);
    const held = runEdit(stays.value.site, {
      name: 'set-owner',
      args: { id: 'row-main', fields: { contained: 300 } },
    });
    if (!held.ok) throw new Error(held.error[0]?.message);
    expect(rows(held.value.site).map(({ outcome }) => outcome)).toEqual(['fail', 'fail']);
  });
  test('all of one sort are mended as one edit that one step takes back', () => {
    const site = siteWith([
      link('One', url('http//marisma.example/a')),
      link('Two', url('www.orilla.example/b')),
      link('Three', url('www.orilla.example/c')),
    ]);
    const found = runChecks(site).filter((finding) => finding.check === 'scheme-missing');
    expect(found.filter((finding) => finding.fix).length).toBeGreaterThan(1);
    const edit = mendAll(found);
    const ran = edit && runEdit(site, edit);
    if (!ran?.ok) throw new Error('not mended');
    expect(runChecks(ran.value.site).filter((one) => one.check === 'scheme-missing' && one.fix)).toEqual([]);
    const back = applyPatch(ran.value.site, ran.value.inverse);
    expect(back.ok && back.value.document).toEqual(site);
    expect(mendAll([])).toBeNull();
  });
  test('a fix that no longer fits is left out; where none fits the reason is told', () => {
    const gone = { name: 'remove-menu', args: { id: 'nowhere' } } as const;
    const kept = { name: 'set-site', args: { name: 'Marisma by night' } } as const;
    const some = runEdit(DEMO, { name: 'several', args: { edits: [gone, kept] } });
    expect(some.ok && some.value.site.name).toBe('Marisma by night');
    expect(runEdit(DEMO, { name: 'several', args: { edits: [gone] } }).ok).toBe(false);
  });
  test('the same site is checked once', () => {
    expect(runChecks(DEMO)).toBe(runChecks(DEMO));
  });
});
