import type { LinkCheck } from '../check.ts';

/** Hosts whose front page is never somebody's own. */
const NETWORKS =
  /^(?:(?:www|m|web)\.)?(?:facebook\.com|instagram\.com|x\.com|twitter\.com|linkedin\.com|youtube\.com|tiktok\.com|pinterest\.\w+|threads\.(?:net|com)|bsky\.app|mastodon\.social|xing\.com|vimeo\.com|flickr\.com|github\.com|reddit\.com|snapchat\.com|tumblr\.com|t\.me|telegram\.me|wa\.me|whatsapp\.com)$/i;

/** A social link to a network's front page instead of a profile. */
export const socialFrontPage: LinkCheck = {
  of: 'link',
  id: 'social-front-page',
  label: 'A network’s front page',
  why: 'It leads to the network, not to you.',
  check: ({ item }, { menu, own }) => {
    const match =
      item.target.kind === 'url' ? /^https?:\/\/([^/?#]+)\/?(?:[?#].*)?$/i.exec(item.target.url) : null;
    const host = match?.[1]?.toLowerCase();
    if (host === undefined || item.target.kind !== 'url' || host.replace(/^www\./, '') === own.host)
      return null;
    const isSocial = NETWORKS.test(host) || /social/i.test(menu.name);
    return isSocial
      ? {
          outcome: 'fail',
          reason: `The link leads to the front page of ${host}, not to a profile.`,
          evidence: item.target.url,
        }
      : null;
  },
};
