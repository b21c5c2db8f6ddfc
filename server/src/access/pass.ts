import { createHmac, timingSafeEqual } from 'node:crypto';

/** What addresses with a pass begin with. */
export const PASS = '/pass';

/** Milliseconds a pass holds at least, and the step its end is rounded to, so that addresses stay the same for a while. */
const HOLDS = 24 * 60 * 60 * 1000;

const sign = (until: number, secret: string) =>
  createHmac('sha256', secret).update(`stage:${until}`).digest('base64url');

/**
 * The beginning of addresses by which the stage gets scripts and fonts, and by which pages are tried. Their frames have an
 * origin of their own and send no cookies: what they may read is told by the address, for a day or two.
 */
export function passPath(secret: string, now: Date): string {
  const until = (Math.floor(now.getTime() / HOLDS) + 2) * HOLDS;
  return `${PASS}/${until}.${sign(until, secret)}`;
}

/** A path as it may be written down: a pass lets in whoever reads it. */
export const withoutPass = (path: string): string =>
  path.startsWith(`${PASS}/`) ? path.replace(/^\/pass\/[^/]*/, `${PASS}/…`) : path;

/** Whether a path is one of a font, script or tried page and carries a pass that holds. */
export function holdsPass(path: string, secret: string, now: Date): boolean {
  const [, until = '', signature = ''] =
    /^\/pass\/(\d{1,15})\.([\w-]{43})\/(?:assets|fonts|tried)\//.exec(path) ?? [];
  if (signature === '' || Number(until) < now.getTime()) return false;
  const expected = Buffer.from(sign(Number(until), secret));
  return timingSafeEqual(expected, Buffer.from(signature));
}
