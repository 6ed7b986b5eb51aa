import { z } from 'zod'
import { positiveGrams } from '../values/index.ts'

export const MAX_MM = 5000
export const MAX_STATIONS = 200

export const millimetres = z.number().min(0).max(MAX_MM)
export const positiveMm = z.number().positive().max(MAX_MM)
/** Degrees between the blade and a square cut. */
export const biasAngle = z.number().min(0).max(75)

const area = z
  .number()
  .positive()
  .max(MAX_MM ** 2)

/** A measured place along a piece: its girth, or width and height of an ellipse, or the area itself. */
export const station = z.union([
  z.object({ at: millimetres, girth: positiveMm }),
  z.object({ at: millimetres, width: positiveMm, height: positiveMm }),
  z.object({ at: millimetres, area }),
])
export type Station = z.infer<typeof station>

/** A station as it is sent: its fields are refused one by one, not as "none of three forms". */
const stationSent = z
  .strictObject({
    at: millimetres,
    girth: positiveMm.optional(),
    width: positiveMm.optional(),
    height: positiveMm.optional(),
    area: area.optional(),
  })
  .transform((sent, context): Station => {
    const { at, girth, width, height, area: measured } = sent
    const ways = [girth, width ?? height, measured].filter((way) => way !== undefined).length
    if (ways === 1 && girth !== undefined) return { at, girth }
    if (ways === 1 && measured !== undefined) return { at, area: measured }
    if (ways === 1 && width !== undefined && height !== undefined) return { at, width, height }
    context.addIssue({ code: 'custom', message: 'must have a girth, or width and height, or an area' })
    return z.NEVER
  })

export const stations = z.array(stationSent).min(2).max(MAX_STATIONS)

/** A piece of meat or fish laid out along its length: millimetres from one end, grams in all. */
export const pieceShape = z.strictObject({
  weight: positiveGrams,
  length: positiveMm,
  /** Stations in increasing order, the first at 0 and the last at `length`. */
  profile: stations,
  /** 0 where not given. */
  biasAngle: biasAngle.optional(),
})
export interface Piece extends Omit<z.infer<typeof pieceShape>, 'profile'> {
  profile: readonly Station[]
}
