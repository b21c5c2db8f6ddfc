/*
 * What lines, shadows and gradients have in common as a designer types them: numbers first, then words, the colour last.
 */

/** Splits at commas that stand outside brackets. */
export function splitAtCommas(text: string): string[] {
  const found: string[] = [];
  let depth = 0;
  let start = 0;
  [...text].forEach((letter, index, letters) => {
    if (letter === '(') depth++;
    if (letter === ')') depth--;
    if (letter !== ',' || depth !== 0) return;
    found.push(letters.slice(start, index).join(''));
    start = index + 1;
  });
  return [...found, [...text].slice(start).join('')].map((part) => part.trim());
}

const LEADING_NUMBER = /^(-?\d*\.?\d+)(?:px)?(?=\s|$)/;

/** Takes numbers of px off the start of a text, at most so many. */
export function leadingNumbers(text: string, most: number): { numbers: number[]; rest: string } {
  const numbers: number[] = [];
  let rest = text.trim();
  for (
    let match = LEADING_NUMBER.exec(rest);
    match && numbers.length < most;
    match = LEADING_NUMBER.exec(rest)
  ) {
    numbers.push(Number(match[1]));
    rest = rest.slice(match[0].length).trim();
  }
  return { numbers, rest };
}

/** A number of px as CSS; 0 needs no unit. */
export const pxCss = (amount: number): string => (amount === 0 ? '0' : `${amount}px`);
