import { describe, expect, test } from '@jest/globals';
import { property, PROPERTY_IDS, shapeOf } from '@hamaca/core';
import { PROPERTY_DRAWINGS } from './property-drawings.tsx';
import { SETTING_DRAWINGS } from './setting-drawings.tsx';

describe('drawings of named values', () => {
  const choices = PROPERTY_IDS.map((id) => ({ id, entry: property(id) })).flatMap(({ id, entry }) =>
    entry.kind === 'choice' ? [{ id, names: Object.keys(entry.choices) }] : [],
  );
  test.each(choices)('every value of $id has one', ({ id, names }) => {
    expect(Object.keys(PROPERTY_DRAWINGS[id] ?? {}).sort()).toEqual([...names].sort());
  });

  test('none is left over', () => {
    expect(Object.keys(PROPERTY_DRAWINGS).sort()).toEqual(choices.map(({ id }) => id).sort());
  });

  test.each(Object.keys(SETTING_DRAWINGS))('%s is a setting, and every value of it has one', (setting) => {
    const [kind = '', name = ''] = setting.split('.');
    const field = shapeOf(kind as Parameters<typeof shapeOf>[0])[name];
    if (field?.spec.kind !== 'choice') throw new Error('no choice');
    expect(Object.keys(SETTING_DRAWINGS[setting] ?? {}).sort()).toEqual(
      Object.keys(field.spec.choices).sort(),
    );
  });
});
