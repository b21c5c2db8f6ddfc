import { describe, expect, test } from '@jest/globals';
import { lengthTree, parseLength, printLength, toPixels, unitsOf } from './length.ts';

const printed = (text: string) => {
  const tree = parseLength(text);
  return tree.ok ? printLength(tree.value) : tree.error;
};

describe('lengths as CSS writes them', () => {
  test.each([
    ['16', '16px'],
    ['1rem', '1rem'],
    ['.5em', '0.5em'],
    ['-4px', '-4px'],
    ['50%', '50%'],
    ['0', '0'],
    ['0px', '0'],
    ['clamp(15,1vw + 12,18)', 'clamp(15px, 1vw + 12px, 18px)'],
    ['min(10px, 2vw)', 'min(10px, 2vw)'],
    ['max(1rem,20px,3vw)', 'max(1rem, 20px, 3vw)'],
    ['calc(1rem + 2 * 3px)', 'calc(1rem + 2 * 3px)'],
    ['1rem + 4px', 'calc(1rem + 4px)'],
    ['(1rem + 4px) * 2', 'calc((1rem + 4px) * 2)'],
    ['calc((10px - 2px) / 4)', 'calc((10px - 2px) / 4)'],
    ['10px - (4px - 2px)', 'calc(10px - (4px - 2px))'],
  ])('%s is %s', (text, css) => {
    expect(printed(text)).toBe(css);
  });

  test.each([
    ['', 'missing'],
    ['big', 'not understood'],
    ['5ch', 'not understood'],
    ['1..2px', 'not understood'],
    ['12px 4px', 'after its end'],
    ['clamp(1px, 2px)', 'three lengths'],
    ['calc(1px, 2px)', 'one length'],
    ['(1px', 'not closed'],
    ['2px * 3px', 'plain number'],
    ['4 / 2px', 'plain number'],
    ['4px / 0', 'by 0'],
    ['1px +', 'missing'],
    ['var(--x)', 'not understood'],
    ['expression(alert(1))', 'not understood'],
    ['16px;color:red', 'not understood'],
    ['('.repeat(40) + '1px' + ')'.repeat(40), 'too deep'],
    ['1px'.padEnd(300, ' '), 'longer'],
  ])('%j is refused: %s', (text, reason) => {
    expect(printed(text)).toContain(reason);
  });

  test('are what the browser would make of them', () => {
    const at = { fontSize: 20, width: 1000, whole: 60 };
    const cases: readonly (readonly [string | number, number])[] = [
      [12, 12],
      ['1rem', 16],
      ['0.5em', 10],
      ['2vw', 20],
      ['50%', 30],
      ['clamp(15px, 1vw + 12px, 18px)', 18],
      ['clamp(15px, 1vw, 18px)', 15],
      ['clamp(20px, 1px, 10px)', 20],
      ['min(3px, 2vw)', 3],
      ['calc((10px - 2px) / 4)', 2],
      ['calc(3 * 1rem - 8px)', 40],
      ['calc(10px - (4px - 2px))', 8],
      ['nonsense', 0],
      [NaN, 0],
    ];
    for (const [length, pixels] of cases) expect(toPixels(length, at)).toBeCloseTo(pixels, 6);
    expect(toPixels('1vw', { fontSize: 16 })).toBe(12.8);
  });

  test('know the units they use, and read the same again', () => {
    const tree = lengthTree('clamp(1rem, 2vw + 3px, 50%)');
    expect(tree && unitsOf(tree)).toEqual(['rem', 'vw', 'px', '%']);
    expect(lengthTree('clamp(1rem, 2vw + 3px, 50%)')).toBe(tree);
    for (let index = 0; index < 2100; index++) lengthTree(`${index}rem`);
    expect(lengthTree('clamp(1rem, 2vw + 3px, 50%)')).toEqual(tree);
  });
});
