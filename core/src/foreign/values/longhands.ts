import { memoiseText } from '../../base/memo.ts';

/** What a longhand is where a shorthand leaves it out: its initial value (the standards' property tables; `transparent` as browsers write it). */
export const INITIAL: Readonly<Record<string, string>> = {
  'animation-delay': '0s',
  'animation-direction': 'normal',
  'animation-duration': '0s',
  'animation-fill-mode': 'none',
  'animation-iteration-count': '1',
  'animation-name': 'none',
  'animation-play-state': 'running',
  'animation-range-end': 'normal',
  'animation-range-start': 'normal',
  'animation-timeline': 'auto',
  'animation-timing-function': 'ease',
  'background-attachment': 'scroll',
  'background-clip': 'border-box',
  'background-color': 'transparent',
  'background-image': 'none',
  'background-origin': 'padding-box',
  'background-position': '0% 0%',
  'background-repeat': 'repeat',
  'background-size': 'auto',
  'border-image-outset': '0',
  'border-image-repeat': 'stretch',
  'border-image-slice': '100%',
  'border-image-source': 'none',
  'border-image-width': '1',
  'column-count': 'auto',
  'column-height': 'auto',
  'column-width': 'auto',
  'column-wrap': 'auto',
  'container-type': 'normal',
  'flex-direction': 'row',
  'flex-wrap': 'nowrap',
  'font-feature-settings': 'normal',
  'font-kerning': 'auto',
  'font-language-override': 'normal',
  'font-optical-sizing': 'auto',
  'font-size-adjust': 'none',
  'font-stretch': 'normal',
  'font-style': 'normal',
  'font-variant-alternates': 'normal',
  'font-variant-caps': 'normal',
  'font-variant-east-asian': 'normal',
  'font-variant-emoji': 'normal',
  'font-variant-ligatures': 'normal',
  'font-variant-numeric': 'normal',
  'font-variant-position': 'normal',
  'font-variation-settings': 'normal',
  'font-weight': 'normal',
  'grid-auto-columns': 'auto',
  'grid-auto-flow': 'row',
  'grid-auto-rows': 'auto',
  'grid-template-areas': 'none',
  'grid-template-columns': 'none',
  'grid-template-rows': 'none',
  'line-height': 'normal',
  'list-style-image': 'none',
  'list-style-position': 'outside',
  'list-style-type': 'disc',
  'mask-clip': 'border-box',
  'mask-composite': 'add',
  'mask-image': 'none',
  'mask-mode': 'match-source',
  'mask-origin': 'border-box',
  'mask-position': '0% 0%',
  'mask-repeat': 'repeat',
  'mask-size': 'auto',
  'outline-color': 'currentcolor',
  'outline-style': 'none',
  'outline-width': 'medium',
  'text-decoration-color': 'currentcolor',
  'text-decoration-line': 'none',
  'text-decoration-style': 'solid',
  'text-decoration-thickness': 'auto',
  'text-emphasis-color': 'currentcolor',
  'text-emphasis-style': 'none',
  'text-wrap-mode': 'wrap',
  'text-wrap-style': 'auto',
  'transition-behavior': 'normal',
  'transition-delay': '0s',
  'transition-duration': '0s',
  'transition-property': 'all',
  'transition-timing-function': 'ease',
  '-webkit-text-stroke-color': 'currentcolor',
  '-webkit-text-stroke-width': '0',
};

/** The initial value of a longhand, by its name or by what all of its sort have in common. */
export function initialOf(longhand: string): string {
  const said = INITIAL[longhand];
  if (said !== undefined && Object.hasOwn(INITIAL, longhand)) return said;
  if (/^(?:border|column-rule).*-width$/.test(longhand)) return 'medium';
  if (/^(?:border|column-rule).*-style$/.test(longhand)) return 'none';
  if (/^(?:border|column-rule).*-color$/.test(longhand)) return 'currentcolor';
  return 'initial';
}

/** Properties of one engine that have no common name. */
const OWN_OF_ENGINE = new Set([
  '-webkit-border-image',
  '-webkit-box-align',
  '-webkit-box-decoration-break',
  '-webkit-box-direction',
  '-webkit-box-flex',
  '-webkit-box-ordinal-group',
  '-webkit-box-orient',
  '-webkit-box-pack',
  '-webkit-box-reflect',
  '-webkit-font-smoothing',
  '-webkit-line-break',
  '-webkit-line-clamp',
  '-webkit-locale',
  '-webkit-mask-box-image',
  '-webkit-rtl-ordering',
  '-webkit-ruby-position',
  '-webkit-tap-highlight-color',
  '-webkit-text-combine',
  '-webkit-text-fill-color',
  '-webkit-text-security',
  '-webkit-text-stroke',
  '-webkit-text-stroke-color',
  '-webkit-text-stroke-width',
  '-webkit-user-drag',
  '-webkit-user-modify',
]);

