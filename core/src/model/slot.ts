import type { PropertyId } from '../kinds/properties/properties.ts';
import type { Level, State } from './states.ts';
import type { Value } from '../values/values.ts';

/** One styled thing inside a piece or part, as the catalogue describes it. */
export interface SlotKind {
  readonly label: string;
  /** Menu levels it occurs at; empty for a slot outside menus. */
  readonly levels: readonly Level[];
  /** States it can be in, in the order of `STATES`. */
  readonly states: readonly State[];
  readonly properties: readonly PropertyId[];
  /** Values where the look has none; roles here are what "role default" means. */
  readonly defaults: { readonly [P in PropertyId]?: Value };
  /** What goes before them at single levels. */
  readonly atLevel?: { readonly [L in Level]?: { readonly [P in PropertyId]?: Value } };
  /** The type style that family, size and weight fall back to. */
  readonly typeStyle?: string;
  /** The slot it stands in: its states are those of that one. */
  readonly inside?: string;
  /** The slot it stands in without having its states; it takes that one's text. */
  readonly inherits?: string;
  /** Whether it is a call to action, which can be drawn in several styles. */
  readonly isAction?: boolean;
  /** Whether a single link of a menu can have a look of its own here. */
  readonly single?: boolean;
  /** The class of what is around it and its label. */
  readonly around?: string;
  /** Whether it holds the links of its level, so that it stands beside the link of the level above. */
  readonly holdsLevel?: boolean;
  /** Whether it is the sign of a parent, within its control or a control of its own behind it. */
  readonly sign?: boolean;
  /** Whether it belongs to a control that opens a panel: it is open while that is. */
  readonly opens?: boolean;
  /** Whether it may be worn by a box around a link and the button of its sign. */
  readonly boxed?: boolean;
  /** Whether text or an icon is drawn in it, so that contrast is judged. */
  readonly text: 'label' | 'icon' | 'none';
}

/** Interactive slots share these states. */
export const LINK_STATES: readonly State[] = [
  'rest',
  'scrolled',
  'current',
  'open',
  'hover',
  'focus',
  'pressed',
];
export const BUTTON_STATES: readonly State[] = ['rest', 'scrolled', 'hover', 'focus', 'pressed'];
export const BOX_STATES: readonly State[] = ['rest', 'scrolled'];
/** What lies over the page has nothing to do with how far it is scrolled. */
export const REST_ONLY: readonly State[] = ['rest'];

const ids = <const Id extends PropertyId>(...list: readonly Id[]) => list;

export const TEXT_PROPERTIES = ids(
  'colour',
  'family',
  'size',
  'weight',
  'style',
  'letters',
  'decoration',
  'tracking',
  'wordSpace',
  'lineHeight',
  'align',
  'textShadow',
);
export const ICON_PROPERTIES = ids('colour', 'size');
/** What an icon beside a label can wear: a place, a box of its own and a motion. */
export const LABEL_ICON_PROPERTIES = ids(
  'iconPlace',
  'iconGap',
  'iconAlign',
  'iconShows',
  'size',
  'colour',
  'fill',
  'lineTop',
  'lineBottom',
  'lineStart',
  'lineEnd',
  'radius',
  'shadow',
  'paddingInline',
  'paddingBlock',
  'opacity',
  'iconTone',
  'iconMotion',
  'iconTime',
  'iconRepeat',
);
/** What an icon can wear that is alone in its control, which says the rest. */
export const LONE_ICON_PROPERTIES = ids('opacity', 'iconTone', 'iconMotion', 'iconTime', 'iconRepeat');
export const FILL_PROPERTIES = ids('fill', 'paint', 'paintSize', 'paintPlace', 'blur');
export const EDGE_PROPERTIES = ids('lineTop', 'lineBottom', 'lineStart', 'lineEnd', 'radius', 'shadow');
export const OUTLINE_PROPERTIES = ids('outline', 'outlineGap');
export const PADDING_PROPERTIES = ids('paddingInline', 'paddingBlock');
export const MARGIN_PROPERTIES = ids('marginInline', 'marginBlock');
export const MARK_PROPERTIES = ids(
  'mark',
  'markColour',
  'markThickness',
  'markLength',
  'markOffset',
  'markFrom',
);
export const MOTION_PROPERTIES = ids('opacity', 'motion', 'motionTime', 'motionCurve', 'motionDelay');

export const PLACEMENT_PROPERTIES = ids(
  'opens',
  'lies',
  'boxWidth',
  'columns',
  'offsetBlock',
  'offsetInline',
  'notch',
  'indent',
);
/** How what opens comes and goes. */
export const ARRIVAL_PROPERTIES = ids('arrives', 'leaves', 'motionTime', 'motionCurve', 'motionDelay');

/** How panels and their blocks come and go. */
export const COMING_PROPERTIES = ids(
  'comesIn',
  'comesFrom',
  'comeTime',
  'comeCurve',
  'comeDelay',
  'goesOut',
  'goesTo',
  'goTime',
);

/** Blocks come and go by themselves in the time their panel takes. */
export const BLOCK_COMING_PROPERTIES = ids('comesIn', 'comesFrom', 'comeDelay', 'goesOut', 'goesTo');

/** What a box of any kind can wear. */
export const BOX_PROPERTIES = [...FILL_PROPERTIES, ...EDGE_PROPERTIES, ...PADDING_PROPERTIES];
/** What a control with a label can wear. */
export const CONTROL_PROPERTIES = [
  ...TEXT_PROPERTIES,
  ...FILL_PROPERTIES,
  ...EDGE_PROPERTIES,
  ...OUTLINE_PROPERTIES,
  ...PADDING_PROPERTIES,
  ...ids('gap'),
  ...MARGIN_PROPERTIES,
  ...ids('height', 'minWidth'),
  ...MOTION_PROPERTIES,
];
/** What a control that is only an icon can wear. */
export const ICON_CONTROL_PROPERTIES = [
  ...ICON_PROPERTIES,
  ...FILL_PROPERTIES,
  ...EDGE_PROPERTIES,
  ...OUTLINE_PROPERTIES,
  ...PADDING_PROPERTIES,
  ...MARGIN_PROPERTIES,
  ...MOTION_PROPERTIES,
];
