import type { Access } from './access/access.ts';
import type { Logger } from 'pino';
import type { Compute } from './compute/tasks.ts';
import type { FetchWorld } from '@hamaca/fetching';
import type { Database } from './store/database.ts';

/** The world as the server is given it. */
export interface Deps {
  readonly database: Database;
  readonly log: Logger;
  /** A new random id. */
  readonly newId: () => string;
  readonly now: () => Date;
  readonly schemaVersion: number;
  /** Does what may take long. */
  readonly compute: Compute;
  /** A bundled font file or licence by name. */
  readonly readFont: (name: string) => Promise<Uint8Array>;
  /** Which hosts may be fetched from besides public ones. */
  readonly fetching: FetchWorld;
  /** Origins it is reached by besides addresses and `localhost`, such as `https://hamaca.example`. */
  readonly origins: ReadonlySet<string>;
  /** Who may come in; null lets everybody in who reaches it. */
  readonly access: Access | null;
  /** Folder of the built interface; null serves the HTTP interface alone. */
  readonly webRoot: string | null;
}
