import {
  looseColours,
  swatchColour,
  formatColour,
  type LooseColour,
  type Relink,
  type Site,
} from '@hamaca/core';
import { useMemo } from 'react';
import { Button } from '../../ui/button.tsx';
import { swatchOf } from '../../store/new-swatch.ts';
import { useEdit } from '../../store/open-site.tsx';

const relinkOf = ({ literal, near }: LooseColour): Relink[] =>
  near ? [{ literal, swatch: near.swatch, ...(near.alpha < 1 ? { alpha: near.alpha } : {}) }] : [];

/** Colours that are written out in looks: linked to the swatch they nearly are, or made one. */
export function LoosePane({ site }: { readonly site: Site }) {
  const edit = useEdit();
  const loose = useMemo(() => looseColours(site), [site]);
  if (loose.length === 0) return null;
  const nearly = loose.filter((colour) => colour.near !== null);
  const make = ({ literal }: LooseColour) => {
    edit(swatchOf(site, literal), 'Make this a swatch');
  };
  return (
    <section aria-label="Colours without a name">
      <div className="mb-2 flex items-center gap-3">
        <h2 className="font-semibold">Colours without a name</h2>
        {nearly.length > 1 && (
          <Button
            className="!h-6"
            onClick={() => {
              edit(
                { name: 'relink-colours', args: { links: nearly.flatMap(relinkOf) } },
                `Link ${nearly.length} colours to swatches`,
              );
            }}
          >
            Link all {nearly.length} that are nearly a swatch
          </Button>
        )}
      </div>
      <ul className="border-t border-twine text-bench">
        {loose.map((colour) => {
          const near = site.palette.find((swatch) => swatch.id === colour.near?.swatch);
          return (
            <li key={colour.literal} className="flex min-h-9 items-center gap-3 border-b border-linen">
              <span
                aria-hidden="true"
                className="size-5 rounded-[2px] border border-ink/25"
                style={{ background: colour.literal }}
              />
              <span className="w-40 truncate tabular">{colour.literal}</span>
              <span className="w-28 text-ink-faint">
                in {colour.uses} {colour.uses === 1 ? 'place' : 'places'}
              </span>
              {near && (
                <Button
                  className="!h-6"
                  onClick={() => {
                    edit(
                      { name: 'relink-colours', args: { links: relinkOf(colour) } },
                      `Link ${colour.literal} to ${near.name}`,
                    );
                  }}
                >
                  <span
                    aria-hidden="true"
                    className="size-3.5 rounded-[2px] border border-ink/25"
                    style={{ background: formatColour(swatchColour(site, near.id)) }}
                  />
                  Link to {near.name}
                  {colour.near && colour.near.alpha < 1 ? ` ${Math.round(colour.near.alpha * 100)} %` : ''}
                </Button>
              )}
              <Button
                className="!h-6"
                onClick={() => {
                  make(colour);
                }}
              >
                Make this a swatch
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
