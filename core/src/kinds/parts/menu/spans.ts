import { memoise } from '../../../base/memo.ts';
import { levelCount, type Level } from '../../../model/states.ts';
import type { MenuItem } from '../../../model/menu-item.ts';
import { shownItems } from '../../content.ts';
import type { ConditionalRule } from '../../../print/trees.ts';
import { widely, type PartOut, type Rules } from '../../out.ts';
import { boxesOf } from './boxes.ts';
import { controlSlot } from './item.ts';
import type { MenuPart } from './shape.ts';

/*
 * Links, headings and calls to action that lie across all columns of their box. Where each branch has a column of its own,
 * the rows above, between and beneath them are told link by link.
 */

/** Whether a link lies across all columns of its box, as said for the widest band. */
export function spansAll(item: MenuItem, level: number, out: PartOut): boolean {
  if (level < 2 || level > 3 || item.role === 'divider') return false;
  const slot = item.role === 'heading' ? 'heading' : controlSlot(item);
  if (!out.says(slot, 'spans')) return false;
  const asked = slot === 'link' ? (level as Level) : null;
  return out.said<string>(slot, asked, 'spans', item.id)[0]?.value === 'all columns';
}

/** How the links of a box stand: `s` across all columns, a number for so many side by side. */
function layOf(items: readonly MenuItem[], level: number, out: PartOut): string {
  return items
    .map((item) => (spansAll(item, level, out) ? 's' : '.'))
    .join('')
    .replace(/\.+/g, (run) => String(run.length));
}

/** The levels at which each branch has a column of its own, so that places are told link by link. */
const placedLevels = memoise((out: PartOut) =>
  memoise(
    (part: MenuPart): ReadonlySet<number> =>
      new Set(
        boxesOf(part, out)
          .filter(({ said }) => said<number>('columns').some(({ value }) => value === 0))
          .map(({ level }) => level),
      ),
  ),
);

/** The classes of the box of a link at a level: where places are told link by link, also how they lie. */
export function boxClass(part: MenuPart, parent: MenuItem, level: number, out: PartOut): string {
  const lay = placedLevels(out)(part).has(level + 1) ? layOf(parent.children, level + 1, out) : '';
  return out.class('submenu') + (lay.includes('s') ? ` ${out.name(`lay-${lay}`)}` : '');
}

/** The layouts of all boxes of a placement that something lies across, each once, by level. */
function laysOf(part: MenuPart, out: PartOut): ReadonlyMap<2 | 3, ReadonlySet<string>> {
  const lays = new Map<2 | 3, Set<string>>([
    [2, new Set()],
    [3, new Set()],
  ]);
  const visit = (items: readonly MenuItem[], level: number) => {
    if (level >= Math.min(3, levelCount(part.levels))) return;
    for (const { children } of items) {
      const lay = layOf(children, level + 1, out);
      if (lay.includes('s')) lays.get((level + 1) as 2 | 3)?.add(lay);
      visit(children, level + 1);
    }
  };
  visit(shownItems(out.site, part), 1);
  return lays;
}

/** Where each link of a layout stands, if each branch has a column of its own. */
function placesOf(lay: string, box: string): Rules {
  const runs = lay.match(/s|\d+/g) ?? [];
  const columns = Math.max(1, ...runs.map((run) => Number(run) || 1));
  let from = 1;
  return runs.map((run, row) => {
    const count = run === 's' ? 1 : Number(run);
    const nth =
      count === 1 ? `:nth-child(${from})` : `:nth-child(n+${from}):nth-child(-n+${from + count - 1})`;
    from += count;
    return [
      `${box}>${nth}`,
      [
        ['grid-row', String(row + 1)],
        ...(run === 's' ? [['grid-column', `1/span ${columns}`] as const] : []),
      ],
    ];
  });
}

/** What arranges links that lie across all columns. */
export function spanRules(part: MenuPart, out: PartOut): ConditionalRule[] {
  const lays = laysOf(part, out);
  if ([...lays.values()].every((found) => found.size === 0)) return [];
  return [
    ...out.inRow([[out.within(`.${out.class('submenu')}>.${out.name('spans')}`), [['grid-column', '1/-1']]]]),
    ...boxesOf(part, out).flatMap(({ level, box, said }) =>
      said<number>('columns')
        .filter(({ value }) => value === 0)
        .flatMap(({ conditions }) =>
          [...(lays.get(level) ?? [])].flatMap((lay) =>
            widely(
              out.inRow(placesOf(lay, out.within(`${box}:where(.${out.name(`lay-${lay}`)})`))),
              conditions,
            ),
          ),
        ),
    ),
  ];
}
