import { BUILT_IN, LANGUAGES, type Language } from './languages.ts';

const BY_TAG: ReadonlyMap<string, Language> = new Map(LANGUAGES.map((entry) => [entry.tag, entry]));

/** Tags that go by another language's words. */
const SAME: ReadonlyMap<string, string> = new Map([
  ['no', 'nb'],
  ['nn', 'nb'],
  ['iw', 'he'],
]);

/** The language of a tag (BCP 47) that built-in words are known in, whatever its region; null for any other. */
export function languageOf(tag: string): Language | null {
  const [primary = ''] = tag.toLowerCase().split('-');
  return BY_TAG.get(SAME.get(primary) ?? primary) ?? null;
}

/** A built-in word in the language of a tag; what is no built-in word, or not known in it, stays as it is. */
export function inLanguage(tag: string, word: string): string {
  const index = (BUILT_IN as readonly string[]).indexOf(word);
  return (index === -1 ? undefined : languageOf(tag)?.words[index]) ?? word;
}

/** A built-in word of one language in another: what stands as it was made. Null for what is no such word. */
export function acrossLanguages(from: string, to: string, word: string): string | null {
  const index = languageOf(from)?.words.indexOf(word) ?? -1;
  const said = index === -1 ? undefined : (languageOf(to)?.words[index] ?? BUILT_IN[index]);
  return said === undefined || said === word ? null : said;
}
