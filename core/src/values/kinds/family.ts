import { slugify } from '../../base/ids.ts';
import { fail, succeed } from '../../base/result.ts';
import { isFamily, STACKS, TYPEFACES } from '../../text/typefaces.ts';
import type { ValueKind } from '../value-kind.ts';

/** A typeface or a stack of system faces, by its id. */
export const FAMILY: ValueKind<'family', string> = {
  id: 'family',
  accepts: (_entry, value) => typeof value === 'string' && isFamily(value),
  allowed: () => 'a bundled typeface or "system"',
  schema: () => ({ type: 'string', maxLength: 80 }),
  parse: (_entry, text, { typefaces }) => {
    const wanted = text.toLowerCase();
    const all = [...typefaces, ...TYPEFACES, ...STACKS];
    const found = all.find((entry) => entry.id === slugify(text, '') || entry.name.toLowerCase() === wanted);
    return found
      ? succeed(found.id)
      : fail(`“${text}” is not among the typefaces: ${all.map((entry) => entry.name).join(', ')}`);
  },
  css: (value, out) => out.family(value as string),
};
