/** A MariaDB of our own on loopback. */
export interface OwnDatabase {
  readonly url: string;
  readonly pid: () => number;
  readonly stop: () => Promise<void>;
}
export interface DatabaseOptions {
  /** Told why, where the database keeps dying and is not started again. */
  readonly gone?: (reason: string) => void;
  readonly signal?: AbortSignal;
  /** How often within a minute it is started again. */
  readonly mostDeaths?: number;
}
export function startDatabase(folder: string, options?: DatabaseOptions): Promise<OwnDatabase>;
