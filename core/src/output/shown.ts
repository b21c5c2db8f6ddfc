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

/** The widths of one band alone. */
function bandQuery(site: Site, id: string): string {
  const index = site.bands.findIndex((band) => band.id === id);
  const start = site.bands[index]?.min ?? 0;
  const end = site.bands[index - 1]?.min;
  if (end === undefined) return `@media (width >= ${start}px)`;
  return start === 0 ? `@media (width < ${end}px)` : `@media (${start}px <= width < ${end}px)`;
}

/** Hides what is not shown in a band. The class is written twice so that nothing that arranges a part shows it again. */
export function hidingRules(context: CompileContext, used: ReadonlySet<string>): ConditionalRule[] {
  return context.site.bands
    .filter((band) => used.has(hiddenIn(context, band.id)))
    .map((band) => {
      const hidden = `.${hiddenIn(context, band.id)}`;
      return styleRule(
        within(context, hidden + hidden),
        [['display', 'none']],
        bandQuery(context.site, band.id),
      );
    });
}
