import { isRecord } from '../base/json.ts';
import type { Violation } from '../model/violation.ts';
import { ITEM_SHAPE } from '../model/menu-item.ts';
import type { KindBook } from '../model/shape/violations.ts';
import { sectionIn, type Shape } from '../model/shape/field.ts';
import { isState, itemOf, LEVEL_KEYS } from '../model/states.ts';
import { acceptsValue, allowedValue } from '../values/accepts.ts';
import { ID } from '../values/url.ts';
import { slotsOf, THING_SHAPES, type OwnerKind } from './catalogue.ts';
import { wornAt } from './wears.ts';
import { isPropertyId, property } from './properties/properties.ts';

function isItemKey(key: string): boolean {
  const item = itemOf(key);
  return item !== null && ID.test(item);
}

/** Walks a look by the catalogue; violations are paths below the look with what is allowed there. */
class LookTester {
  readonly violations: Violation[] = [];

  /** The entries of an object whose keys are allowed; others are violations. */
  private entries(
    value: unknown,
    path: readonly string[],
    allowedKeys: string,
    isAllowed: (key: string) => boolean,
  ): [string, unknown][] {
    if (!isRecord(value)) {
      this.violations.push({ path, allowed: `an object with the keys ${allowedKeys}` });
      return [];
    }
    return Object.entries(value).filter(([key]) => {
      if (!isAllowed(key))
        this.violations.push({ path: [...path, key], allowed: `one of the keys ${allowedKeys}` });
      return isAllowed(key);
    });
  }

  look(owner: OwnerKind, look: unknown): void {
    const slots = slotsOf(owner);
    const names = Object.keys(slots).join(', ');
    for (const [slot, levels] of this.entries(look, [], names, (key) => Object.hasOwn(slots, key)))
      this.slot(owner, slot, levels);
  }

  private slot(owner: OwnerKind, slot: string, look: unknown): void {
    const kind = slotsOf(owner)[slot];
    if (!kind) return;
    const levelKeys: readonly string[] = LEVEL_KEYS.filter(
      (key) => key === 'all' || kind.levels.some((level) => String(level) === key),
    );
    const keyOk = (key: string) => levelKeys.includes(key) || (kind.single === true && isItemKey(key));
    const stateOk = (key: string) => isState(key) && kind.states.includes(key);
    const allowed = [...levelKeys, ...(kind.single ? ['@ with a link’s id'] : [])].join(', ');
    for (const [level, states] of this.entries(look, [slot], allowed, keyOk))
      for (const [state, bands] of this.entries(states, [slot, level], kind.states.join(', '), stateOk))
        for (const [band, values] of this.entries(bands, [slot, level, state], 'all or a band’s id', (key) =>
          ID.test(key),
        ))
          this.values(wornAt(kind, level), values, [slot, level, state, band]);
  }

  private values(properties: readonly string[], values: unknown, path: readonly string[]): void {
    const isKnown = (key: string) => isPropertyId(key) && properties.includes(key);
    for (const [key, value] of this.entries(values, path, properties.join(', '), isKnown)) {
      if (!isPropertyId(key)) continue;
      const entry = property(key);
      if (!acceptsValue(entry, value))
        this.violations.push({ path: [...path, key], allowed: allowedValue(entry) });
    }
  }
}

/** What is wrong with a look of a kind of owner. */
function lookViolations(owner: string, look: unknown): readonly Violation[] {
  const tester = new LookTester();
  tester.look(owner as OwnerKind, look);
  return tester.violations;
}

const LINKS: Readonly<Record<string, Shape>> = { link: ITEM_SHAPE };

/** All kinds there are, for what walks along shapes. */
export const BOOK: KindBook = {
  variants: (spec) => {
    if (spec.of === 'items') return LINKS;
    const all = THING_SHAPES[spec.of];
    const only = spec.sections;
    return only === undefined
      ? all
      : Object.fromEntries(Object.entries(all).filter(([key]) => only.includes(key)));
  },
  shapeOf: (spec, value) => {
    if (spec.of === 'items') return ITEM_SHAPE;
    const kind = spec.of === 'sections' ? sectionIn(spec, value) : value['kind'];
    const all: Readonly<Record<string, Shape>> = THING_SHAPES[spec.of];
    return typeof kind === 'string' && Object.hasOwn(all, kind) ? (all[kind] ?? null) : null;
  },
  lookViolations,
};
