import { itemLevels } from '../../content.ts';
import type { PartOut, Said } from '../../out.ts';
import type { PropertyId } from '../../properties/properties.ts';
import type { Value } from '../../../values/values.ts';
import { isDisclosed, type BoxLevel } from './opening.ts';
import type { MenuPart } from './shape.ts';
import { boxDepth, menuHasLevel } from './slots.ts';

/** Boxes that are arranged alike: those of a level, or that of a single link with its own way to open. */
export interface Boxes {
  readonly level: BoxLevel;
  /** Selectors below the roots: of the boxes, of the items they stand in, and of the signs that there are some. */
  readonly box: string;
  readonly parents: string;
  readonly sign: string | null;
  /** What the look says of a property, with the widths at which it does. */
  readonly said: <V extends Value>(property: PropertyId) => readonly Said<V>[];
}

/** The boxes of one link. */
function boxesOfItem(part: MenuPart, level: BoxLevel, item: string, out: PartOut): Boxes {
  const only = `.${out.itemClass(item) ?? ''}`;
  const hasSign = menuHasLevel(part, 'marker', (level - 1) as 1 | 2, out.site);
  return {
    level,
    box: `.${out.class('submenu')}:where(${only}>*)`,
    // As heavy as what arranges all items.
    parents: `li${only}`,
    sign: hasSign ? `.${out.class('marker')}:where(${only}>:not(ul) *)` : null,
    said: (property) => out.said('submenu', level, property, item),
  };
}

/** A selector but for some of what it selects, without more weight. */
function except(selector: string, others: readonly string[]): string {
  if (others.length === 0) return selector;
  const not = `:not(${others.join()})`;
  return selector.endsWith(')') ? `${selector.slice(0, -1)}${not})` : `${selector}:where(${not})`;
}

/** The boxes of a level, but for those of some links. */
function boxesOfLevel(part: MenuPart, level: BoxLevel, but: readonly string[], out: PartOut): Boxes {
  const items = but.map((item) => `.${out.itemClass(item) ?? ''}`);
  const above = (level - 1) as 1 | 2;
  const parents = level === 2 ? `.${out.class('list')}>li` : `${out.ofLevel('submenu', 2)}>li`;
  // Without a button there is no sign to tell from others.
  const signed = but.flatMap((item, index) => (isDisclosed(part, level, item) ? (items[index] ?? []) : []));
  return {
    level,
    box: except(
      out.ofLevel('submenu', level),
      items.map((item) => `${item}>*`),
    ),
    parents: except(parents, items),
    sign: menuHasLevel(part, 'marker', above, out.site)
      ? except(
          out.ofLevel('marker', above),
          signed.map((item) => `${item}>:not(ul) *`),
        )
      : null,
    said: (property) => out.said('submenu', level, property),
  };
}

/** All boxes of a level: how they are selected together, and those of them that are arranged alike. */
export interface LevelOfBoxes {
  readonly whole: Boxes;
  /** Those of the level as a whole, then those of single links. */
  readonly sorts: readonly Boxes[];
}

/** The boxes of each level of a placement. */
export function boxLevels(part: MenuPart, out: PartOut): readonly LevelOfBoxes[] {
  const depth = boxDepth(part, out.site);
  const levels: readonly BoxLevel[] = depth > 2 ? [2, 3] : depth > 1 ? [2] : [];
  const places = itemLevels(out.site, part);
  const own = out.arrangedItems('submenu');
  return levels.map((level) => {
    const single = own.filter((item) => places.get(item) === level - 1);
    return {
      whole: boxesOfLevel(part, level, [], out),
      sorts: [
        boxesOfLevel(part, level, single, out),
        ...single.map((item) => boxesOfItem(part, level, item, out)),
      ],
    };
  });
}

/** All boxes of a placement, by how they are arranged: those of each level, then those of single links. */
export const boxesOf = (part: MenuPart, out: PartOut): readonly Boxes[] =>
  boxLevels(part, out).flatMap(({ sorts }) => sorts);
