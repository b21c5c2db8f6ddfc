import { isRecord } from '../base/json.ts';
import type { SingleEdit } from '../edit/operations.ts';
import { ownersOf } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { acrossLanguages, inLanguage } from '../text/languages/words.ts';

type Say = (word: string) => string;

/** Names of sections are for the designer alone: what has no kind of its own keeps its name. */
const isForVisitors = (holder: Readonly<Record<string, unknown>>, key: string) =>
  key !== 'name' || ('kind' in holder && holder['kind'] !== 'column');

function said(value: unknown, say: Say): unknown {
  if (Array.isArray(value)) return value.map((entry) => said(entry, say));
  if (!isRecord(value)) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, held]) => {
      if (key === 'look') return [key, held];
      if (typeof held !== 'string') return [key, said(held, say)];
      return [key, isForVisitors(value, key) ? say(held) : held];
    }),
  );
}

/** Something that was just made, a part or a piece with all that is in it, with its built-in words in a language. */
export const speaking = <Thing>(thing: Thing, language: string): Thing =>
  said(thing, (word) => inLanguage(language, word)) as Thing;

/** Says the built-in words of a site, as far as they still stand as they were made, in another language. */
export function languageEdits(site: Site, to: string): readonly SingleEdit[] {
  const say: Say = (word) => acrossLanguages(site.language, to, word) ?? word;
  return [...ownersOf(site).values()].flatMap(({ id, sort, thing }): SingleEdit[] => {
    if (sort === 'section') return [];
    const fields = (Object.entries(thing) as [string, unknown][]).flatMap(([key, held]) => {
      if (key === 'look' || (sort === 'piece' && Array.isArray(held))) return [];
      const now = said({ kind: sort, [key]: held }, say) as Record<string, unknown>;
      return JSON.stringify(now[key]) === JSON.stringify(held) ? [] : [[key, now[key]] as const];
    });
    return fields.length === 0
      ? []
      : [{ name: 'set-owner', args: { id, fields: Object.fromEntries(fields) } }];
  });
}
