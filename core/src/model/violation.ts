/** Something not allowed: the way to it from the value that was looked at, and what may stand there. */
export interface Violation {
  readonly path: readonly string[];
  readonly allowed: string;
}
