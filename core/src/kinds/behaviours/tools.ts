/*
 * The script's own small world. Each behaviour is one function that is written out by itself, so it holds everything it
 * needs; what all need comes in as tools.
 */

declare global {
  /** Whether the script can be stopped: on the stage it can, a page that has it keeps it. */
  const STOPPABLE: boolean;
}

/** A name of ours with the output's prefix, as an attribute's. */
type At = (word: string) => string;

/** Listens until the script is stopped. */
type On = (
  target: EventTarget,
  type: string,
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- each listener knows its kind of event
  listener: (event: any) => unknown,
) => void;

/** Keeps what takes back a change of the page once the script is stopped. */
type Undo = (step: () => unknown) => void;

/**
 * Starts a behaviour on one of our roots. What is looked for in the page is looked for from its `html` element: a form of the
 * page's own may be named as anything a document has. What cannot be stopped is handed no `undo`.
 */
export type Start<Root extends Element = Element> = (
  root: Root,
  at: At,
  on: On,
  html: HTMLElement,
  undo?: Undo,
) => void;

/** One thing the output's script does. */
export interface Behaviour<Id extends string> {
  readonly id: Id;
  /** What it does, in a few words. */
  readonly does: string;
  /** Attributes it owns, without the prefix. */
  readonly attributes: readonly string[];
  /** Its start as minified source text of one function: as pages get it, and as it can be stopped. */
  readonly script: string;
  readonly stoppable: string;
}
