import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { formatColour, layOver, parseColour, withAlpha, type Rgba } from './colour.ts';
import { colourDistance, formatOklch, isInSrgb, mixColours, oklchOf } from './mix.ts';
import {
  contrastOver,
  contrastRatio,
  evenLayering,
  flatten,
  luminance,
  nearestPassing,
  requiredRatio,
} from './contrast.ts';

const colour = (text: string): Rgba => {
  const parsed = parseColour(text);
  if (!parsed) throw new Error(`${text} is no colour`);
  return parsed;
};

describe('reading colours', () => {
  test.each([
    ['#369', '#336699'],
    ['#33669980', '#33669980'],
    ['rgb(51 102 153)', '#336699'],
    ['rgba(51,102,153,.5)', '#33669980'],
    ['hsl(210 50% 40%)', '#336699'],
    ['rebeccapurple', '#663399'],
    ['  WHITE ', '#ffffff'],
    ['transparent', '#00000000'],
    ['oklch(0 0 0)', '#000000'],
    ['color(srgb 1 0 0)', '#ff0000'],
  ])('%s is %s', (text, hex) => {
    expect(formatColour(colour(text))).toBe(hex);
  });
  test.each(['', 'reed', '#12', '#ggg', 'rgb(1,2)', 'currentColor', 'url(x)', 'red;}', 'x'.repeat(200)])(
    '%j is none',
    (text) => {
      expect(parseColour(text)).toBeNull();
    },
  );
});

describe('laying over', () => {
  test('half black over white is middle grey', () => {
    expect(formatColour(layOver(colour('#00000080'), colour('#fff')))).toBe('#7f7f7f');
  });
  test('an opaque colour hides what is below', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (channel) => {
        expect(layOver(colour('#2f6b4f'), { r: channel, g: channel, b: channel, a: 1 })).toEqual(
          colour('#2f6b4f'),
        );
      }),
    );
  });
  test('nothing over nothing stays nothing', () => {
    expect(layOver(withAlpha(colour('#fff'), 0), withAlpha(colour('#000'), 0)).a).toBe(0);
  });
});

describe('contrast by WCAG 2.2', () => {
  test('black on white is 21, equal colours are 1', () => {
    expect(contrastRatio(colour('#000'), colour('#fff'))).toBeCloseTo(21, 10);
    expect(contrastRatio(colour('#2f6b4f'), colour('#2f6b4f'))).toBe(1);
  });
  test('known pairs', () => {
    expect(contrastRatio(colour('#767676'), colour('#fff'))).toBeCloseTo(4.54, 2);
    expect(contrastRatio(colour('#777777'), colour('#fff'))).toBeCloseTo(4.48, 2);
    expect(luminance(colour('#808080'))).toBeCloseTo(0.2159, 4);
  });
  test('translucent text and fills are laid over what is behind', () => {
    const behind = [colour('#00000080'), colour('#fff')];
    expect(formatColour(flatten(behind))).toBe('#7f7f7f');
    const ground = flatten(behind);
    expect(contrastOver(colour('#ffffff80'), behind)).toBeCloseTo(
      contrastRatio(layOver(colour('#ffffff80'), ground), ground),
      10,
    );
    expect(contrastOver(colour('#ffffff80'), behind)).toBeLessThan(contrastOver(colour('#fff'), behind));
  });
  test('large or bold text needs 3, other text 4.5', () => {
    expect([
      requiredRatio(24, 400),
      requiredRatio(18.66, 700),
      requiredRatio(18.66, 600),
      requiredRatio(16, 900),
    ]).toEqual([3, 3, 4.5, 4.5]);
  });
});

describe('the nearest passing colour', () => {
  const channel = fc.integer({ min: 0, max: 255 }).map((value) => value / 255);
  const opaque = fc.record({ r: channel, g: channel, b: channel, a: fc.constant(1) });
  test('passes whenever black or white would', () => {
    fc.assert(
      fc.property(opaque, opaque, (text, ground) => {
        const found = nearestPassing(text, evenLayering([ground]), 4.5);
        const possible =
          Math.max(contrastRatio(colour('#000'), ground), contrastRatio(colour('#fff'), ground)) >= 4.6;
        if (possible) expect(found && contrastRatio(found, ground)).toBeGreaterThanOrEqual(4.5);
        else if (found) expect(contrastRatio(found, ground)).toBeGreaterThanOrEqual(4.5);
      }),
      { numRuns: 60 },
    );
  });
  test('a colour that passes already stays as it is', () => {
    expect(
      formatColour(nearestPassing(colour('#12343b'), evenLayering([colour('#fff')]), 4.5) ?? colour('#f00')),
    ).toBe('#12343b');
  });
});

describe('mixing', () => {
  const colour = (text: string) => parseColour(text) ?? { r: 0, g: 0, b: 0, a: 1 };
  test('in OKLab, as browsers do', () => {
    expect(formatColour(mixColours(colour('#ffffff'), colour('#000000'), 0.5))).toBe('#636363');
    expect(formatColour(mixColours(colour('#ff0000'), colour('#0000ff'), 0))).toBe('#ff0000');
    expect(formatColour(mixColours(colour('#ff0000'), colour('transparent'), 0.25))).toBe('#ff0000bf');
    expect(mixColours(colour('transparent'), colour('transparent'), 0.5).a).toBe(0);
  });
  test('OKLCH there and back', () => {
    const reed = oklchOf(colour('#2f6b4f'));
    expect(reed).toEqual({ l: 47.9, c: 0.078, h: 161.1 });
    expect(colourDistance(colour(formatOklch(reed)), colour('#2f6b4f'))).toBeLessThan(0.002);
    expect(formatOklch(reed, 0.5)).toBe('oklch(47.9% 0.078 161.1 / 0.5)');
    expect([isInSrgb(reed), isInSrgb({ l: 60, c: 0.35, h: 150 })]).toEqual([true, false]);
  });
  test('colours that look alike are near', () => {
    expect(colourDistance(colour('#2f6b4f'), colour('#306b50'))).toBeLessThan(0.01);
    expect(colourDistance(colour('#2f6b4f'), colour('#f0b541'))).toBeGreaterThan(0.2);
  });
});

test('hex needs its sign: plain numbers and words of hex letters are no colours', () => {
  for (const text of ['300', '256', 'fff', 'abcdef', 'decade', '12345678', 'face'])
    expect(parseColour(text)).toBeNull();
  for (const text of ['#300', '#fff', '#ABCDEF80', 'beige']) expect(parseColour(text)).not.toBeNull();
});
