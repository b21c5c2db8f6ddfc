import type { Property } from '../../values/property.ts';
import { TEXT_PROPERTIES } from './text.ts';
import { COLUMN_PROPERTIES } from './columns.ts';
import { FILL_PROPERTIES } from './fill.ts';
import { EDGE_PROPERTIES } from './edge.ts';
import { SPACE_PROPERTIES } from './space.ts';
import { FLOATING_PROPERTIES } from './floating.ts';
import { ICON_PROPERTIES } from './icon.ts';
import { MARK_PROPERTIES } from './mark.ts';
import { MOTION_PROPERTIES } from './motion.ts';
import { OWN_PROPERTIES } from './own.ts';
import { PANEL_PROPERTIES } from './panel.ts';
import { PLACEMENT_PROPERTIES } from './placement.ts';
import { SIGN_PROPERTIES } from './sign.ts';
import { STICKY_PROPERTIES } from './sticky.ts';

/**
 * The property catalogue: sheet rows, validation, stylesheet and docs are read from it. A new property is one
 * entry in its group and its id in the slots that take it.
 */
export const PROPERTIES = {
  ...TEXT_PROPERTIES,
  ...FILL_PROPERTIES,
  ...EDGE_PROPERTIES,
  ...SPACE_PROPERTIES,
  ...PLACEMENT_PROPERTIES,
  ...PANEL_PROPERTIES,
  ...COLUMN_PROPERTIES,
  ...STICKY_PROPERTIES,
  ...FLOATING_PROPERTIES,
  ...MARK_PROPERTIES,
  ...SIGN_PROPERTIES,
  ...ICON_PROPERTIES,
  ...MOTION_PROPERTIES,
  ...OWN_PROPERTIES,
} as const satisfies Record<string, Property>;

export type PropertyId = keyof typeof PROPERTIES;

export const PROPERTY_IDS = Object.keys(PROPERTIES) as PropertyId[];

export function property(id: PropertyId): Property {
  return PROPERTIES[id];
}

export function isPropertyId(value: string): value is PropertyId {
  return Object.hasOwn(PROPERTIES, value);
}
