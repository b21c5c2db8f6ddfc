import { memoise } from '../base/memo.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import type { Said } from '../kinds/out.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import type { Owner } from '../kinds/placed.ts';
import type { SlotLook } from '../model/look.ts';
import { itemOf, keysIn, type Level } from '../model/states.ts';
import { effectiveLook, resolve } from '../resolve/resolve.ts';
import type { Value } from '../values/values.ts';
import { outputOwners, type CompileContext } from './context.ts';
import { bandsWhere } from './shown.ts';

/*
 * What a kind arranges by: values of looks that it turns into rules itself, or only asks whether they are said.
 */

/** What a look says of a property at rest in each band, each value once, with the widths it holds at. */
export function saidInBands<V extends Value>(
  { site }: CompileContext,
  owner: string,
  asked: { readonly slot: string; readonly level: Level | null; readonly item?: string },
  id: PropertyId,
): Said<V>[] {
  const values = site.bands.map(
    (_, band) => resolve(site, { owner, ...asked, property: id, states: [], band })?.value,
  );
  return [...new Set(values)].flatMap((value) =>
    value === undefined
      ? []
      : bandsWhere(site, (band) => values[band] === value).map((widths) => ({
          value: value as V,
          conditions: widths === '' ? [] : [`@media ${widths}`],
        })),
  );
}

const saidIn = memoise((look: SlotLook): ReadonlySet<string> => {
  const said = new Set<string>();
  for (const states of Object.values(look))
    for (const bands of Object.values(states))
      for (const values of Object.values(bands)) for (const id of Object.keys(values)) said.add(id);
  return said;
});

/** Whether a look says anything of a property of a slot. */
export const says = ({ site }: CompileContext, owner: string, slot: string, id: PropertyId): boolean =>
  saidIn(effectiveLook(site, { owner, slot })).has(id);

/** What one look says that its kind arranges by, as text; of values that are said elsewhere only that they are. */
const arrangedIn = memoise((look: SlotLook): string => {
  const told: string[] = [];
  for (const [level, states] of Object.entries(look))
    for (const [band, values] of Object.entries(states.rest ?? {}))
      for (const [id, value] of Object.entries(values))
        if (property(id as PropertyId).arranged) told.push(`${level} ${band} ${id} ${JSON.stringify(value)}`);
  told.push(...itemsIn(look));
  for (const id of ASKED) if (saidIn(look).has(id)) told.push(id);
  return told.join();
});

/** What kinds only ask for. */
const ASKED: readonly PropertyId[] = [
  'offsetBlock',
  'offsetInline',
  'notch',
  'indent',
  'signTurn',
  'paddingInline',
  'paddingBlock',
  'lineTop',
  'lineBottom',
  'lineStart',
  'lineEnd',
];

/** Everything that markup and arrangement read of looks this way. */
export const arrangedBy = (context: CompileContext): string =>
  outputOwners(context)
    .flatMap(({ id, kind }) =>
      Object.entries(slotsOf(kind)).flatMap(([slot, { properties, single }]) =>
        single || properties.some((id) => isArranged(id) || id === 'signTurn')
          ? [arrangedIn(effectiveLook(context.site, { owner: id, slot }))]
          : [],
      ),
    )
    .join(';');

const isArranged = (id: PropertyId): boolean => property(id).arranged === true;

const itemsIn = memoise((look: SlotLook): readonly string[] =>
  keysIn(look).flatMap((key) => itemOf(key) ?? []),
);

/** Whether a link has a look of its own in an owner. */
export const hasOwnLook = ({ site }: CompileContext, { id, kind }: Owner, item: string): boolean =>
  Object.keys(slotsOf(kind)).some((slot) => itemsIn(effectiveLook(site, { owner: id, slot })).includes(item));

const arrangedItemsIn = memoise((look: SlotLook): readonly string[] =>
  keysIn(look).flatMap((key) => {
    const bands = Object.values(look[key]?.rest ?? {});
    const isOwn = bands.some((values) => Object.keys(values).some((id) => isArranged(id as PropertyId)));
    return isOwn ? (itemOf(key) ?? []) : [];
  }),
);

/** The links whose own look their kind arranges by. */
export const arrangedItems = ({ site }: CompileContext, owner: string, slot: string): readonly string[] =>
  arrangedItemsIn(effectiveLook(site, { owner, slot }));
