import type { LinkCheck } from '../check.ts';

/** http where the site itself is on https. */
export const insecure: LinkCheck = {
  of: 'link',
  id: 'insecure',
  label: 'http instead of https',
  why: 'Browsers warn of such pages, and the site itself is on https.',
  check: ({ item }, { own }) => {
    if (item.target.kind !== 'url' || !own.secure || !/^http:\/\//i.test(item.target.url)) return null;
    const url = item.target.url.replace(/^http:/i, 'https:');
    return {
      outcome: 'look',
      reason: 'The address is http, the site is https.',
      evidence: item.target.url,
      fix: {
        label: 'Use https',
        edit: { name: 'set-item', args: { id: item.id, fields: { target: { kind: 'url', url } } } },
      },
    };
  },
};
