import { describe, expect, test } from '@jest/globals';
import { compilePage, DEMO } from '../../../../test/demo.ts';
import { runEdit } from '../../../edit/operations.ts';
import type { MenuItem } from '../../../model/menu-item.ts';
import type { Target } from '../../../model/target.ts';
import type { Site } from '../../site.ts';

const to = (url: string): Target => ({ kind: 'url', url });
const item = (id: string, target: Target, more: Partial<MenuItem> = {}): MenuItem => ({
  id,
  label: id,
  target,
  children: [],
  ...more,
});
const NONE: Target = { kind: 'none' };

/** The navigation of the demo's main menu with other links in it. */
function navOf(items: readonly MenuItem[], fields: Record<string, unknown> = {}): string {
  const menus = DEMO.menus.map((menu) => (menu.id === 'main' ? { ...menu, items } : menu));
  const ran = runEdit({ ...DEMO, menus } as Site, {
    name: 'set-owner',
    args: { id: 'menu-main', fields: { branch: null, ...fields } },
  });
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return /<nav class="hm-main-nav"[\s\S]*?<\/nav>/.exec(compilePage(ran.value.site).markup)?.[0] ?? '';
}

describe('a menu’s markup', () => {
  test('a parent with a page of its own is a link and a button in one box, each with a name', () => {
    const nav = navOf([item('Visit', to('/visit/'), { children: [item('Hours', to('/hours/'))] })]);
    expect(nav).toMatch(
      /<span class="hm-main-link hm-main-parent">\s*<a class="hm-main-lead" href="\/visit\/">Visit<\/a>\s*<button class="hm-main-marker" type="button" aria-expanded="false" aria-controls="([\w-]+)" aria-label="More: Visit"><\/button>\s*<\/span>\s*<ul class="hm-main-submenu" id="\1" role="list">/,
    );
  });
  test('a parent without one is a button alone that says so itself', () => {
    const nav = navOf([item('Visit', NONE, { children: [item('Hours', to('/hours/'))] })]);
    expect(nav).not.toContain('<a class="hm-main-link">');
    expect(nav).toMatch(
      /<button class="hm-main-link hm-main-parent" type="button" aria-expanded="false" aria-controls="[\w-]+">Visit<span class="hm-main-marker"><\/span><\/button>/,
    );
  });
  test('each submenu has an id of its own', () => {
    const child = [item('Hours', to('/hours/'))];
    const nav = navOf([
      item('A', NONE, { children: child }),
      item('B', NONE, { children: [item('Fees', to('/fees/'))] }),
    ]);
    const ids = [...nav.matchAll(/ id="([^"]+)"/g)].map((match) => match[1]);
    expect(ids).toHaveLength(2);
    expect(new Set(ids).size).toBe(2);
  });
  test('levels beyond those shown are left out, the third stands open under the second', () => {
    const deep = [
      item('One', to('/1/'), {
        children: [item('Two', to('/2/'), { children: [item('Three', to('/3/'))] })],
      }),
    ];
    expect(navOf(deep, { levels: 1 })).not.toContain('Two');
    expect(navOf(deep, { levels: 1 })).not.toContain('aria-expanded');
    expect(navOf(deep, { levels: 2 })).not.toContain('Three');
    expect(navOf(deep, { levels: 3 })).toMatch(
      /<a class="hm-main-link hm-level-2" href="\/2\/">Two<\/a>\s*<ul class="hm-main-submenu hm-level-3" role="list">\s*<li>\s*<a class="hm-main-link" href="\/3\/">Three<\/a>\s*<\/li>/,
    );
  });
  test('headings, lines and calls to action are what they are', () => {
    const nav = navOf([
      item('Reserve', NONE, { role: 'heading' }),
      item('', NONE, { id: 'line', role: 'divider' }),
      item('Book', to('/book/'), { role: 'action', rel: 'nofollow', title: 'Quick' }),
    ]);
    expect(nav).toContain('<li><span class="hm-main-heading">Reserve</span></li>');
    expect(nav).toMatch(/<li>\s*<hr class="hm-main-divider">\s*<\/li>/);
    expect(nav).toMatch(/<a class="hm-main-action" href="\/book\/" rel="nofollow" title="Quick">Book<\/a>/);
  });
  test('a placement can draw its last links as calls to action, wherever else they are plain', () => {
    const links = [
      item('One', to('/1/')),
      item('Two', to('/2/')),
      item('', NONE, { id: 'line', role: 'divider' }),
    ];
    expect(navOf(links, { actions: 'none' })).not.toContain('hm-main-action');
    expect(navOf(links, { actions: 'last' }).match(/hm-main-action/g)).toHaveLength(1);
    expect(navOf(links, { actions: 'last' })).toMatch(/<a class="hm-main-action" href="\/2\/">Two<\/a>/);
    expect(navOf(links, { actions: 'last-two' }).match(/hm-main-action/g)).toHaveLength(2);
    expect(navOf([], { actions: 'last-two' })).not.toContain('hm-main-action');
  });
  test('the button of a parent takes neither the target nor the relation of a link', () => {
    const nav = navOf([
      item('Visit', NONE, { rel: 'nofollow', newTab: true, children: [item('Hours', to('/hours/'))] }),
    ]);
    expect(/<button class="hm-main-link hm-main-parent"[^>]*>/.exec(nav)?.[0]).not.toMatch(/rel=|target=/);
  });
});
