import type { MenuItem } from '../../../model/menu-item.ts';
import type { Site } from '../../site.ts';
import { isLength, toPixels } from '../../../values/length.ts';
import type { Value } from '../../../values/values.ts';
import type { FloatPlace, RingComing, RingForm, RingLabels } from '../../properties/floating.ts';
import type { PropertyId } from '../../properties/properties.ts';
import { APART, layRing, type Ring, type RingQuestion } from './arc.ts';
import { ringItems, type RingPart } from './shape.ts';

/** Reads what looks say at rest in one band: of a slot of the ring, or of its piece's own. */
export interface RingLooks {
  readonly own: (slot: string, property: PropertyId, band: number) => Value | undefined;
  readonly piece: (slot: string, property: PropertyId, band: number) => Value | undefined;
}

/** The smallest window that is reckoned with, and how low one may be on its side, in px. */
export const SMALLEST = { width: 320, height: 480, low: 320 } as const;

/** A label in sight beneath its link, in px: the height of its line, and how much wider than the link it may be. */
export const LABEL = { line: 20, wider: 28 } as const;

/** The diameter that a link with its label takes: whichever way two of them lie, neither covers the other. */
const withLabel = (target: number) =>
  Math.ceil(Math.hypot(target + LABEL.wider, target + LABEL.line)) - APART;

/** How the links of a ring stand in a band. */
export interface RingStand {
  readonly form: RingForm;
  /** Whether labels too long to stand whole on the arc that was asked for made it a column. */
  readonly isTooLong: boolean;
  readonly labels: RingLabels;
  readonly comes: RingComing;
  readonly place: FloatPlace;
  /** Diameter of the opener and of a link, in px. */
  readonly opener: number;
  readonly target: number;
  readonly gap: number;
  /** Where the links stand on the arc that was asked for, in windows as high as they mostly are, and in low ones; null where none holds them. */
  readonly ring: Ring | null;
  readonly low: Ring | null;
  /** The least width of the band's window, in px. */
  readonly width: number;
}

const px = (value: Value | undefined): number => (isLength(value) ? toPixels(value, { fontSize: 16 }) : 0);

const number = (value: Value | undefined): number => (typeof value === 'number' ? value : 0);

/** Where the opener's middle stands in a window. */
function centreOf(
  looks: RingLooks,
  band: number,
  opener: number,
  { width, height }: RingQuestion['window'],
): RingQuestion['centre'] {
  const say = (property: PropertyId) => looks.piece('floating', property, band);
  const place = say('floatsAt') as FloatPlace;
  const inline = px(say('floatInline'));
  const block = px(say('floatBlock'));
  const inward = {
    x: inline + px(say('paddingInline')) + opener / 2,
    y: block + px(say('paddingBlock')) + opener / 2,
  };
  const along = (side: 'start' | 'end', size: number, from: number) =>
    side === 'start' ? from : size - from;
  const isStart = place.endsWith('start');
  const isEnd = place.endsWith('end');
  const x = isStart
    ? along('start', width, inward.x)
    : isEnd
      ? along('end', width, inward.x)
      : width / 2 + inline;
  const y = place.includes('top')
    ? along('start', height, inward.y)
    : place.includes('bottom')
      ? along('end', height, inward.y)
      : height / 2 + block;
  return { x, y };
}

/** How many links stand in it. */
export const ringCount = (site: Pick<Site, 'menus'>, part: RingPart): number => ringItems(site, part).length;

/** The labels that show: a link without an icon has its label in sight, as its first letter alone names nothing. */
export function labelsShown(site: Pick<Site, 'menus'>, part: RingPart, said: RingLabels): RingLabels {
  return ringItems(site, part).every(({ icon }) => icon !== undefined) ? said : 'in sight';
}

/** The size of a label no look says another of, in px. */
const LABEL_SIZE = 14;

/** About how wide a character of a label is in its own size: ideographs and Hangul fill it. */
const CHARACTER = { wide: 1, other: 0.55 } as const;
const WIDE = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u;

/** Whether every label stands whole beneath its link: one that is cut names nothing. */
function standWhole(items: readonly MenuItem[], room: number, size: number): boolean {
  const width = (label: string) =>
    [...label].reduce((sum, one) => sum + size * (WIDE.test(one) ? CHARACTER.wide : CHARACTER.other), 0);
  return items.every(({ label }) => width(label) <= room);
}

/** How the links of a ring stand in one band. */
export function ringIn(
  site: Pick<Site, 'menus' | 'bands'>,
  part: RingPart,
  looks: RingLooks,
  band: number,
): RingStand {
  const said = (property: PropertyId) => looks.own('ring', property, band);
  const size = (slot: string) =>
    Math.max(px(looks.own(slot, 'minWidth', band)), px(looks.own(slot, 'height', band)), 1);
  const width = Math.max(SMALLEST.width, site.bands[band]?.min ?? 0);
  const labels = labelsShown(site, part, said('ringLabels') as RingLabels);
  const opener = size('ring-opener');
  const target = size('ring-link');
  const words = (id: PropertyId) => px(looks.own('ring-label', id, band));
  const room = target + LABEL.wider - 2 * words('paddingInline');
  // What finds no room for its whole label around the opener stands in a column, where it has.
  const isWhole =
    labels !== 'in sight' || standWhole(ringItems(site, part), room, words('size') || LABEL_SIZE);
  const asked = said('ringForm') as RingForm;
  const form = asked === 'on an arc' && !isWhole ? 'in a column' : asked;
  const lay = (height: number): Ring | null => {
    if (asked !== 'on an arc') return null;
    const own = { width, height };
    return layRing({
      window: own,
      centre: centreOf(looks, band, opener, own),
      opener,
      target: labels === 'in sight' ? withLabel(target) : target,
      count: ringCount(site, part),
      distance: px(said('ringDistance')),
      turn: number(said('ringTurn')),
      span: number(said('ringSpan')),
    });
  };
  return {
    form,
    isTooLong: form !== asked,
    labels,
    comes: said('ringComes') as RingComing,
    place: looks.piece('floating', 'floatsAt', band) as FloatPlace,
    opener,
    target,
    gap: px(said('gap')),
    ring: lay(SMALLEST.height),
    low: lay(SMALLEST.low),
    width,
  };
}
