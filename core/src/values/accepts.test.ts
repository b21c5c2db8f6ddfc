import { describe, expect, test } from '@jest/globals';
import { acceptsValue, allowedValue } from './accepts.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';

const ink = { role: 'ink' };
const line = (width: unknown, style: unknown = 'solid', colour: unknown = ink) => ({
  line: { width, style, colour },
});
const gradient = (stops: unknown, angle: unknown = 90) => ({ paint: { gradient: { angle, stops } } });
const stop = (at: unknown, colour: unknown = ink) => ({ at, colour });

const ALLOWED: readonly (readonly [PropertyId, unknown])[] = [
  ['colour', { swatch: 'reed', alpha: 0.5 }],
  ['colour', { role: 'ink' }],
  ['colour', { literal: 'oklch(60% 0.1 150)' }],
  ['size', 'clamp(15px, 1vw + 12px, 18px)'],
  ['size', { type: 'menu' }],
  ['family', 'system-serif'],
  ['radius', '50%'],
  ['radius', { corners: [1, '50%', 3, '1rem'] }],
  ['lineTop', line(1)],
  ['lineTop', { line: null }],
  ['outline', 'ring'],
  ['outline', line(2, 'dashed')],
  ['shadow', { shadows: [] }],
  ['shadow', { shadows: [{ x: 0, y: 2, blur: 4, spread: -1, inset: true, colour: ink }] }],
  ['textShadow', { shadows: [{ x: 0, y: 1, blur: 0, colour: ink }] }],
  ['paint', { paint: null }],
  ['paint', gradient([stop(0), stop(100)])],
  ['paint', { paint: { image: '/reeds.jpg' } }],
  ['paint', { paint: { image: 'data:image/png;base64,AAAA' } }],
  ['mark', 'side bar'],
  ['opacity', 40],
  ['tracking', '-0.02em'],
];

const REFUSED: readonly (readonly [PropertyId, unknown])[] = [
  ['colour', { swatch: 'reed', alpha: 2 }],
  ['colour', { role: 'ink', more: 1 }],
  ['colour', { literal: 'url(x)' }],
  ['colour', { swatch: '</style>' }],
  ['size', '2em'],
  ['size', '5%'],
  ['size', 'clamp(1px, 1vw, 3px)'],
  ['size', '200vw'],
  ['size', { type: '<x>' }],
  ['size', { type: 'menu', more: 1 }],
  ['gap', { type: 'menu' }],
  ['radius', { corners: [1, 2, 3] }],
  ['radius', { corners: [1, 2, 3, 'x'] }],
  ['lineTop', 'ring'],
  ['lineTop', line(-1)],
  ['lineTop', line(1, 'wavy')],
  ['lineTop', line(1, 'solid', 'red')],
  ['lineTop', { line: null, more: 1 }],
  ['shadow', { shadows: Array.from({ length: 7 }, () => ({ x: 0, y: 0, blur: 0, colour: ink })) }],
  ['shadow', { shadows: [{ x: 0, y: 0, blur: -1, colour: ink }] }],
  ['textShadow', { shadows: [{ x: 0, y: 0, blur: 0, spread: 1, colour: ink }] }],
  ['paint', gradient([stop(0)])],
  ['paint', gradient([stop(0), stop(101)])],
  ['paint', gradient([stop(0), stop(10)], 999)],
  ['paint', { paint: { image: 'javascript:alert(1)' } }],
  ['paint', { paint: { image: '' } }],
  ['paint', { paint: { image: 'data:image/svg+xml,<svg onload=x>' } }],
  ['paint', { paint: { image: '/a', gradient: {} } }],
  ['mark', 'sparkles'],
  ['mark', 'constructor'],
  ['opacity', 101],
  ['motionTime', -5],
  ['family', 'system-nothing'],
];

describe('what may stand in a look', () => {
  test.each(ALLOWED)('%s: %j may', (id, value) => {
    expect(acceptsValue(property(id), value)).toBe(true);
  });
  test.each(REFUSED)('%s: %j may not', (id, value) => {
    expect(acceptsValue(property(id), value)).toBe(false);
  });
  test('is told in words', () => {
    expect(allowedValue(property('size'))).toBe(
      'a number of px from 6 to 200, or text with px, rem, vw such as "1.25rem" or "clamp(8px, 1vw, 20px)", or { "type": id of a type style }',
    );
    expect(allowedValue(property('mark'))).toContain('line under');
  });
});
