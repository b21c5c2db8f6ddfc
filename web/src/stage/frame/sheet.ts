import type { StatementChange } from './protocol.ts';

/** Statements of one style element: what a browser reads anew where one of them changes. */
const IN_ONE = 40;

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

/** A style element and what stands in it. */
interface Piece {
  readonly element: HTMLStyleElement;
  readonly statements: string[];
  /** Whether the element is to be written anew. */
  isSpoilt: boolean;
}

function createPiece(statements: readonly string[]): Piece {
  const element = document.createElement('style');
  element.textContent = statements.join('');
  return { element, statements: [...statements], isSpoilt: false };
}

/** Puts statements in and takes others out, one by one. A rule that the browser cannot read stands in no list of rules. */
function exchange(piece: Piece, from: number, gone: number, come: readonly string[]): void {
  const { element, statements } = piece;
  const { sheet } = element;
  if (!sheet || sheet.cssRules.length !== statements.length) piece.isSpoilt = true;
  if (sheet && !piece.isSpoilt)
    try {
      for (let index = from + gone - 1; index >= from; index--) sheet.deleteRule(index);
      come.forEach((statement, index) => sheet.insertRule(statement, from + index));
    } catch {
      // Written as a whole the element leaves out what cannot be read by itself.
      piece.isSpoilt = true;
    }
  statements.splice(from, gone, ...come);
}

/**
 * A stylesheet in a row of style elements with few statements each. Where little changes only those statements are
 * exchanged, which spares the browser all others; together its lists of rules are those of the stylesheet in one.
 */
export function createSheet(head: Element) {
  let pieces: readonly Piece[] = [];
  let shown: readonly string[] = [];

  const setAnew = (statements: readonly string[]) => {
    for (const { element } of pieces) element.remove();
    pieces = Array.from({ length: Math.ceil(statements.length / IN_ONE) }, (_, index) =>
      createPiece(statements.slice(index * IN_ONE, (index + 1) * IN_ONE)),
    );
    head.append(...pieces.map(({ element }) => element));
  };

  const change = ({ from, gone, come }: StatementChange) => {
    let start = 0;
    let left = gone;
    let isPut = come.length === 0;
    for (const [index, piece] of pieces.entries()) {
      const { length } = piece.statements;
      const first = Math.max(0, from - start);
      const isLast = index === pieces.length - 1;
      if (first < length || isLast) {
        const taken = Math.min(left, length - first);
        exchange(piece, first, taken, isPut ? [] : come);
        left -= taken;
        isPut = true;
        if (left === 0) return;
      }
      start += length;
    }
  };

  return {
    /** The statements that are shown. */
    statements: (): readonly string[] => shown,
    /** Shows what comes of the shown statements by some changes. */
    show: (changes: readonly StatementChange[]): void => {
      shown = changeStatements(shown, changes);
      const count = changes.reduce((sum, { gone, come }) => sum + gone + come.length, 0);
      if (pieces.length === 0 || count > MOST_CHANGED) {
        setAnew(shown);
        return;
      }
      for (const one of changes) change(one);
      for (const piece of pieces) {
        if (piece.isSpoilt) piece.element.textContent = piece.statements.join('');
        piece.isSpoilt = false;
      }
    },
  };
}
