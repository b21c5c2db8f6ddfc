import { memoise } from '../base/memo.ts';
import { kindOf, slotsOf } from '../kinds/catalogue.ts';
import type { Said } from '../kinds/out.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import { slotKind, type Owner } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { saidIn } from '../kinds/looks.ts';
import type { SlotLook, Values } from '../model/look.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemKey, itemsIn, type Level } from '../model/states.ts';
import { effectiveLook, resolve } from '../resolve/resolve.ts';
import type { Value } from '../values/values.ts';
import { outputOwners, type CompileContext } from './context.ts';
import { bandsWhere } from './shown.ts';

/*
 * What a kind arranges by: values of looks that it turns into rules itself, or only asks whether they are said.
 */

/** Whether a look says the same at rest at all widths. */
const isSameAtRest = memoise((look: SlotLook): boolean => {
  for (const { rest } of Object.values(look)) for (const band in rest) if (band !== 'all') return false;
  return true;
});

/** Whether a slot has the same values at rest in every band: its look says nothing of single ones, and it takes over none. */
function isSameInBands(site: Site, owner: string, slot: string): boolean {
  const kind = slotKind(site, { owner, slot });
  return (
    kind !== null &&
    kind.inside === undefined &&
    kind.inherits === undefined &&
    isSameAtRest(effectiveLook(site, { owner, slot }))
  );
}

/** What a look says of a property at rest in each band, each value once, with the widths it holds at. */
export function saidInBands<V extends Value>(
  { site }: CompileContext,
  owner: string,
  asked: { readonly slot: string; readonly level: Level | null; readonly item?: string },
  id: PropertyId,
): Said<V>[] {
  const valueIn = (band: number) => resolve(site, { owner, ...asked, property: id, states: [], band })?.value;
  if (isSameInBands(site, owner, asked.slot)) {
    const value = valueIn(0);
    return value === undefined ? [] : [{ value: value as V, conditions: [] }];
  }
  const values = site.bands.map((_, band) => valueIn(band));
  return [...new Set(values)].flatMap((value) =>
    value === undefined
      ? []
      : bandsWhere(site, (band) => values[band] === value).map((widths) => ({
          value: value as V,
          conditions: widths === '' ? [] : [`@media ${widths}`],
        })),
  );
}

/** What something comes to in each band: what is alike once, with the widths of its bands. */
export function inBands<Told>(site: Site, read: (band: number) => Told): Said<Told>[] {
  const values = site.bands.map((_, band) => read(band));
  const told = values.map((value) => JSON.stringify(value));
  return [...new Set(told)].flatMap((key) =>
    bandsWhere(site, (band) => told[band] === key).map((widths) => ({
      value: values[told.indexOf(key)] as Told,
      conditions: widths === '' ? [] : [`@media ${widths}`],
    })),
  );
}

/** What a look says of some properties at rest in each band. */
export const saidTogether = (
  { site }: CompileContext,
  owner: string,
  slot: string,
  ids: readonly PropertyId[],
): Said<Values>[] => {
  const valuesIn = (band: number) => {
    const values: Record<string, Value> = {};
    for (const property of ids) {
      const found = resolve(site, { owner, slot, level: null, property, states: [], band });
      if (found) values[property] = found.value;
    }
    return values;
  };
  return isSameInBands(site, owner, slot)
    ? [{ value: valuesIn(0), conditions: [] }]
    : inBands(site, valuesIn);
};

/** Whether a look says anything of a property of a slot. */
export const says = ({ site }: CompileContext, owner: string, slot: string, id: PropertyId): boolean =>
  saidIn(effectiveLook(site, { owner, slot })).has(id);

/** What one look says that its kind arranges by, as text; of values that are said elsewhere only that they are. */
const arrangedIn = memoise((look: SlotLook): string => {
  const told: string[] = [];
  for (const [level, states] of Object.entries(look))
    for (const [band, values] of Object.entries(states.rest ?? {}))
      for (const [id, value] of Object.entries(values))
        if (isReadByValue(id as PropertyId)) told.push(`${level} ${band} ${id} ${JSON.stringify(value)}`);
  told.push(...itemsIn(look));
  for (const id of ASKED) if (saidIn(look).has(id)) told.push(id);
  return told.join();
});

/** What kinds only ask for. */
const ASKED: readonly PropertyId[] = [
  'offsetBlock',
  'offsetInline',
  'comeCurve',
  'comeDelay',
  'goTime',
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

/** The slots of a kind whose looks are read this way. */
const arrangedSlots = memoise((slots: Readonly<Record<string, SlotKind>>): readonly string[] =>
  Object.entries(slots).flatMap(([slot, { properties, single }]) =>
    single || properties.some((id) => isArranged(id) || id === 'signTurn') ? [slot] : [],
  ),
);

/** What a kind reads of an owner’s look besides what it is arranged by, band by band, as text. */
const readOf = ({ site }: CompileContext, { id, kind }: Owner): string =>
  Object.entries(kindOf(kind).reads ?? {})
    .flatMap(([slot, ids]) =>
      ids.flatMap((property) =>
        site.bands.map((_, band) =>
          JSON.stringify(
            resolve(site, { owner: id, slot, level: null, property, states: [], band })?.value ?? null,
          ),
        ),
      ),
    )
    .join();

/** Everything that markup and arrangement read of looks this way. */
export const arrangedBy = (context: CompileContext): string =>
  outputOwners(context)
    .flatMap((owner) => [
      readOf(context, owner),
      ...arrangedSlots(slotsOf(owner.kind)).map((slot) =>
        arrangedIn(effectiveLook(context.site, { owner: owner.id, slot })),
      ),
    ])
    .join(';');

/** Whether kinds read what a look says of a property, not only that it says something. */
const isReadByValue = (id: PropertyId): boolean => isArranged(id) || READ.includes(id);

/** What is not arranged by, and read all the same. */
const READ: readonly PropertyId[] = ['columns', 'width', 'comeTime'];

const isArranged = (id: PropertyId): boolean => property(id).arranged === true;

/** The links that have a look of their own in an owner. */
export const singleLinks = ({ site }: CompileContext, { id, kind }: Owner): ReadonlySet<string> =>
  new Set(Object.keys(slotsOf(kind)).flatMap((slot) => itemsIn(effectiveLook(site, { owner: id, slot }))));

const arrangedItemsIn = memoise((look: SlotLook): readonly string[] =>
  itemsIn(look).filter((item) => {
    const bands = Object.values(look[itemKey(item)]?.rest ?? {});
    return bands.some((values) => Object.keys(values).some((id) => isArranged(id as PropertyId)));
  }),
);

/** The links whose own look their kind arranges by. */
export const arrangedItems = ({ site }: CompileContext, owner: string, slot: string): readonly string[] =>
  arrangedItemsIn(effectiveLook(site, { owner, slot }));
