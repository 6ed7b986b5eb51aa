import type { Piece } from '../src/portioning/index.ts'

/** A loin known by four girths, fuller in the middle than at its ends. */
export const LOIN: Piece = {
  weight: 1480,
  length: 420,
  profile: [
    { at: 0, girth: 150 },
    { at: 120, girth: 250 },
    { at: 300, girth: 260 },
    { at: 420, girth: 120 },
  ],
}
