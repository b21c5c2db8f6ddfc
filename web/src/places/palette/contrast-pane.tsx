import { contrastTable, formatColour, type Legibility, type Site } from '@hamaca/core';
import { useMemo } from 'react';

const SIGNS: Readonly<Record<Legibility, string>> = { text: '✓', 'large text': 'L', none: '' };

/** Every swatch as ink over every swatch as ground: what can be read on what. */
export function ContrastPane({ site }: { readonly site: Site }) {
  const table = useMemo(() => contrastTable(site), [site]);
  return (
    <section aria-label="Contrast">
      <h2 className="mb-2 font-semibold">What can be read on what</h2>
      <div className="max-h-[420px] overflow-auto border border-twine">
        <table className="border-separate border-spacing-0 text-small tabular">
          <thead>
            <tr>
              <th
                scope="col"
                className="sticky top-0 left-0 z-20 bg-cotton px-2 text-left font-normal whitespace-nowrap text-ink-faint"
              >
                ink ↓ on ground →
              </th>
              {table.grounds.map((ground) => (
                <th
                  key={ground.name}
                  scope="col"
                  className="sticky top-0 z-10 h-7 max-w-20 min-w-14 truncate bg-cotton px-1 text-center font-normal"
                  title={ground.name}
                >
                  {ground.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.inks.map((ink, y) => (
              <tr key={ink.name}>
                <th
                  scope="row"
                  className="sticky left-0 z-10 h-7 max-w-32 truncate bg-cotton px-2 text-left font-normal"
                >
                  {ink.name}
                </th>
                {table.grounds.map((ground, x) => {
                  const cell = table.cells[y]?.[x];
                  if (!cell) return null;
                  return (
                    <td
                      key={ground.name}
                      data-legible={cell.legibility}
                      className="border-b border-l border-white/60 px-1 text-center whitespace-nowrap"
                      title={`${ink.name} on ${ground.name}: ${cell.ratio.toFixed(2)}, ${cell.legibility === 'none' ? 'not for text' : `for ${cell.legibility}`}`}
                      style={{ background: formatColour(ground.colour) }}
                    >
                      {x === y ? (
                        ''
                      ) : cell.legibility === 'none' ? (
                        <span className="rounded-[2px] bg-white/85 px-1 text-ink-soft">
                          {cell.ratio.toFixed(1)}
                        </span>
                      ) : (
                        <span style={{ color: formatColour(ink.colour) }} className="font-semibold">
                          {cell.ratio.toFixed(1)}
                          <span aria-hidden="true"> {SIGNS[cell.legibility]}</span>
                        </span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-small text-ink-faint">
        ✓ for all text (4.5) · L for large text and icons (3) · without a sign for neither; WCAG 2.2
      </p>
    </section>
  );
}
