import { hasSlot, levelsOf, slotsOf, type Level, type Owner, type Site } from '@hamaca/core';

/** A slot of an owner as a line of the outline. */
export interface SlotLine {
  readonly owner: string;
  readonly slot: string;
  readonly level: Level | null;
  readonly label: string;
}

/** The slots of an owner as lines; a link has one for each level the menu shows. */
export function slotLines(site: Site, owner: Owner): SlotLine[] {
  return Object.entries(slotsOf(owner.kind))
    .filter(([slot]) => hasSlot(site, owner, slot))
    .flatMap(([slot, kind]): SlotLine[] => {
      const line = { owner: owner.id, slot };
      if (kind.levels.length === 0) return [{ ...line, level: null, label: kind.label }];
      const shown = levelsOf(site, owner, slot);
      if (kind.levels.length < 2 || (shown.length === 1 && (kind.holdsLevel ?? kind.sign)))
        return shown.map((level) => ({ ...line, level, label: kind.label }));
      return shown.map((level) => ({ ...line, level, label: `${kind.label}, level ${level}` }));
    });
}
