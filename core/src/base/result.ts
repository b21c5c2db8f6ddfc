/** Something that went wrong with data, told as a value: where, what was found, what is allowed. */
export interface Problem {
  /** A stable, kebab-case name of the kind of problem. */
  readonly code: string;
  /** JSON Pointer (RFC 6901) into the document, or a line such as `line 3`; empty for the whole. */
  readonly path: string;
  readonly message: string;
  readonly found?: string;
  readonly allowed?: string;
}

export type Result<Value, Failure = Problem[]> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly error: Failure };

export function succeed<Value>(value: Value): Result<Value, never> {
  return { ok: true, value };
}

export function fail<Failure>(error: Failure): Result<never, Failure> {
  return { ok: false, error };
}

/** One problem as a failed result: the usual way an operation refuses. */
export function refuse(code: string, path: string, message: string): Result<never> {
  return fail([{ code, path, message }]);
}

/** A short, printable picture of any value for messages: at most 60 characters. */
export function describeValue(value: unknown): string {
  if (value === undefined) return 'nothing';
  // What JSON cannot hold has no text there: a function, say.
  const json = typeof value === 'string' ? `"${value}"` : (JSON.stringify(value) as string | undefined);
  const text = json ?? `a ${typeof value}`;
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}
