/** Pseudo-classes that stand for what a selector relates to; no page can write them, as they are put in here. */
export const PARENT = '-hm-parent';
export const SCOPE = '-hm-scope';
