/** The rules of a printed stylesheet, those under conditions as one: each ends with a brace at the start of a line. */
const rulesOf = (stylesheet: string): readonly string[] => stylesheet.split(/(?<=^\}\n)/m);

/** More changed rules than this are not put in one by one. */
const MOST_CHANGED = 24;

/**
 * Shows a stylesheet in place of another. Where few rules differ only those are exchanged, which spares the browser the
 * others; the list of rules is the same as that of a fresh stylesheet.
 */
export function exchangeRules(style: HTMLStyleElement, before: string, now: string): void {
  const old = rulesOf(before);
  const next = rulesOf(now);
  const shorter = Math.min(old.length, next.length);
  let first = 0;
  while (first < shorter && old[first] === next[first]) first++;
  let kept = 0;
  while (kept < shorter - first && old[old.length - 1 - kept] === next[next.length - 1 - kept]) kept++;
  const { sheet } = style;
  const isChanged = (index: number) => old.length !== next.length || old[index] !== next[index];
  const gone = old.length - kept - first;
  const come = next.length - kept - first;
  // A rule that the browser could not read is not in its list: places would be wrong.
  if (!sheet || sheet.cssRules.length !== old.length || gone + come > MOST_CHANGED * 2) {
    style.textContent = now;
    return;
  }
  try {
    for (let index = first + gone - 1; index >= first; index--) if (isChanged(index)) sheet.deleteRule(index);
    for (let index = first; index < first + come; index++)
      if (isChanged(index)) sheet.insertRule(next[index] ?? '', index);
  } catch {
    // A rule that cannot be read stands alone: the whole stylesheet leaves it out by itself.
    style.textContent = now;
  }
}
