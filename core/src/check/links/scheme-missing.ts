import type { LinkCheck } from '../check.ts';

const HOST =
  /^(?:www\.[^\s/]+|(?:[a-z0-9-]+\.)+(?:com|org|net|eu|info|io|dev|app|example|co\.uk|es|de|fr|pt|it|nl|at|ch|uk|us|edu|gov))(?:[/?#:]\S*)?$/i;

/** A host without `https://`: browsers take it for a path of this site. */
export const schemeMissing: LinkCheck = {
  of: 'link',
  id: 'scheme-missing',
  label: 'No https:// before the host',
  why: 'Browsers look for such a page on this site.',
  check: ({ item }) => {
    if (item.target.kind !== 'url' || !HOST.test(item.target.url)) return null;
    const url = `https://${item.target.url}`;
    return {
      outcome: 'fail',
      reason: 'The address begins with a host but has no https:// before it.',
      evidence: item.target.url,
      fix: {
        label: `Make it ${url}`,
        edit: { name: 'set-item', args: { id: item.id, fields: { target: { kind: 'url', url } } } },
      },
    };
  },
};
