import { LIMITS } from './limits.ts';
import { refuseUrl } from './url.ts';

/** A picture: an address, or a small raster picture as data. */
const IMAGE_DATA = /^data:image\/(?:png|jpeg|webp|gif|avif);base64,[A-Za-z0-9+/]+=*$/;

/** Why a value is no picture that may be shown, or null. */
export function refusePicture(value: unknown): string | null {
  const allowed = `a picture’s address, or a PNG, JPEG, WebP, AVIF or GIF as data of at most ${LIMITS.image} characters`;
  if (typeof value !== 'string' || value === '') return allowed;
  if (value.startsWith('data:') && value.length <= LIMITS.image && IMAGE_DATA.test(value)) return null;
  return refuseUrl(value) === null ? null : allowed;
}
