import { LANGUAGES, type Language } from './languages.ts';
import { languageOf } from './words.ts';

/** A script by which a language is known. */
interface Script {
  readonly letters: RegExp;
  /** The share of all letters that speaks for it: a name or two in another script say nothing of the rest. */
  readonly share: number;
  /** The languages written in it that a letter tells, and the one where none does. */
  readonly told: readonly (readonly [letter: RegExp, tag: string])[];
  readonly usual: string;
}

const HALF = 0.5;

const SCRIPTS: readonly Script[] = [
  { letters: /\p{Script=Hangul}/u, share: HALF, told: [], usual: 'ko' },
  // Kana stand between many other characters.
  { letters: /[\p{Script=Hiragana}\p{Script=Katakana}]/u, share: 0.1, told: [], usual: 'ja' },
  { letters: /\p{Script=Han}/u, share: HALF, told: [], usual: 'zh' },
  { letters: /\p{Script=Devanagari}/u, share: HALF, told: [], usual: 'hi' },
  { letters: /\p{Script=Greek}/u, share: HALF, told: [], usual: 'el' },
  { letters: /\p{Script=Hebrew}/u, share: HALF, told: [], usual: 'he' },
  { letters: /\p{Script=Arabic}/u, share: HALF, told: [[/[پچژگکی]/u, 'fa']], usual: 'ar' },
  {
    letters: /\p{Script=Cyrillic}/u,
    share: HALF,
    told: [
      [/[іїєґ]/iu, 'uk'],
      [/[ыэё]/iu, 'ru'],
      [/ъ\p{L}/iu, 'bg'],
    ],
    usual: 'ru',
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
  for (const { letters: own, share, told, usual } of SCRIPTS) {
    if (letters.filter((letter) => own.test(letter)).length < share * Math.max(1, letters.length)) continue;
    const [, tag] = told.find(([letter]) => letter.test(text)) ?? [];
    return tag === undefined ? (byWords(text) ?? languageOf(usual)) : languageOf(tag);
  }
  return byWords(text);
}
