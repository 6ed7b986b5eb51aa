import type { DrawingName } from '../schema.ts'
import { BIRD } from './bird.ts'
import type { Drawing } from './drawing.ts'
import { FLAT_FISH, ROUND_FISH } from './fish.ts'
import { BLOCK, LOIN, RACK } from './meat.ts'

export type { Drawing, DrawingView } from './drawing.ts'

const DRAWN: Readonly<Record<DrawingName, Drawing>> = {
  bird: BIRD,
  'round-fish': ROUND_FISH,
  'flat-fish': FLAT_FISH,
  loin: LOIN,
  block: BLOCK,
  rack: RACK,
}

/** Own line art of an animal or a piece of it. */
export const drawingOf = (name: DrawingName): Drawing => DRAWN[name]
