import type { FetchWorld } from './fetch-page.ts';

/** Hosts as a list in a text: `intranet.example 10.0.0.5:8080`, with spaces or commas between. */
export const readHosts = (text: string): readonly string[] =>
  text.split(/[\s,]+/).filter((entry) => entry !== '');

/** What may be fetched where the environment alone says it: `HAMACA_FETCH_HOSTS` names private hosts that may be. */
export const worldFrom = (environment: Readonly<Record<string, string | undefined>>): FetchWorld => ({
  standIns: new Map(),
  allowed: new Set(readHosts(environment['HAMACA_FETCH_HOSTS'] ?? '')),
});
