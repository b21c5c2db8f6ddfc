import type { StatementChange } from './protocol.ts';

/** More changed statements than this are not put in one by one. */
const MOST_CHANGED = 48;

/** A list of statements with some changes, which name the last place first. */
export function changeStatements(
  before: readonly string[],
  changes: readonly StatementChange[],
): readonly string[] {
  const statements = [...before];
  for (const { from, gone, come } of changes) statements.splice(from, gone, ...come);
  return statements;
}

/**
 * Shows a stylesheet that comes of another by some changes. Where these are few only those statements are exchanged, which
 * spares the browser the others; its list of rules is the same as that of a fresh stylesheet.
 */
export function exchangeRules(
  style: HTMLStyleElement,
  before: readonly string[],
  changes: readonly StatementChange[],
): void {
  const { sheet } = style;
  const count = changes.reduce((sum, { gone, come }) => sum + gone + come.length, 0);
  const setAnew = () => {
    style.textContent = changeStatements(before, changes).join('');
  };
  // A rule that the browser could not read is not in its list: places would be wrong.
  if (!sheet || sheet.cssRules.length !== before.length || count > MOST_CHANGED) {
    setAnew();
    return;
  }
  try {
    for (const { from, gone, come } of changes) {
      for (let index = from + gone - 1; index >= from; index--) sheet.deleteRule(index);
      come.forEach((statement, index) => sheet.insertRule(statement, from + index));
    }
  } catch {
    // A rule that cannot be read stands alone: the whole stylesheet leaves it out by itself.
    setAnew();
  }
}
