import sharp from 'sharp';
import { ApiError } from '../platform/errors.js';

/** Longest side of a stored picture, px: enough to tell a tone by, and to print small. */
const SIDE = 1600;
/** Before it is made anew. */
export const MOST_BYTES = 12 * 1024 * 1024;
/** A picture this large in pixels is no photograph of a tray. */
const MOST_PIXELS = 60_000_000;

/** A picture decoded and drawn anew as JPEG: upright, no larger than it needs to be, without place, camera or anything else in the file. */
export async function madeAnew(bytes: Buffer): Promise<Buffer> {
  try {
    return await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: SIDE, height: SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer();
  } catch {
    const message = 'must be a picture (JPEG, PNG or WebP) of at most 60 million pixels';
    throw new ApiError('invalid', `The photo ${message}.`, [{ path: 'photo', code: 'input', message }]);
  }
}
