import { levelCount, slotsOf, hasSlot, type Level, type MenuPart, type Owner, type Site } from '@hamaca/core';

/** A slot of an owner as a line of the outline. */
export interface SlotLine {
  readonly owner: string;
  readonly slot: string;
  readonly level: Level | null;
  readonly label: string;
}

/** How many levels of menu an owner has: as many as its placement shows. */
const levelsOf = (owner: Owner) => (owner.kind === 'menu' ? levelCount((owner.thing as MenuPart).levels) : 3);

/** The slots of an owner as lines; a link has one for each level the menu shows. */
export function slotLines(site: Site, owner: Owner): SlotLine[] {
  const levels = levelsOf(owner);
  return Object.entries(slotsOf(owner.kind))
    .filter(([slot]) => hasSlot(site, owner, slot))
    .flatMap(([slot, kind]): SlotLine[] => {
      const line = { owner: owner.id, slot };
      const shown = kind.levels.filter((level) => level <= levels);
      if (kind.levels.length < 2)
        return shown.length < kind.levels.length
          ? []
          : [{ ...line, level: shown[0] ?? null, label: kind.label }];
      return shown.map((level) => ({ ...line, level, label: `${kind.label}, level ${level}` }));
    });
}
