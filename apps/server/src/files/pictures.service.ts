import { Injectable } from '@nestjs/common';
import pLimit from 'p-limit';
import sharp from 'sharp';
import { invalid } from '../platform/http/errors.js';

/** Longest side of a stored picture, px: enough to tell a tone by, and to print small. */
const SIDE = 1600;
/** Before it is made anew. */
export const MOST_BYTES = 12 * 1024 * 1024;
/** A picture this large in pixels is no photograph of a tray. */
const MOST_PIXELS = 60_000_000;
/** By what is in the file, whatever it is called: a drawing can be a program that never ends. */
const FORMATS: readonly (string | undefined)[] = ['jpeg', 'png', 'webp'];
const LONGEST_S = 20;
/** So that pictures leave a thread for everything else. */
const AT_ONCE = 2;

@Injectable()
export class PicturesService {
  private readonly turn = pLimit(AT_ONCE);

  /** A picture decoded and drawn anew as JPEG: upright, no larger than it needs to be, without place, camera or anything else in the file. */
  anew(bytes: Buffer): Promise<Buffer> {
    return this.turn(async () => {
      try {
        const options = { limitInputPixels: MOST_PIXELS, failOn: 'error' } as const;
        if (!looksLikePhoto(bytes) || !FORMATS.includes((await sharp(bytes, options).metadata()).format)) throw new Error('not a photo');
        return await sharp(bytes, options)
          .timeout({ seconds: LONGEST_S })
          .rotate()
          .resize({ width: SIDE, height: SIDE, fit: 'inside', withoutEnlargement: true })
          .flatten({ background: '#ffffff' })
          .jpeg({ quality: 82 })
          .toBuffer();
      } catch {
        throw invalid('photo', 'must be a picture (JPEG, PNG or WebP) of at most 60 million pixels');
      }
    });
  }
}

/** By its first bytes, before any decoder is given the rest. */
function looksLikePhoto(bytes: Buffer): boolean {
  const starts = (text: string, at = 0) => bytes.subarray(at, at + text.length).toString('latin1') === text;
  return starts('\xff\xd8\xff') || starts('\x89PNG') || (starts('RIFF') && starts('WEBP', 8));
}
