/* eslint-disable @typescript-eslint/no-explicit-any -- a raw document is changed */
import { REED } from './furnished.ts';

const PICTURE = 'data:image/gif;base64,R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7';
const none = { kind: 'none' };

/** Gives the raw demo links with everything links can have, a panel of its own behind one of them, and menus in both panels. */
export function dress(raw: any): any {
  const [visit, birds, , , news, contact] = raw.menus[0].items;
  raw.icons = [{ id: 'icon-reed', name: 'reed', svg: REED, set: 'tabler' }];
  raw.pieces[0].rows[0].zones.middle[0].levels = 'all';
  birds.icon = 'icon-reed';
  Object.assign(news, { icon: 'icon-reed', bands: ['wide'], className: 'news js-news', rel: 'nofollow' });
  Object.assign(contact, { image: PICTURE, imageText: 'An envelope', labelHidden: true, name: 'Contact us' });
  Object.assign(visit.children[0], {
    description: 'Every day but Monday',
    newTab: true,
    title: 'Opens in a new tab',
    icon: 'icon-reed',
  });
  visit.children[2].children[0].children.push({
    id: 'deep',
    label: 'Upper floor',
    target: { kind: 'url', url: '/upper-floor/' },
    children: [],
  });
  visit.children.splice(
    1,
    0,
    { id: 'head', label: 'On the spot', target: none, role: 'heading', children: [] },
    { id: 'rule', label: '', target: none, role: 'divider', children: [] },
  );
  raw.menus[0].items.push(
    { id: 'more', label: 'More', target: { kind: 'panel', panel: 'extra' }, children: [] },
    { id: 'give', label: 'Give', target: { kind: 'url', url: '/give/' }, role: 'action', children: [] },
  );
  const placement = (id: string, menu: string, name: string) => ({
    kind: 'menu',
    id,
    name,
    menu,
    branch: null,
    levels: 'all',
    opensOn: 'click',
    inPanels: 'several',
    moreWord: 'More',
    actions: 'none',
    signIcon: null,
    deeperSignIcon: null,
    look: {},
  });
  raw.pieces[1].blocks[0].parts.push(placement('menu-social', 'social', 'Social'));
  raw.pieces.push({
    ...raw.pieces[1],
    id: 'extra',
    name: 'More',
    closeLabel: 'Close more',
    blocks: [
      {
        id: 'extra-block',
        name: 'Content',
        flow: 'stack',
        align: 'wide',
        parts: [placement('menu-footer', 'footer', 'Footer')],
        look: {},
      },
    ],
    look: { panel: { all: { rest: { all: { stands: 'at the start' } } } } },
  });
  return raw;
}
