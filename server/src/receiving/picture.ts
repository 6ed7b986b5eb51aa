import sharp from 'sharp'
import { Refusal } from '../http/index.ts'

/** Longest side of a kept picture, pixels: enough to see a torn skin. */
const LONGEST_SIDE = 1600
const QUALITY = 80
/** A picture of more pixels is not taken apart: a small file may claim to be as large as a wall. */
const MAX_PIXELS = 40_000_000

/**
 * A picture taken apart and written anew as JPEG: what is kept is what can be seen, without the place where it was
 * taken, and without anything that only claims to be a picture. Refuses the field where it is none.
 */
export async function writtenAnew(file: Buffer): Promise<Buffer> {
  try {
    return await sharp(file, { limitInputPixels: MAX_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: QUALITY })
      .toBuffer()
  } catch {
    const message = 'is no picture that can be read'
    throw new Refusal('invalid-input', `picture ${message}`, { issues: [{ path: 'picture', message }] })
  }
}