/** Old names of properties. */
const RENAMED: ReadonlyMap<string, string> = new Map([
  ['-webkit-border-after', 'border-block-end'],
  ['-webkit-border-before', 'border-block-start'],
  ['-webkit-border-end', 'border-inline-end'],
  ['-webkit-border-start', 'border-inline-start'],
  ['-webkit-column-break-after', 'break-after'],
  ['-webkit-column-break-before', 'break-before'],
  ['-webkit-column-break-inside', 'break-inside'],
  ['-webkit-margin-after', 'margin-block-end'],
  ['-webkit-margin-before', 'margin-block-start'],
  ['-webkit-margin-end', 'margin-inline-end'],
  ['-webkit-margin-start', 'margin-inline-start'],
  ['-webkit-padding-after', 'padding-block-end'],
  ['-webkit-padding-before', 'padding-block-start'],
  ['-webkit-padding-end', 'padding-inline-end'],
  ['-webkit-padding-start', 'padding-inline-start'],
  ['grid-column-gap', 'column-gap'],
  ['grid-gap', 'gap'],
  ['grid-row-gap', 'row-gap'],
  ['page-break-after', 'break-after'],
  ['page-break-before', 'break-before'],
  ['page-break-inside', 'break-inside'],
  ['word-wrap', 'overflow-wrap'],
]);

/** The name of today for a property. */
export function currentName(property: string): string {
  const renamed = RENAMED.get(property);
  if (renamed !== undefined) return renamed;
  return property.startsWith('-webkit-') && !OWN_OF_ENGINE.has(property) ? property.slice(8) : property;
}

/** How the text of an element runs, which says what its logical properties mean. */
export interface Flow {
  readonly mode: string;
  readonly direction: 'ltr' | 'rtl';
}

type Side = 'top' | 'right' | 'bottom' | 'left';

const OPPOSITE: Readonly<Record<Side, Side>> = { top: 'bottom', right: 'left', bottom: 'top', left: 'right' };

/** The side that an axis begins at (CSS Writing Modes 4, 6.4). */
function startOf(axis: 'block' | 'inline', { mode, direction }: Flow): Side {
  const isVertical = /^(?:vertical|sideways)/.test(mode);
  if (axis === 'block') {
    if (!isVertical) return 'top';
    return mode.endsWith('rl') ? 'right' : 'left';
  }
  if (!isVertical) return direction === 'rtl' ? 'right' : 'left';
  const isUpwards = (mode === 'sideways-lr') !== (direction === 'rtl');
  return isUpwards ? 'bottom' : 'top';
}

function sideOf(axis: string, end: string, flow: Flow): Side {
  const start = startOf(axis as 'block' | 'inline', flow);
  return end === 'start' ? start : OPPOSITE[start];
}

const isAcross = (axis: string, { mode }: Flow) =>
  (axis === 'inline') !== /^(?:vertical|sideways)/.test(mode);

/** The name of a longhand by sides of the page, for one by the way that text runs. */
export const physicalName = (longhand: string, { mode, direction }: Flow): string =>
  LOGICAL.test(longhand) ? knownNames(`${longhand} ${mode} ${direction}`) : longhand;

const LOGICAL = /-(?:block|inline|start|end)(?:-|$)|^(?:block|inline)-size$/;

const knownNames = memoiseText((asked) => {
  const [longhand = '', mode = '', direction] = asked.split(' ');
  return workOutName(longhand, { mode, direction: direction === 'rtl' ? 'rtl' : 'ltr' });
});

function workOutName(longhand: string, flow: Flow): string {
  const size = /^(min-|max-|contain-intrinsic-)?(block|inline)-size$/.exec(longhand);
  if (size) return `${size[1] ?? ''}${isAcross(size[2] ?? '', flow) ? 'width' : 'height'}`;
  const axis = /^(overflow|overscroll-behavior)-(block|inline)$/.exec(longhand);
  if (axis) return `${axis[1]}-${isAcross(axis[2] ?? '', flow) ? 'x' : 'y'}`;
  const corner = /^border-(start|end)-(start|end)-radius$/.exec(longhand);
  if (corner) {
    const sides = [sideOf('block', corner[1] ?? '', flow), sideOf('inline', corner[2] ?? '', flow)] as const;
    const upright = sides.find((side) => side === 'top' || side === 'bottom');
    return `border-${upright}-${sides.find((side) => side !== upright)}-radius`;
  }
  const side =
    /^(border|inset|margin|padding|scroll-margin|scroll-padding)-(block|inline)-(start|end)(-.+)?$/.exec(
      longhand,
    );
  if (!side) return longhand;
  const name = sideOf(side[2] ?? '', side[3] ?? '', flow);
  return side[1] === 'inset' ? name : `${side[1]}-${name}${side[4] ?? ''}`;
}
