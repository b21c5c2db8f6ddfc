import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../test/demo.ts';
import { acceptsValue } from '../values/accepts.ts';
import { property, PROPERTY_IDS, type PropertyId } from '../kinds/properties/properties.ts';
import type { Value } from '../values/values.ts';
import { formatValue, parseValue, stepValue } from './value-text.ts';

const typed = (id: PropertyId, text: string): Value | null => {
  const parsed = parseValue(DEMO, id, text);
  return parsed.ok ? parsed.value : null;
};
const refusal = (id: PropertyId, text: string) => {
  const parsed = parseValue(DEMO, id, text);
  return parsed.ok ? '' : parsed.error;
};
const reed = { swatch: 'reed' } as const;

describe('typing what is made of several things', () => {
  test.each<[PropertyId, string, Value]>([
    ['lineTop', '1', { line: { width: 1, style: 'solid', colour: { role: 'line' } } }],
    [
      'lineTop',
      '2 dashed reed 40%',
      { line: { width: 2, style: 'dashed', colour: { ...reed, alpha: 0.4 } } },
    ],
    [
      'lineTop',
      '1.5px deep water',
      { line: { width: 1.5, style: 'solid', colour: { swatch: 'deep-water' } } },
    ],
    ['lineTop', 'none', { line: null }],
    ['outline', 'ring', 'ring'],
    [
      'shadow',
      '0 4 12 ink 20%',
      { shadows: [{ x: 0, y: 4, blur: 12, colour: { role: 'ink', alpha: 0.2 } }] },
    ],
    [
      'shadow',
      '0 1 2, inset 0 -1 0 2 rgb(0 0 0 / 0.5)',
      {
        shadows: [
          { x: 0, y: 1, blur: 2, colour: { role: 'ink', alpha: 0.25 } },
          { x: 0, y: -1, blur: 0, spread: 2, inset: true, colour: { literal: 'rgb(0 0 0 / 0.5)' } },
        ],
      },
    ],
    [
      'paint',
      '90deg, reed, marsh light at 60%',
      {
        paint: {
          gradient: {
            angle: 90,
            stops: [
              { colour: reed, at: 0 },
              { colour: { swatch: 'marsh-light' }, at: 60 },
            ],
          },
        },
      },
    ],
    [
      'paint',
      'reed, #fff, ink',
      {
        paint: {
          gradient: {
            angle: 180,
            stops: [
              { colour: reed, at: 0 },
              { colour: { literal: '#fff' }, at: 50 },
              { colour: { role: 'ink' }, at: 100 },
            ],
          },
        },
      },
    ],
    [
      'paint',
      'to right, reed at 10%, ink',
      {
        paint: {
          gradient: {
            angle: 90,
            stops: [
              { colour: reed, at: 10 },
              { colour: { role: 'ink' }, at: 100 },
            ],
          },
        },
      },
    ],
    ['paint', 'url("/reeds.jpg")', { paint: { image: '/reeds.jpg' } }],
    ['paint', 'none', { paint: null }],
    ['radius', '8', 8],
    ['radius', '8 8 0 50%', { corners: [8, 8, 0, '50%'] }],
    ['radius', '4 4 4 4', 4],
    ['mark', 'Line under', 'line under'],
    ['mark', 'br', 'brackets'],
    ['letters', 'cap', 'capitals'],
    ['size', 'menu', { type: 'menu' }],
    ['size', 'clamp(15, 1vw + 12, 18)', 'clamp(15px, 1vw + 12px, 18px)'],
    ['opacity', '85%', 85],
    ['width', '80%', '80%'],
    ['width', '80vw', '80vw'],
    ['width', 'clamp(280px, 80vw, 420px)', 'clamp(280px, 80vw, 420px)'],
    ['motionTime', '200ms', 200],
    ['family', 'System serif', 'system-serif'],
    ['tracking', '-0.02em', '-0.02em'],
  ])('%s: %s', (id, text, value) => {
    expect(typed(id, text)).toEqual(value);
  });

  test.each<[PropertyId, string, RegExp]>([
    ['lineTop', 'reed', /starts with its width/],
    ['lineTop', '2 dashed nothing', /no swatch/],
    ['lineTop', '900', /sensible/],
    ['shadow', '4 ink', /x, y, blur/],
    ['shadow', '0 0 900', /sensible/],
    ['paint', 'reed', /two colours/],
    ['paint', 'url()', /missing/],
    ['paint', 'url(javascript:alert(1))', /sensible/],
    ['paint', '90deg, reed, nothing', /no swatch/],
    ['radius', '1 2 3', /four/],
    ['mark', 'l', /one of/],
    ['mark', 'constructor', /one of/],
    ['motionTime', '3s', /no number of ms/],
    ['opacity', '140', /outside/],
    ['size', '5ch', /no length/],
    ['size', '2em', /not in em/],
    ['size', '40vw', /at some width/],
  ])('%s: %j is refused', (id, text, reason) => {
    expect(refusal(id, text)).toMatch(reason);
  });

  test('what is shown can be typed again', () => {
    const values: readonly (readonly [PropertyId, Value])[] = [
      ['lineTop', { line: { width: 2, style: 'dotted', colour: reed } }],
      [
        'shadow',
        {
          shadows: [
            { x: 1, y: 2, blur: 3, spread: 4, inset: true, colour: reed },
            { x: 0, y: 0, blur: 9, colour: { role: 'line' } },
          ],
        },
      ],
      [
        'paint',
        {
          paint: {
            gradient: {
              angle: 45,
              stops: [
                { colour: reed, at: 20 },
                { colour: { role: 'ink' }, at: 70 },
              ],
            },
          },
        },
      ],
      ['radius', { corners: [1, 2, 3, '50%'] }],
      ['size', { type: 'menu' }],
    ];
    for (const [id, value] of values) expect(typed(id, formatValue(DEMO, value))).toEqual(value);
    expect(formatValue(DEMO, { paint: { image: `data:image/png;base64,${'A'.repeat(4096)}` } })).toBe(
      'PNG picture, 4 kB',
    );
  });

  test('no text at all can do harm: what is taken may stand, what is not is told', () => {
    const pieces = [
      'reed',
      '60%',
      '1px',
      'clamp(',
      ')',
      ',',
      ' ',
      '-',
      '</style>',
      'url(',
      '"',
      '\\',
      '{}',
      'deg',
      'at',
      'inset',
      '#fff',
      '∞',
      '💧',
      'none',
      '900',
      'e9',
      '\n',
      'calc(1px',
      'constructor',
      '__proto__',
    ];
    let state = 7;
    const next = () => {
      state = (state * 1103515245 + 12345) % 2147483648;
      return state / 2147483648;
    };
    let taken = 0;
    for (let round = 0; round < 9000; round++) {
      const text = Array.from(
        { length: 1 + Math.floor(next() * 5) },
        () => pieces[Math.floor(next() * pieces.length)],
      ).join(next() < 0.5 ? ' ' : '');
      const id = PROPERTY_IDS[Math.floor(next() * PROPERTY_IDS.length)] as PropertyId;
      const parsed = parseValue(DEMO, id, text);
      if (parsed.ok) {
        taken++;
        expect(acceptsValue(property(id), parsed.value)).toBe(true);
      } else expect(parsed.error.length).toBeGreaterThan(5);
    }
    expect(taken).toBeGreaterThan(25);
  });

  test('arrows step through keywords and lines, and leave the rest', () => {
    expect([
      stepValue('mark', 'none', -1),
      stepValue('mark', 'none', 1),
      stepValue('lineTop', { line: { width: 1, style: 'solid', colour: reed } }, 2),
      stepValue('radius', '50%', 1),
      stepValue('radius', '100%', 1),
    ]).toEqual([
      'line under',
      'brackets',
      { line: { width: 3, style: 'solid', colour: reed } },
      '51%',
      '101%',
    ]);
    expect([
      stepValue('shadow', { shadows: [] }, 1),
      stepValue('lineTop', { line: null }, 1),
      stepValue('size', 'clamp(15px, 1vw, 18px)', 1),
      stepValue('radius', { corners: [1, 2, 3, 4] }, 1),
    ]).toEqual([null, null, null, null]);
  });
});
