/*
 * The script's own small world. Each behaviour is one function that is written out by itself, so it holds everything it
 * needs; what all need comes in as tools.
 */

/** What a behaviour is handed besides its root. */
export interface Tools {
  /** A name of ours with the output's prefix, as an attribute's. */
  readonly at: (word: string) => string;
  /** Listens until the script is stopped. */
  readonly on: (
    target: EventTarget,
    type: string,
    // eslint-disable-next-line @typescript-eslint/no-explicit-any -- each listener knows its kind of event
    listener: (event: any) => unknown,
  ) => void;
  /** Keeps what takes back a change of the page once the script is stopped. */
  readonly undo: (step: () => unknown) => void;
}

/** Starts a behaviour on one of our roots. */
export type Start = (root: Element, tools: Tools) => void;

/** One thing the output's script does. */
export interface Behaviour<Id extends string> {
  readonly id: Id;
  /** What it does, in a few words. */
  readonly does: string;
  /** Attributes it owns, without the prefix. */
  readonly attributes: readonly string[];
  /** Its start as minified source text of one function. */
  readonly script: string;
}
