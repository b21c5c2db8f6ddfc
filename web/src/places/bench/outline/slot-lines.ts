import {
  askedAt,
  hasSlot,
  itemKey,
  levelsOf,
  singleItems,
  slotsOf,
  type Level,
  type Owner,
  type Site,
} from '@hamaca/core';

/** A slot of an owner as a line of the outline. */
export interface SlotLine {
  readonly owner: string;
  readonly slot: string;
  readonly level: Level | null;
  /** The one link it stands for, where that has a look of its own. */
  readonly item?: string;
  readonly label: string;
}

/** The slots of an owner as lines; a link has one for each level the menu shows. */
export function slotLines(site: Site, owner: Owner): SlotLine[] {
  return Object.entries(slotsOf(owner.kind))
    .filter(([slot]) => hasSlot(site, owner, slot))
    .flatMap(([slot, kind]): SlotLine[] => {
      const line = { owner: owner.id, slot };
      const single = singleItems(site, line).map(({ id, label }): SlotLine => ({
        ...line,
        ...askedAt(site, line, itemKey(id)),
        label: `“${label}” alone`,
      }));
      if (kind.levels.length === 0) return [{ ...line, level: null, label: kind.label }, ...single];
      const shown = levelsOf(site, owner, slot);
      const isBare =
        kind.levels.length < 2 || (shown.length === 1 && (kind.holdsLevel ?? kind.sign) === true);
      return shown.flatMap((level) => [
        { ...line, level, label: isBare ? kind.label : `${kind.label}, level ${level}` },
        ...single.filter((own) => own.level === level),
      ]);
    });
}
