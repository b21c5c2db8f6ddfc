import { describe, expect, test } from '@jest/globals';
import { DEMO, DEMO_HEADER } from '../../test/demo.ts';
import { runEdit, type Edit } from '../edit/operations.ts';
import { regionsOf } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { compileSite } from './compile-site.ts';

const run = (site: Site, edit: Edit): Site => {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value.site;
};
const side = (site: Site) =>
  /position: fixed;\s*inset-block: 0;\s*inset-inline-(start|end): 0/.exec(
    compileSite(site, { fonts: [], fontBase: '/' }).stylesheet,
  )?.[1];
const regionAt = (name: string) =>
  [...regionsOf(DEMO).values()].find((region) => region.piece === DEMO_HEADER && region.name === name)?.id ??
  '';

describe('the side a panel comes from', () => {
  const follows = run(DEMO, { name: 'set-owner', args: { id: 'panel', fields: { side: 'opener' } } });
  const moved = run(follows, {
    name: 'move-part',
    args: { id: 'opener', place: { region: regionAt('start'), index: 0 } },
  });
  test('is that of the opener, wherever it is carried', () => {
    expect(side(follows)).toBe('end');
    expect(side(moved)).toBe('start');
  });
  test('is the one that was chosen, where one was', () => {
    expect(side(run(moved, { name: 'set-owner', args: { id: 'panel', fields: { side: 'end' } } }))).toBe(
      'end',
    );
  });
});
