import { describe, expect, test } from '@jest/globals';
import { cleanDrawing } from './clean-drawing.ts';
import { drawingColours, inTextColour, squareAround, viewBoxOf, withViewBox } from './recolour.ts';

const svg = (inner: string, root = 'viewBox="0 0 24 24"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${root}>${inner}</svg>`;

describe('the colours of a drawing', () => {
  test.each([
    [svg('<path d="M0 0h9"/>'), ['#000000']],
    [svg('<path fill="#123" d="M0 0h9"/><circle r="3" fill="rgb(17 34 51)"/>'), ['#112233']],
    [svg('<g fill="none" stroke="navy"><path d="M0 0h9"/></g>'), ['#000080']],
    [svg('<g stroke="currentColor" fill="none"><path d="M0 0h9"/></g>'), []],
    [svg('<path fill="red" d="M0 0"/><path stroke="teal" fill="none" d="M0 0"/>'), ['#ff0000', '#008080']],
    ['no drawing', []],
  ])('of %s', (source, colours) => {
    expect(drawingColours(source)).toEqual(colours);
  });

  test('a drawing in the text’s colour has none of its own, and is read as cleanly as before', () => {
    for (const inner of [
      '<path d="M0 0h9"/>',
      '<path style="fill:#123;stroke:none" d="M0 0h9"/>',
      '<g fill="none" stroke="navy"><path d="M0 0h9"/></g>',
    ]) {
      const clean = cleanDrawing(svg(inner));
      if (!clean.ok) throw new Error(clean.error);
      const painted = inTextColour(clean.value);
      expect(drawingColours(painted)).toEqual([]);
      expect(painted).toContain('currentColor');
      expect(cleanDrawing(painted)).toEqual({ ok: true, value: painted });
    }
    // What is not painted stays so.
    expect(inTextColour(svg('<path fill="none" stroke="red" d="M0 0"/>'))).toContain('fill="none"');
  });
});

describe('the size of a drawing', () => {
  test('its view box, where it tells one', () => {
    expect(viewBoxOf(svg('', 'viewBox="-1, 2 30 40"'))).toEqual({ x: -1, y: 2, width: 30, height: 40 });
    expect(viewBoxOf(svg('', 'width="30" height="20"'))).toEqual({ x: 0, y: 0, width: 30, height: 20 });
    for (const root of ['', 'viewBox="0 0 0 0"', 'viewBox="0 0 5"', 'viewBox="0 0 -4 4"'])
      expect(viewBoxOf(svg('<path d="M0 0"/>', root))).toBeNull();
  });

  test('what is drawn fills a square as other icons do', () => {
    expect(squareAround({ x: 10, y: 10, width: 20, height: 20 })).toEqual({
      x: 8,
      y: 8,
      width: 24,
      height: 24,
    });
    expect(squareAround({ x: 0, y: 0, width: 40, height: 10 })).toEqual({
      x: -4,
      y: -19,
      width: 48,
      height: 48,
    });
    const seen = withViewBox(svg('<path d="M0 0h9"/>', 'width="900" height="900"'), {
      x: -4,
      y: -19,
      width: 48,
      height: 48,
    });
    if (!seen.ok) throw new Error(seen.error);
    expect(viewBoxOf(seen.value)).toEqual({ x: -4, y: -19, width: 48, height: 48 });
    expect(seen.value).not.toContain('900');
    expect(withViewBox('none', { x: 0, y: 0, width: 1, height: 1 }).ok).toBe(false);
  });
});
