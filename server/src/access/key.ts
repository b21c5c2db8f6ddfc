import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import type { StoredAccess } from '../store/access.ts';

const KEY_BYTES = 24;
const SECRET_BYTES = 32;

const hash = (key: string) => createHash('sha256').update(key).digest();

/** A new key with what is kept of it. The key itself is kept nowhere: it is random, so that a plain hash hides it. */
export function makeKey(): { readonly key: string; readonly access: StoredAccess } {
  const key = randomBytes(KEY_BYTES).toString('base64url');
  return {
    key,
    access: { keyHash: hash(key).toString('hex'), secret: randomBytes(SECRET_BYTES).toString('hex') },
  };
}

/** Whether a key is the one that was made; takes as long whatever is wrong with it. */
export function isKey(given: string, { keyHash }: StoredAccess): boolean {
  return timingSafeEqual(hash(given), Buffer.from(keyHash, 'hex'));
}
