/** A MariaDB of our own on loopback. */
export interface OwnDatabase {
  readonly url: string;
  readonly pid: () => number;
  readonly stop: () => Promise<void>;
}
export function startDatabase(folder: string): Promise<OwnDatabase>;
