import type { Opening } from '../../properties/placement.ts';
import type { MenuPart } from './shape.ts';

/** How the submenus of a level open where the look says nothing. */
export const USUAL_OPENING: Readonly<Record<2 | 3, Opening>> = { 2: 'below', 3: 'always open' };

/** Whether what opens so is opened by anybody. */
const isOpened = (opening: Opening) => opening !== 'always open' && opening !== 'not at all';

/** Whether the box of what opens so lies over what is beneath it. */
export const floats = (opening: Opening): boolean => isOpened(opening) && opening !== 'in place';

/** Every way in which the submenus of a level open, whatever the band. */
function openingsOf({ look }: MenuPart, level: 2 | 3): Opening[] {
  const bands = { ...look['submenu']?.all?.rest, ...look['submenu']?.[`${level}`]?.rest };
  const said = Object.values(bands).flatMap(({ opens }) => (opens === undefined ? [] : [opens as Opening]));
  return bands['all']?.opens === undefined ? [USUAL_OPENING[level], ...said] : said;
}

/** Whether the submenus of a level have buttons that open them, in any band. */
export const isDisclosed = (part: MenuPart, level: 2 | 3): boolean => openingsOf(part, level).some(isOpened);
