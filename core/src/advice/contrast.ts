import { runEdit, type SingleEdit } from '../edit/operations.ts';
import type { CellValue } from '../edit/operations/look.ts';
import { pieceKind } from '../kinds/catalogue.ts';
import { isOwnerShownIn } from '../kinds/folds.ts';
import { askedAt, levelKeysOf, type Owner } from '../kinds/placed.ts';
import type { Piece, Site } from '../kinds/site.ts';
import { itemsWithRole } from '../kinds/wearers.ts';
import type { Scene } from '../model/site-content.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemKey, itemKeysIn, type LevelKey, type State } from '../model/states.ts';
import { contrastOf, passingValue, type ContrastReport, type Situation } from '../resolve/backdrop.ts';
import { effectiveLook, resolve } from '../resolve/resolve.ts';

/** One slot of one owner. */
export interface LookPlace {
  readonly owner: Owner;
  readonly slot: string;
  readonly kind: SlotKind;
}

/** A situation in which a text cannot be read well enough. */
export interface Failing extends ContrastReport {
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

/** Every situation in which the text or drawing of a slot cannot be read well enough where it stands. */
export function failingIn(site: Site, place: LookPlace): Failing[] {
  const { owner, slot, kind } = place;
  const ref = { owner: owner.id, slot };
  const levels = levelKeysOf(site, owner, slot);
  // What stands in a call to action or a heading has another ground than in a link.
  const single = new Set([
    ...itemKeysIn(effectiveLook(site, ref)),
    ...itemsWithRole(site, ref).map(({ id }) => itemKey(id)),
  ]);
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
export function sureMend(site: Site, place: LookPlace, failing: readonly Failing[]): SingleEdit | null {
  const edit = mend(site, place, failing);
  const ran = edit && runEdit(site, edit);
  return ran?.ok && failingIn(ran.value.site, place).length === 0 ? edit : null;
}

/** Colours that pass in a slot where some fail now; null where none fails, or none is sure to pass. */
export function mendedContrast(site: Site, place: LookPlace): SingleEdit | null {
  const failing = failingIn(site, place);
  return failing.length === 0 ? null : sureMend(site, place, failing);
}
