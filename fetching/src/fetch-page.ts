import { lookup as lookupName } from 'node:dns';
import { request as requestHttp, type IncomingMessage } from 'node:http';
import { request as requestHttps } from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import { isPrivateAddress } from './private-addresses.ts';

/** Bounds on one fetch. */
export const FETCH_LIMITS = {
  redirects: 5,
  bytes: 32 * 1024 * 1024,
  milliseconds: 15_000,
  address: 2048,
} as const;

/** Why an address could not be fetched, in words that continue “It could not be fetched: …”. */
export class FetchRefused extends Error {}

export interface FetchWorld {
  /** Hosts that stand for others, such as the demo's website on loopback: `marisma.example` to `http://127.0.0.1:4311`. */
  readonly standIns: ReadonlyMap<string, string>;
  /** Hosts and addresses that may be fetched although they are private, as `host` or `host:port`. */
  readonly allowed: ReadonlySet<string>;
}

export interface FetchOptions {
  readonly method?: 'GET' | 'HEAD';
  readonly signal?: AbortSignal;
  readonly milliseconds?: number;
  /** The most that is taken of its body. */
  readonly bytes?: number;
}

export interface Fetched {
  readonly url: string;
  readonly finalUrl: string;
  readonly status: number;
  readonly contentType: string;
  readonly permanent: boolean;
  readonly bytes: Uint8Array;
}

/** Looks a host up and refuses where any of its addresses is private: the one connected to is the one judged. */
function guardedLookup(host: string): LookupFunction {
  return (name, options, done) => {
    lookupName(name, { ...options, all: true }, (error, found) => {
      const addresses = found;
      if (error) {
        done(new FetchRefused(`there is no host “${host}”`), '', 0);
        return;
      }
      const inside = addresses.find(({ address }) => isPrivateAddress(address));
      const [first] = addresses;
      if (inside || !first) {
        done(new FetchRefused(`“${host}” is a private address, which is not fetched`), '', 0);
        return;
      }
      if (options.all === true) done(null, addresses);
      else done(null, first.address, first.family);
    });
  };
}

/** The address that is really asked: stand-ins take the place of their hosts. */
function targetOf(url: URL, world: FetchWorld): { url: URL; trusted: boolean } {
  const standIn = world.standIns.get(url.hostname) ?? world.standIns.get(url.hostname.replace(/^www\./, ''));
  if (standIn !== undefined) return { url: new URL(url.pathname + url.search, standIn), trusted: true };
  return { url, trusted: world.allowed.has(url.host) || world.allowed.has(url.hostname) };
}

function readAddress(text: string): URL {
  if (text.length > FETCH_LIMITS.address)
    throw new FetchRefused(`the address is longer than ${FETCH_LIMITS.address} characters`);
  let url: URL;
  try {
    url = new URL(text);
  } catch {
    // The reason is only ever that it is none.
    throw new FetchRefused('this is no address of a page');
  }
  if (url.protocol !== 'https:' && url.protocol !== 'http:')
    throw new FetchRefused(`only https and http are fetched, not ${url.protocol}`);
  if (url.username !== '' || url.password !== '')
    throw new FetchRefused('addresses with a name or password are not fetched');
  return url;
}

function open(
  url: URL,
  world: FetchWorld,
  method: 'GET' | 'HEAD',
  signal: AbortSignal,
): Promise<IncomingMessage> {
  const { url: target, trusted } = targetOf(url, world);
  if (!trusted && isIP(target.hostname.replace(/^\[|\]$/g, '')) !== 0 && isPrivateAddress(target.hostname)) {
    throw new FetchRefused(`“${url.hostname}” is a private address, which is not fetched`);
  }
  const send = target.protocol === 'https:' ? requestHttps : requestHttp;
  return new Promise((resolve, reject) => {
    const outgoing = send(
      target,
      {
        method,
        signal,
        headers: {
          accept: 'text/html,application/xml;q=0.9,*/*;q=0.5',
          'accept-encoding': 'identity',
          'user-agent': 'Hamaca link check',
          host: url.host,
        },
        ...(trusted ? {} : { lookup: guardedLookup(url.hostname) }),
      },
      resolve,
    );
    outgoing.on('error', reject);
    // Who changes to another protocol leaves the connection open without an answer.
    outgoing.on('upgrade', (response, socket) => {
      socket.destroy();
      reject(new FetchRefused(`it answers with ${response.statusCode ?? 101}`));
    });
    outgoing.end();
  });
}

async function readBody(response: IncomingMessage, most: number): Promise<Uint8Array> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of response as AsyncIterable<Uint8Array>) {
    size += chunk.byteLength;
    if (size > most) {
      response.destroy();
      throw new FetchRefused(`it is larger than ${Math.round((most / 1024 / 1024) * 10) / 10} MB`);
    }
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

const REDIRECTS = new Set([301, 302, 303, 307, 308]);

/** What went wrong with a connection, in words. */
function wordsOf(error: unknown, timedOut: boolean): string {
  if (error instanceof FetchRefused) return error.message;
  if (timedOut) return 'it did not answer in time';
  const { code = '', message } = error as NodeJS.ErrnoException;
  const words: Readonly<Record<string, string>> = {
    ECONNREFUSED: 'nothing answers at this address',
    ECONNRESET: 'the connection was cut',
    ENOTFOUND: 'there is no such host',
    HPE_INVALID_CONSTANT: 'it does not speak HTTP',
    CERT_HAS_EXPIRED: 'its certificate has expired',
  };
  return (
    words[code] ?? (message || 'it could not be reached').replace(/\d+\.\d+\.\d+\.\d+(:\d+)?/g, 'the host')
  );
}

/**
 * Fetches an address, following a few redirects, within bounds of time and size. Private addresses are refused, also
 * where a name or a redirect leads to one. Throws `FetchRefused` with the reason.
 */
export async function fetchPage(
  address: string,
  world: FetchWorld,
  {
    method = 'GET',
    signal,
    milliseconds = FETCH_LIMITS.milliseconds,
    bytes: most = FETCH_LIMITS.bytes,
  }: FetchOptions = {},
): Promise<Fetched> {
  const timeout = AbortSignal.timeout(milliseconds);
  const bounded = signal ? AbortSignal.any([signal, timeout]) : timeout;
  try {
    let url = readAddress(address);
    let permanent = true;
    for (let hop = 0; hop <= FETCH_LIMITS.redirects; hop++) {
      const response = await open(url, world, method, bounded);
      const status = response.statusCode ?? 0;
      const location = response.headers.location;
      if (REDIRECTS.has(status) && location !== undefined) {
        response.destroy();
        permanent &&= status === 301 || status === 308;
        url = readAddress(new URL(location, url).href);
        continue;
      }
      const bytes = method === 'HEAD' ? new Uint8Array() : await readBody(response, most);
      return {
        url: address,
        finalUrl: url.href,
        status,
        contentType: response.headers['content-type'] ?? '',
        permanent,
        bytes,
      };
    }
    throw new FetchRefused(`it redirects more than ${FETCH_LIMITS.redirects} times`);
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new FetchRefused(wordsOf(error, timeout.aborted), { cause: error });
  }
}
