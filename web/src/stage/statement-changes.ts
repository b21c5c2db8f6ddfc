import type { StatementChange } from './frame/protocol.ts';

/** What differs in lists of the same length, neighbours together, the last place first. */
function changedPlaces(before: readonly string[], now: readonly string[]): StatementChange[] {
  const changes: StatementChange[] = [];
  let end = now.length;
  while (end > 0) {
    while (end > 0 && before[end - 1] === now[end - 1]) end--;
    let from = end;
    while (from > 0 && before[from - 1] !== now[from - 1]) from--;
    if (from < end) changes.push({ from, gone: end - from, come: now.slice(from, end) });
    end = from;
  }
  return changes;
}

/** How the statements of one stylesheet become those of another, the last place first; nothing where they are the same. */
export function statementChanges(
  before: readonly string[],
  now: readonly string[],
): readonly StatementChange[] {
  if (before === now) return [];
  if (before.length === now.length) return changedPlaces(before, now);
  const shorter = Math.min(before.length, now.length);
  let from = 0;
  while (from < shorter && before[from] === now[from]) from++;
  let kept = 0;
  while (kept < shorter - from && before[before.length - 1 - kept] === now[now.length - 1 - kept]) kept++;
  return [{ from, gone: before.length - kept - from, come: now.slice(from, now.length - kept) }];
}
