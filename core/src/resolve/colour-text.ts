import { fail, succeed, type Result } from '../base/result.ts';
import { parseColour } from '../colour/colour.ts';
import type { Site } from '../kinds/site.ts';
import { ROLES, type ColourValue, type Role } from '../values/values.ts';
import { findSwatch } from './colours.ts';

type Palette = Pick<Site, 'palette'>;

/** A colour as it stands in a cell and can be typed again: `Reed`, `ink 60%`, `#256`, `none`. */
export function formatColourValue(site: Palette, value: ColourValue): string {
  if ('literal' in value) return value.literal === 'transparent' ? 'none' : value.literal;
  const name = 'swatch' in value ? (findSwatch(site, value.swatch)?.name ?? value.swatch) : value.role;
  return value.alpha === undefined || value.alpha === 1 ? name : `${name} ${Math.round(value.alpha * 100)}%`;
}

/** A swatch or role by the name a designer types; swatches go first, as they are the designer's own words. */
function namedColour(site: Palette, name: string): ColourValue | null {
  const wanted = name.trim().toLowerCase();
  const swatch = site.palette.find((entry) => entry.name.toLowerCase() === wanted || entry.id === wanted);
  if (swatch) return { swatch: swatch.id };
  return (ROLES as readonly string[]).includes(wanted) ? { role: wanted as Role } : null;
}

/** Reads a colour as a designer types it: a swatch or role, thinned by per cent if wished, or any CSS colour. */
export function parseColourText(site: Palette, typed: string): Result<ColourValue, string> {
  const text = typed.trim();
  if (/^(none|transparent)$/i.test(text)) return succeed({ literal: 'transparent' });
  const whole = namedColour(site, text);
  if (whole) return succeed(whole);
  const thinned = /^(.+?)\s+(\d{1,3})\s*%$/.exec(text);
  const named = thinned ? namedColour(site, thinned[1] ?? '') : null;
  if (named && !('literal' in named)) {
    const percent = Number(thinned?.[2]);
    if (percent > 100) return fail(`${percent} % is more than the whole colour; at most 100 %`);
    return succeed(percent === 100 ? named : { ...named, alpha: percent / 100 });
  }
  if (parseColour(text)) return succeed({ literal: text.toLowerCase() });
  const names = site.palette
    .slice(0, 4)
    .map((swatch) => swatch.name)
    .join(', ');
  return fail(
    `“${text}” is no swatch, role or CSS colour. Try ${names ? `${names}, ` : ''}ink, #3f6b4a or none`,
  );
}
