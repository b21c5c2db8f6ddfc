import type { LinkCheck } from '../check.ts';

/** Capitals typed by hand, where the look should set them. */
export const labelCapitals: LinkCheck = {
  of: 'link',
  id: 'label-capitals',
  label: 'Capitals by hand',
  why: 'Screen readers may spell them out, and the look cannot take them back.',
  check: ({ item }) => {
    if (!/\p{Lu}{2}/u.test(item.label)) return null;
    const words = item.label.split(/\s+/).filter((word) => /\p{L}{2,}/u.test(word));
    const shouted = words.filter(
      (word) => /\p{Lu}{2,}/u.test(word) && word === word.toUpperCase() && word !== word.toLowerCase(),
    );
    // One short word may be an abbreviation.
    if (
      shouted.length === 0 ||
      shouted.length < words.length ||
      (words.length === 1 && (words[0] ?? '').length <= 4)
    )
      return null;
    const label = item.label.toLowerCase().replace(/\p{L}/u, (letter) => letter.toUpperCase());
    return {
      outcome: 'look',
      reason: 'The label is typed in capitals.',
      evidence: item.label,
      fix: {
        label: `Write “${label}”`,
        edit: { name: 'set-item', args: { id: item.id, fields: { label } } },
      },
    };
  },
};
