import type { Part } from '../kinds/part.ts';
import { shownLinks } from '../kinds/walk.ts';
import { outputParts, within, type CompileContext } from './context.ts';
import { rule, type ConditionalRule } from '../print/trees.ts';

/*
 * Rows, parts and links can be hidden in some bands: each band that hides something has one class.
 */

/** The class that hides something in one band. */
const hiddenIn = (context: CompileContext, band: string) => context.names.name(`not-${band}`);

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

/** The classes of a part's own element. */
export function partClasses(context: CompileContext, part: Part, slot: string): string {
  const hidden = hiddenClasses(context, part.bands);
  return `${context.names.slotClass(part.id, slot)}${hidden === null ? '' : ` ${hidden}`}`;
}

/** The widths of one band alone. */
function bandQuery(context: CompileContext, id: string): string {
  const index = context.site.bands.findIndex((band) => band.id === id);
  const from = context.site.bands[index]?.min ?? 0;
  const below = context.site.bands[index - 1]?.min;
  if (below === undefined) return `@media (width >= ${from}px)`;
  return from === 0 ? `@media (width < ${below}px)` : `@media (${from}px <= width < ${below}px)`;
}

/** Hides what is not shown in a band. The class is written twice so that nothing that arranges a part shows it again. */
export function hidingRules(context: CompileContext): ConditionalRule[] {
  const parts = outputParts(context);
  const shown = [
    ...context.header.rows.map((row) => row.bands),
    ...parts.map((part) => part.bands),
    ...parts.flatMap((part) =>
      part.kind === 'menu' ? shownLinks(context.site, part).map((item) => item.bands) : [],
    ),
  ];
  return context.site.bands
    .filter((band) => shown.some((bands) => bands?.includes(band.id) === false))
    .map((band) => {
      const hidden = `.${hiddenIn(context, band.id)}`;
      return rule(within(context, hidden + hidden), [['display', 'none']], bandQuery(context, band.id));
    });
}
