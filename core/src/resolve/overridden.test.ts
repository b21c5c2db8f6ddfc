import { expect, test } from '@jest/globals';
import { rawDemo } from '../../test/demo.ts';
import { loadSite } from '../load/load-site.ts';
import { readDeclarations } from '../values/kinds/declarations.ts';
import { overriddenBy } from './overridden.ts';

const over = (css: string) => {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a raw document is changed
  const raw = rawDemo() as any;
  const menu = raw.pieces[0].rows[0].zones.middle[0];
  menu.look = {
    link: {
      all: {
        rest: { all: { paddingInline: 11, paddingBlock: 7, radius: 5, size: 17, lineHeight: 1.3 } },
        hover: { all: { fill: { literal: '#336699' } } },
      },
    },
  };
  const loaded = loadSite(raw);
  const read = readDeclarations(css);
  if (!loaded.ok || !read.ok) throw new Error('not read');
  const question = { owner: menu.id as string, slot: 'link', level: 1, states: ['hover'], band: 0 } as const;
  return overriddenBy(loaded.value, question, read.value).map((one) => one.over);
};

test.each([
  ['padding-left: 2px', ['paddingInline 11']],
  ['padding: 2px', ['paddingInline 11', 'paddingBlock 7']],
  ['padding-inline-start: 2px', ['paddingInline 11']],
  ['padding-top: 2px', ['paddingBlock 7']],
  ['border-top-left-radius: 0', ['radius 5']],
  ['font: 12px serif', ['size 17', 'lineHeight 1.3']],
  ['background: none', ['fill #336699']],
  ['background-color: red', ['fill #336699']],
  ['rotate: 3deg', []],
  ['--padding: 3px', []],
  ['width: 3px', []],
  ['padd: 3px', []],
])('%s goes before %p', (css, expected) => {
  const found = over(css)[0]?.map(({ property, value }) => `${property} ${value}`) ?? [];
  expect(found).toEqual(expect.arrayContaining(expected));
  if (!css.startsWith('font')) expect(found).toEqual(expected);
});

test('each declaration is told apart', () => {
  expect(over('rotate: 1deg; padding: 0; scale: 2').map((one) => one.length)).toEqual([0, 2, 0]);
});
