import { expect, test } from '@jest/globals';
import { acceptsValue } from '../values/accepts.ts';
import { ACTION_STYLES } from './action-styles.ts';
import { OWNER_KINDS, slotsOf } from './catalogue.ts';
import { property, type PropertyId } from './properties/properties.ts';

const actions = OWNER_KINDS.flatMap((owner) => Object.values(slotsOf(owner)).filter((slot) => slot.isAction));

test('there are calls to action of menus and of their own', () => {
  expect(actions).toHaveLength(2);
});

test.each(Object.entries(ACTION_STYLES))(
  '%s can be worn by every call to action',
  (_name, { rest, hover }) => {
    for (const slot of actions)
      for (const [id, value] of Object.entries({ ...rest, ...hover })) {
        expect(slot.properties).toContain(id);
        expect(acceptsValue(property(id as PropertyId), value)).toBe(true);
      }
    // What one style sets, every other one sets as well: none shines through.
    expect(Object.keys(rest).sort()).toEqual(Object.keys(ACTION_STYLES.solid.rest).sort());
    expect(Object.keys(hover).sort()).toEqual(Object.keys(ACTION_STYLES.solid.hover).sort());
  },
);
