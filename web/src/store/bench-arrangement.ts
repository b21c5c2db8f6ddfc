import { PROPERTY_GROUPS, type PropertyGroup } from '@hamaca/core';

/** How the bench is turned. */
export type Turn = 'auto' | 'wide' | 'tall';

/** How the designer has arranged the bench; it is found so again on this machine. */
export interface Arrangement {
  readonly arrangement: Turn;
  /** Height of the stage in the wide arrangement, in px. */
  readonly stageHeight: number;
  /** Whether what the selected thing is, above how it looks, is folded away. */
  readonly settingsFolded: boolean;
  /** Groups of the look sheet that are folded to their heading. */
  readonly closedGroups: readonly PropertyGroup[];
  /** Ids of pieces, sections and parts whose lines in the outline are folded. */
  readonly foldedBranches: readonly string[];
}

const KEY = 'hamaca.bench';

/** Lowest and highest stage, in px. */
export const STAGE_HEIGHTS = { least: 120, most: 640 } as const;

export const clampStageHeight = (height: number): number =>
  Math.round(Math.min(STAGE_HEIGHTS.most, Math.max(STAGE_HEIGHTS.least, height)));

/** Height of the stage until it is moved: a good third of the window, but high enough for an open submenu. */
const USUAL = { share: 0.34, least: 216, most: 360 } as const;

const windowHeight = (): number => (typeof innerHeight === 'number' ? innerHeight : 800);

/** In windows lower than this the settings are folded until they are asked for, in px. */
const LOW = 760;

function usualHeight(): number {
  const room = windowHeight();
  return Math.round(Math.min(USUAL.most, Math.max(USUAL.least, room * USUAL.share)));
}

/** Most lines whose folding is kept, so that the browser's storage never fills up. */
const MOST_KEPT = 500;

const strings = (value: unknown): string[] =>
  Array.isArray(value) ? value.filter((entry): entry is string => typeof entry === 'string') : [];

/** What the browser keeps, read as far as it can be used. */
export function readArrangement(text: string | null): Arrangement {
  const usual: Arrangement = {
    arrangement: 'auto',
    stageHeight: usualHeight(),
    settingsFolded: windowHeight() < LOW,
    closedGroups: [],
    foldedBranches: [],
  };
  if (text === null) return usual;
  let kept: unknown;
  try {
    kept = JSON.parse(text);
  } catch {
    // Not ours, or cut off: the bench stands as it does at first.
    return usual;
  }
  if (typeof kept !== 'object' || kept === null) return usual;
  const { arrangement, stageHeight, settingsFolded, closedGroups, foldedBranches } = kept as Record<
    string,
    unknown
  >;
  const groups = strings(closedGroups);
  return {
    arrangement: arrangement === 'wide' || arrangement === 'tall' ? arrangement : 'auto',
    stageHeight: Number.isFinite(stageHeight) ? clampStageHeight(stageHeight as number) : usual.stageHeight,
    settingsFolded: typeof settingsFolded === 'boolean' ? settingsFolded : usual.settingsFolded,
    closedGroups: PROPERTY_GROUPS.filter((group) => groups.includes(group)),
    foldedBranches: strings(foldedBranches).slice(-MOST_KEPT),
  };
}

export function keptArrangement(): Arrangement {
  try {
    return readArrangement(localStorage.getItem(KEY));
  } catch {
    // No storage is given here, or none is allowed.
    return readArrangement(null);
  }
}

const FIELDS = ['arrangement', 'stageHeight', 'settingsFolded', 'closedGroups', 'foldedBranches'] as const;

/** Keeps an arrangement where it differs from the one before. */
export function keepArrangement(now: Arrangement, before: Arrangement): void {
  if (FIELDS.every((field) => now[field] === before[field])) return;
  const { arrangement, stageHeight, settingsFolded, closedGroups, foldedBranches } = now;
  try {
    localStorage.setItem(
      KEY,
      JSON.stringify({
        arrangement,
        stageHeight,
        settingsFolded,
        closedGroups,
        foldedBranches: foldedBranches.slice(-MOST_KEPT),
      }),
    );
  } catch {
    // Without room or leave to keep it, it holds until the page is closed.
  }
}
