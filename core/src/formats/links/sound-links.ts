import { BOOK } from '../../kinds/book.ts';
import { ITEM_SHAPE } from '../../model/menu-item.ts';
import { fieldViolations } from '../../model/shape/violations.ts';
import type { Field } from '../../model/shape/field.ts';
import { LIMITS } from '../../values/limits.ts';
import { cutText } from '../../base/well-formed.ts';
import type { ImportNote, LineFields, LinkLine, ReadLinks } from '../../links/link-line.ts';

/** What may be said of a link as its shape has it; what may not is noted and left out. */
function soundFields({ fields, label }: LinkLine, notes: ImportNote[]): LineFields | undefined {
  if (!fields) return undefined;
  const sound = Object.entries(fields).filter(([key, value]) => {
    const field = (ITEM_SHAPE as Readonly<Record<string, Field<unknown>>>)[key];
    const allowed = field ? fieldViolations(field, value, BOOK)[0]?.allowed : 'nothing of the kind';
    if (allowed === undefined) return true;
    notes.push({
      line: 0,
      text: cutText(`${label}: ${String(value)}`, 80),
      reason: `Its ${field?.label ?? key} was left out: allowed is ${allowed}.`,
    });
    return false;
  });
  return sound.length > 0 ? Object.fromEntries(sound) : undefined;
}

/**
 * What was read, as a menu can have it: as many links as a site may have, no deeper than links may nest, and nothing said of
 * them that a link cannot have. Whatever is left out or put elsewhere is noted.
 */
export function soundLinks({ links, notes }: ReadLinks): ReadLinks {
  const added: ImportNote[] = [];
  let deep = 0;
  const sound = links.slice(0, LIMITS.links).map((link): LinkLine => {
    if (link.depth > LIMITS.depth) deep++;
    const fields = soundFields(link, added);
    const { fields: _read, ...rest } = link;
    return { ...rest, depth: Math.min(link.depth, LIMITS.depth), ...(fields ? { fields } : {}) };
  });
  if (deep > 0)
    added.push({
      line: 0,
      text: '',
      reason: `${deep} ${deep === 1 ? 'link is' : 'links are'} nested more than ${LIMITS.depth} deep and ${deep === 1 ? 'stands' : 'stand'} at level ${LIMITS.depth} now.`,
    });
  if (links.length > LIMITS.links)
    added.push({
      line: 0,
      text: '',
      reason: `Only the first ${LIMITS.links} links are read.`,
    });
  return { links: sound, notes: [...notes, ...added] };
}
