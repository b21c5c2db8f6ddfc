import { memoise } from '../../../base/memo.ts';
import type { Opening } from '../../properties/placement.ts';
import { itemKey } from '../../../model/states.ts';
import type { MenuPart } from './shape.ts';

/** The levels whose links stand in boxes. */
export type BoxLevel = 2 | 3;

/** How the submenus of a level open where the look says nothing. */
export const USUAL_OPENING: Readonly<Record<BoxLevel, Opening>> = { 2: 'below', 3: 'always open' };

/** Whether what opens so is opened by anybody. */
const isOpened = (opening: Opening) => opening !== 'always open' && opening !== 'not at all';

/** Whether the box of what opens so lies over what is beneath it. */
export const floats = (opening: Opening): boolean => isOpened(opening) && opening !== 'in place';

type Bands = Readonly<Record<string, { readonly opens?: unknown }>>;

/** The ways that some bands say, and the usual one where no value reaches the widest. */
const saidIn = (bands: Bands, usual: readonly Opening[]): Opening[] => [
  ...(bands['all']?.opens === undefined ? usual : []),
  ...Object.values(bands).flatMap(({ opens }) => (opens === undefined ? [] : [opens as Opening])),
];

/** The ways in which the submenus of both levels open, whatever the band. */
const openingsByLevel = memoise(({ look }: MenuPart): Readonly<Record<BoxLevel, readonly Opening[]>> => {
  const own = look['submenu'];
  const ofLevel = (level: BoxLevel) =>
    saidIn({ ...own?.all?.rest, ...own?.[`${level}`]?.rest }, [USUAL_OPENING[level]]);
  return { 2: ofLevel(2), 3: ofLevel(3) };
});

/** Every way in which the submenus of a level open, whatever the band; or that of one link. */
function openingsOf(part: MenuPart, level: BoxLevel, item?: string): readonly Opening[] {
  const ofLevel = openingsByLevel(part)[level];
  const own = item === undefined ? undefined : part.look['submenu']?.[itemKey(item)]?.rest;
  return own === undefined ? ofLevel : saidIn(own, ofLevel);
}

/** Whether the submenus of a level, or of one above it, ever lie over what is beneath them where the menu is in a row. */
export const everFloats = (part: MenuPart, level: BoxLevel): boolean =>
  openingsOf(part, 2).some(floats) || (level === 3 && openingsOf(part, 3).some(floats));

/** Whether a link's submenu has a button that opens it, in any band. */
export const isDisclosed = (part: MenuPart, level: BoxLevel, item: string): boolean =>
  openingsOf(part, level, item).some(isOpened);

/** Whether a link's submenu is opened by a button in some bands, and stands open or not at all in others. */
export const isOpenedInSome = (part: MenuPart, level: BoxLevel, item: string): boolean =>
  isDisclosed(part, level, item) && !openingsOf(part, level, item).every(isOpened);
