import { sectionKind } from '../../kinds/catalogue.ts';
import { isShownIn } from '../../kinds/folds.ts';
import { findSection, sectionsOf } from '../../kinds/placed.ts';
import type { Section } from '../../kinds/site.ts';
import type { State } from '../../model/states.ts';
import { resolve } from '../../resolve/resolve.ts';
import { isLength, toPixels } from '../../values/length.ts';
import type { CompileContext } from '../context.ts';

/** The least height of a section in px in a band; nothing where it is not shown there. */
export function leastHeight(
  { site }: CompileContext,
  section: Section,
  band: number,
  states: readonly State[] = [],
): number {
  const placed = findSection(site, section);
  if (!placed || !isShownIn(section, site, band)) return 0;
  const slot = sectionKind(placed.kind).ground;
  const question = { owner: section.id, slot, property: 'height', level: null, states, band } as const;
  const height = resolve(site, question)?.value;
  return isLength(height) ? toPixels(height, { fontSize: 16 }) : 0;
}

const STATES_OF_ROWS: readonly (readonly State[])[] = [[], ['scrolled']];

/** The least heights of all sections in all bands, at rest and scrolled, as text. */
export const leastHeights = (context: CompileContext): string =>
  sectionsOf(context.site)
    .flatMap(({ section }) =>
      context.site.bands.flatMap((_, band) =>
        STATES_OF_ROWS.map((states) => leastHeight(context, section, band, states)),
      ),
    )
    .join();
