import { hrefOf } from '../../links/target.ts';
import type { LinkCheck } from '../check.ts';

const ADDRESS =
  /^(?:#!?|#0|\/?#|javascript:.*|https?:\/\/(?:www\.)?(?:example\.(?:com|org|net)|your-?(?:site|domain|website)\.\w+|yourdomain\b.*|localhost\b.*|domain\.com|website\.com).*|(?:https?:\/\/[^/]+)?\/(?:sample-page|hello-world|lorem-ipsum|placeholder|demo|template|untitled|page-?\d+|new-page(?:-\d+)?)\/?(?:\.html?)?|tbd|todo|xxx+)$/i;
const LABEL =
  /^(?:(?:menu |nav |sub ?menu |list )?(?:item|link|label|entry)(?: ?(?:\d+|[a-z]))?|page ?\d+|sub ?page ?\d*|new (?:page|link|item)|untitled.*|sample page|hello world!?|lorem\b.*|ipsum\b.*|dolor\b.*|placeholder|text here|your (?:text|link|title|label).*|todo|tbd|xxx+|test ?\d*|asdf+)$/i;

/** Whether an address was only put there until the real one is known. */
export const isPlaceholder = (url: string) => ADDRESS.test(url.trim());

/** Something a template or a hurried hand left behind. */
export const placeholder: LinkCheck = {
  of: 'link',
  id: 'placeholder',
  label: 'A placeholder left behind',
  why: 'It was meant to be replaced before anybody sees it.',
  check: ({ item }, { site }) => {
    const href = hrefOf(site, item.target);
    if (href !== null && isPlaceholder(href))
      return { outcome: 'fail', reason: 'The target is a placeholder.', evidence: href };
    return LABEL.test(item.label.trim())
      ? { outcome: 'fail', reason: 'The label is a placeholder.', evidence: item.label }
      : null;
  },
};
