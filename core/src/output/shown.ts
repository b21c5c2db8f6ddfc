import type { Site } from '../kinds/site.ts';
import { styleRule, type ConditionalRule } from '../print/trees.ts';
import { within, type CompileContext } from './context.ts';

/*
 * Rows, parts and links can be hidden in some bands: each band that hides something has one class.
 */

/** The class that hides something in one band. */
const hiddenIn = ({ names }: CompileContext, band: string) => names.name(`not-${band}`);

/** The classes of something shown only in some bands; null where it shows in all. */
export function hiddenClasses(context: CompileContext, bands: readonly string[] | undefined): string | null {
  if (bands === undefined) return null;
  return (
    context.site.bands
      .filter((band) => !bands.includes(band.id))
      .map((band) => hiddenIn(context, band.id))
      .join(' ') || null
  );
}

/** The widths below one in px, as a condition; none where that is every width. */
export const below = (width: number): readonly string[] =>
  width === Infinity ? [] : [`@media (width < ${width}px)`];

/** The widths from one in px on; null where there are none. */
export const from = (width: number): readonly string[] | null =>
  width === Infinity ? null : [`@media (width >= ${width}px)`];

/** The widths in px from `start` on and below `end`, as a condition of a media query; empty where that is every width. */
function widths(start: number, end: number | undefined): string {
  if (end === undefined) return start === 0 ? '' : `(width >= ${start}px)`;
  return start === 0 ? `(width < ${end}px)` : `(${start}px <= width < ${end}px)`;
}

/** Conditions of media queries that hold together, as one query; none where all of them always hold. */
export function media(...conditions: readonly string[]): readonly string[] {
  const said = conditions.filter((condition) => condition !== '');
  return said.length === 0 ? [] : [`@media ${said.join(' and ')}`];
}

/** The widths of one band alone, as conditions. */
function bandQuery(site: Site, id: string): readonly string[] {
  const index = site.bands.findIndex((band) => band.id === id);
  return media(widths(site.bands[index]?.min ?? 0, site.bands[index - 1]?.min));
}

/** The widths of the bands for which something holds, neighbours as one: conditions of media queries. */
export function bandsWhere(site: Site, holds: (band: number) => boolean): readonly string[] {
  const found: string[] = [];
  let end: number | undefined;
  site.bands.forEach(({ min }, band) => {
    if (!holds(band)) end = min;
    else if (band === site.bands.length - 1 || !holds(band + 1)) found.push(widths(min, end));
  });
  return found;
}

/** Hides what is not shown in a band. The class is written twice so that nothing that arranges it shows it again. */
export function hidingRules(context: CompileContext, used: ReadonlySet<string>): ConditionalRule[] {
  return context.site.bands
    .filter((band) => used.has(hiddenIn(context, band.id)))
    .map((band) => {
      const hidden = `.${hiddenIn(context, band.id)}`.repeat(2);
      const hasRoots = context.pieces.some(({ bands }) => bands?.includes(band.id) === false);
      return styleRule(
        (hasRoots ? `${context.root}${hidden}, ` : '') + within(context, hidden),
        [['display', 'none']],
        ...bandQuery(context.site, band.id),
      );
    });
}
