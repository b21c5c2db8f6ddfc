import { pieceKind } from '../../kinds/catalogue.ts';
import { itemsOf } from '../../kinds/content.ts';
import { isOwnerShownIn } from '../../kinds/folds.ts';
import type { Piece, Site } from '../../kinds/site.ts';
import type { CellValue } from '../../edit/operations/look.ts';
import { runEdit, type SingleEdit } from '../../edit/operations.ts';
import { askedAt, levelKeysOf } from '../../kinds/placed.ts';
import { itemKeysIn, itemOf, type LevelKey, type State } from '../../model/states.ts';
import { contrastOf, passingValue, type ContrastReport, type Situation } from '../../resolve/backdrop.ts';
import { slotName } from '../../resolve/origin.ts';
import { effectiveLook, resolve } from '../../resolve/resolve.ts';
import type { Scene } from '../../model/site-content.ts';
import { narrowestIn } from '../../layout/extents.ts';
import type { LookCheck, LookPlace } from '../check.ts';

/** A situation in which a text cannot be read well enough. */
interface Failing extends ContrastReport {
  readonly situation: Situation;
  readonly scene: Scene;
  /** The level, or the single link. */
  readonly key: LevelKey;
  readonly state: State;
}

/** The bands in which an owner is shown, by index. */
const bandsOf = (site: Site, { owner }: LookPlace): number[] =>
  [...site.bands.keys()].filter((band) => isOwnerShownIn(owner, site, band));

/** Whether the colour is that of the slot around, where it fails as well: it is told and mended there. */
function isToldOfHolder(site: Site, situation: Situation, scene: Scene): boolean {
  const origin = resolve(site, { ...situation, property: 'colour' })?.origin;
  return (
    origin?.kind === 'holder' &&
    contrastOf(site, { ...situation, slot: origin.slot }, scene)?.passes === false
  );
}

/** Whether what is in a piece shows in a band that the page is scrolled. */
const isScrolledIn = (site: Site, piece: Piece, band: number): boolean =>
  pieceKind(piece).staysIn?.(piece as never, site, band) ?? true;

function failingIn(site: Site, place: LookPlace): Failing[] {
  const { owner, slot, kind } = place;
  const ref = { owner: owner.id, slot };
  const levels = levelKeysOf(site, owner, slot);
  const single = itemKeysIn(effectiveLook(site, ref));
  const states = kind.states.filter((state) => pieceKind(owner.piece).comesTo(owner.piece as never, state));
  const failing: Failing[] = [];
  for (const band of bandsOf(site, place))
    for (const key of [...levels, ...single])
      for (const state of states.filter((one) => one !== 'scrolled' || isScrolledIn(site, owner.piece, band)))
        for (const scene of site.scenes) {
          const situation = {
            ...ref,
            ...askedAt(site, ref, key),
            states: state === 'rest' ? [] : [state],
            band,
          };
          const report = contrastOf(site, situation, scene);
          if (report && !report.passes && !isToldOfHolder(site, situation, scene))
            failing.push({ ...report, situation, scene, key, state });
        }
  return failing;
}

/** Colours that pass where one failed, each set for the widths at which it did. */
function mend(site: Site, { owner, slot }: LookPlace, failing: readonly Failing[]): SingleEdit | null {
  const ref = { owner: owner.id, slot };
  const look = effectiveLook(site, ref);
  const cells = new Map<string, CellValue>();
  for (const { situation, key, state } of failing) {
    const alike = failing.filter((one) => one.key === key && one.state === state);
    const bands = new Set(alike.map((one) => one.situation.band));
    const own = site.bands[situation.band]?.id ?? 'all';
    const says = look[key]?.[state]?.[own]?.colour !== undefined;
    // What fails at every width is mended for all of them, but where a band has a colour of its own.
    const band = bands.size === site.bands.length && !says ? 'all' : own;
    const reached = band === 'all' ? alike : alike.filter((one) => one.situation.band === situation.band);
    const value = passingValue(site, reached);
    if (!value) return null;
    cells.set(`${key} ${state} ${band}`, { ...ref, property: 'colour', level: key, state, band, value });
  }
  return { name: 'set-look', args: { cells: [...cells.values()] } };
}

/** The mending, where nothing of the slot fails after it. */
function sureMend(site: Site, place: LookPlace, failing: readonly Failing[]): SingleEdit | null {
  const edit = mend(site, place, failing);
  const ran = edit && runEdit(site, edit);
  return ran?.ok && failingIn(ran.value.site, place).length === 0 ? edit : null;
}

/** What the mending does; a colour that follows nothing is said to be one, as it may fail again once others change. */
const fixLabel = ({ args }: SingleEdit): string =>
  'cells' in args && args.cells.some(({ value }) => isFixed(value))
    ? 'Take fixed colours that pass'
    : 'Take colours that pass';

const isFixed = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && 'literal' in value;

/** The level of a key in words, where it is not the first; a single link by its label. */
function keyName(site: Site, key: LevelKey): string {
  const item = itemOf(key);
  if (item !== null) return ` of “${itemsOf(site).get(item)?.item.label ?? ''}”`;
  return key === 'all' || key === '1' ? '' : `, level ${key}`;
}

const ratioText = (ratio: number) => `${Math.floor(ratio * 10) / 10} : 1`;

/** Text and icons that do not stand out enough from what is really behind them (WCAG 2.2, 1.4.3 and 1.4.11). */
export const textContrast: LookCheck = {
  of: 'look',
  id: 'text-contrast',
  label: 'Text that is hard to read',
  why: 'Who sees less well, or stands in the sun, cannot read it.',
  check: (place, { site }) => {
    const failing = failingIn(site, place);
    const worst = failing.toSorted((a, b) => a.ratio / a.required - b.ratio / b.required)[0];
    if (!worst) return null;
    const ref = { owner: place.owner.id, slot: place.slot };
    const name = slotName(site, ref);
    const where = new Set(failing.map(({ key, state }) => `${key} ${state}`)).size - 1;
    const level = keyName(site, worst.key);
    const others = where > 0 ? `, and fails in ${where} other ${where === 1 ? 'state' : 'states'}` : '';
    const edit = sureMend(site, place, failing);
    return {
      outcome: worst.certain ? 'fail' : 'unknown',
      reason: `${name}${level}: ${ratioText(worst.ratio)} at ${worst.state}, where ${worst.required} : 1 is needed${others}.`,
      evidence: `${place.owner.piece.name} › ${name}`,
      at: {
        piece: place.owner.piece.id,
        cell: {
          ...ref,
          property: 'colour',
          level: worst.key,
          state: worst.state,
          band: 'all',
        },
        scene: worst.scene.id,
        ...(worst.situation.band === 0 ? {} : { width: narrowestIn(site, worst.situation.band) }),
      },
      ...(edit ? { fix: { label: fixLabel(edit), edit } } : {}),
    };
  },
};
