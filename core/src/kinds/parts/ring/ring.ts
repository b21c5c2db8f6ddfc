import {
  BOX_PROPERTIES,
  CONTROL_PROPERTIES,
  ICON_PROPERTIES,
  LONE_ICON_PROPERTIES,
  REST_ONLY,
  TEXT_PROPERTIES,
} from '../../../model/slot.ts';
import type { State } from '../../../model/states.ts';
import { labelSlot } from '../../controls/labelled.ts';
import { exact } from '../../extent.ts';
import type { PartKind } from '../../kind.ts';
import { compileRing } from './compile.ts';
import { hasLabel } from '../../controls/opener-fields.ts';
import type { SiteContent } from '../../../model/site-content.ts';
import { labelsShown } from './standing.ts';
import { RING_LOOK, RING_SHAPE, ringItems, type RingPart } from './shape.ts';

const OPENER_STATES: readonly State[] = ['rest', 'scrolled', 'open', 'hover', 'focus', 'pressed'];
const TARGET_STATES: readonly State[] = ['rest', 'current', 'hover', 'focus', 'pressed'];

/** Words of the opener have a slot of their own. */
const TEXT_ONLY: readonly string[] = TEXT_PROPERTIES.filter((id) => id !== 'colour' && id !== 'size');
/** Links stand where the ring puts them, and what is in them in their middle. */
const NOT_OF_LINKS: readonly string[] = ['marginInline', 'marginBlock', 'align'];

const ROUND = { paddingInline: 0, paddingBlock: 0 } as const;

/** Whether labels may stand within their links: in sight, in a column or row. */
function isWithinLink(part: RingPart, site: SiteContent): boolean {
  const said = Object.values(part.look['ring']?.all?.rest ?? {});
  const inSight = said.some(({ ringLabels }) => ringLabels === 'in sight');
  const inLine = said.some(({ ringForm }) => ringForm !== undefined && ringForm !== 'on an arc');
  // Labels that are in sight for want of icons stand in a column where they are too long for an arc.
  if (labelsShown(site, part, 'at pointing') === 'in sight') return true;
  return inSight && inLine;
}

export const RING: PartKind<'ring', typeof RING_SHAPE> = {
  id: 'ring',
  alsoCalled: 'radial circle wheel fan menu',
  label: 'Ring of links',
  hint: 'an opener with links of a menu around it',
  shape: RING_SHAPE,
  slots: {
    'ring-opener': {
      label: 'Ring’s opener',
      levels: [],
      states: OPENER_STATES,
      text: 'icon',
      properties: CONTROL_PROPERTIES.filter((id) => !TEXT_ONLY.includes(id)),
      defaults: {
        colour: { role: 'on-accent' },
        fill: { role: 'accent' },
        size: 24,
        minWidth: 56,
        height: 56,
        radius: 28,
        gap: 8,
        ...ROUND,
      },
    },
    'ring-opener-label': labelSlot('Opener’s label', 'ring-opener', OPENER_STATES),
    'ring-opener-icon': {
      label: 'Opener’s drawing',
      levels: [],
      states: OPENER_STATES,
      text: 'none',
      inside: 'ring-opener',
      properties: LONE_ICON_PROPERTIES,
      defaults: {},
    },
    ring: {
      label: 'Links around it',
      levels: [],
      states: REST_ONLY,
      text: 'none',
      properties: [
        'ringForm',
        'ringDistance',
        'ringTurn',
        'ringSpan',
        'ringLabels',
        'ringComes',
        'gap',
        'motionTime',
        'motionCurve',
      ],
      defaults: { gap: 8, motionTime: 160 },
    },
    'ring-link': {
      label: 'Link',
      levels: [],
      states: TARGET_STATES,
      text: 'none',
      properties: CONTROL_PROPERTIES.filter((id) => !NOT_OF_LINKS.includes(id)),
      defaults: {
        colour: { role: 'ink' },
        fill: { role: 'paper' },
        minWidth: 48,
        height: 48,
        radius: 24,
        gap: 8,
      },
    },
    'ring-icon': {
      label: 'Link’s icon',
      levels: [],
      states: TARGET_STATES,
      text: 'icon',
      inside: 'ring-link',
      properties: ICON_PROPERTIES,
      defaults: { size: 22 },
    },
    'ring-label': {
      label: 'Link’s label',
      levels: [],
      states: TARGET_STATES,
      text: 'label',
      typeStyle: 'menu',
      inside: 'ring-link',
      properties: [...TEXT_PROPERTIES, ...BOX_PROPERTIES],
      defaults: {
        colour: { role: 'ink' },
        fill: { role: 'paper' },
        size: 14,
        paddingInline: 8,
        paddingBlock: 4,
        radius: 4,
      },
    },
  },
  reads: {
    'ring-opener': ['minWidth', 'height'],
    'ring-link': ['minWidth', 'height'],
    'ring-label': ['size', 'paddingInline'],
    ring: ['gap'],
  },
  create: ({ site }) => ({ menu: site.menus[0]?.id ?? '', look: RING_LOOK }),
  refused: ({ site }) => (site.menus.length === 0 ? 'the site has no menu yet' : null),
  name: (part) => `Ring ${part.label}`,
  onlyIn: 'window',
  hasSlot: (part, slot) => {
    switch (slot) {
      case 'ring-opener-icon':
        return part.icon !== null;
      case 'ring-opener-label':
        return hasLabel(part);
      default:
        return true;
    }
  },
  box: () => 'fan',
  behind: (part, slot, _level, site) => {
    if (slot === 'ring-icon' || (slot === 'ring-label' && isWithinLink(part, site)))
      return { boxes: [{ slot: 'ring-link', level: null }], overPage: true };
    return { boxes: [], overPage: true };
  },
  known: (part) => part.label,
  compile: compileRing,
  // It stands in no row.
  extent: () => exact(0),
  texts: (part, site) => [
    ...(hasLabel(part) ? [part.label] : []),
    ...ringItems(site, part).map(({ label }) => label),
  ],
  drawn: (part, site) => [
    ...(part.icon === null ? [] : [part.icon]),
    ...ringItems(site, part).flatMap(({ icon }) => icon ?? []),
  ],
};
