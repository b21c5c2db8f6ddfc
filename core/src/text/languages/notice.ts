import { LANGUAGES, type Language } from './languages.ts';
import { languageOf } from './words.ts';

/** Scripts that one language of the list is written in, or that others of their script are told from by a letter. */
const SCRIPTS: readonly {
  readonly script: RegExp;
  readonly languages: readonly (readonly [string, RegExp])[];
}[] = [
  { script: /\p{Script=Hangul}/u, languages: [['ko', /./u]] },
  { script: /[\p{Script=Hiragana}\p{Script=Katakana}]/u, languages: [['ja', /./u]] },
  { script: /\p{Script=Han}/u, languages: [['zh', /./u]] },
  { script: /\p{Script=Devanagari}/u, languages: [['hi', /./u]] },
  { script: /\p{Script=Greek}/u, languages: [['el', /./u]] },
  { script: /\p{Script=Hebrew}/u, languages: [['he', /./u]] },
  {
    script: /\p{Script=Arabic}/u,
    languages: [
      ['fa', /[پچژگکی]/u],
      ['ar', /./u],
    ],
  },
  {
    script: /\p{Script=Cyrillic}/u,
    languages: [
      ['uk', /[іїєґ]/iu],
      ['ru', /[ыэё]/iu],
      ['bg', /ъ\p{L}/iu],
    ],
  },
];

/** Letters that are seldom met outside some languages; each one met speaks for them. */
const LETTERS: readonly (readonly [RegExp, string])[] = [
  [/ß|ü/u, 'de'],
  [/ñ|¿/u, 'es'],
  [/ç|œ|è|ê/u, 'fr'],
  [/ã|õ/u, 'pt'],
  [/ř|ě|ů/u, 'cs'],
  [/ľ|ĺ|ŕ|ô/u, 'sk'],
  [/ł|ż|ś|ę|ą/u, 'pl'],
  [/ő|ű/u, 'hu'],
  [/ș|ț|ă/u, 'ro'],
  [/ğ|ı|ş/u, 'tr'],
  [/ä|ö/u, 'sv'],
  [/ä|ö/u, 'fi'],
  [/æ|ø/u, 'da'],
  [/æ|ø/u, 'nb'],
  [/l·l|ó|ò/u, 'ca'],
  [/ñ|x/u, 'gl'],
  [/tz|tx|k/u, 'eu'],
  [/đ|ć/u, 'hr'],
];

/** So many labels tell enough. */
const MOST_READ = 300;

/** A word that is known counts so much, a letter so much. */
const WEIGHT = { word: 2, letter: 0.5 } as const;

/** What is needed to name a language, and how far ahead of the next one it must be. */
const ENOUGH = { least: 3, ahead: 1 } as const;

function byWords(text: string): Language | null {
  const words = text.split(/[^\p{L}]+/u).filter((word) => word !== '');
  const scores = LANGUAGES.map((language) => {
    const known = new Set(language.known);
    const hits = words.filter((word) => known.has(word)).length * WEIGHT.word;
    const letters = LETTERS.filter(([letter, tag]) => tag === language.tag && letter.test(text)).length;
    return { language, score: hits + letters * WEIGHT.letter };
  }).sort((a, b) => b.score - a.score);
  const [first, second] = scores;
  if (!first || first.score < ENOUGH.least || first.score - (second?.score ?? 0) < ENOUGH.ahead) return null;
  return first.language;
}

/**
 * The language some labels are most likely written in: told by their script, or by words that menus often have and letters
 * that others lack. Null where nothing speaks clearly for one.
 */
export function noticeLanguage(labels: readonly string[]): Language | null {
  const text = labels.slice(0, MOST_READ).join(' \n ').toLowerCase();
  const letters = [...text].filter((letter) => /\p{L}/u.test(letter));
  for (const { script, languages } of SCRIPTS) {
    const share = letters.filter((letter) => script.test(letter)).length / Math.max(1, letters.length);
    // A name or two in another script say nothing of the rest; kana stand between many other characters.
    if (share < (languages[0]?.[0] === 'ja' ? 0.1 : 0.5)) continue;
    const told = languages.find(([, letter]) => letter.test(text));
    return told ? languageOf(told[0]) : (byWords(text) ?? languageOf(languages[0]?.[0] === 'uk' ? 'ru' : ''));
  }
  return byWords(text);
}
