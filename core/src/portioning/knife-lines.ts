import { z } from 'zod'
import { MEASURING_WAYS } from '../facts/index.ts'
import { id, money, name, positiveGrams } from '../values/index.ts'
import { biasAngle, MAX_MM, MAX_STATIONS, millimetres, positiveMm } from './piece-shape.ts'
import { keptRules, rules, scrapRequest } from './plan-request.ts'

export const KNIFE_LINES_FORMAT = 'fleam/knife-lines'

/** A piece with its plan as it is saved to a file and kept on the device: how it was measured, and its lines. */
export const knifeLines = z
  .strictObject({
    format: z.literal(KNIFE_LINES_FORMAT),
    version: z.literal(1),
    /** Id of the usual shape. */
    shape: z.string().max(60),
    way: z.enum(MEASURING_WAYS),
    weight: positiveGrams,
    length: positiveMm,
    girths: z.array(z.strictObject({ at: millimetres, girth: positiveMm })).max(MAX_STATIONS),
    outline: z.array(z.strictObject({ at: millimetres, width: positiveMm })).max(MAX_STATIONS),
    biasAngle,
    products: rules.products,
    scrap: scrapRequest.extend({ valuePerKg: money }),
    ...keptRules,
    /** Portions of one kind differ by no more in thickness, mm, where that costs next to nothing. */
    sameThickness: positiveMm.optional(),
    /** What comes off a fillet along its length before it is cut across; null for none. */
    belly: z
      .strictObject({
        share: z.number().min(0).max(0.9),
        from: millimetres,
        to: millimetres,
        /** What a kilo of it is worth: it is a product of its own. */
        valuePerKg: money.optional(),
      })
      .nullable(),
    notch: z.strictObject({ from: millimetres, to: millimetres, width: millimetres, depth: millimetres }).nullable(),
    /** Places of the knife, mm. */
    lines: z.array(millimetres).max(500),
    /** Cut already, from the beginning of the piece. */
    taken: z
      .array(
        z.strictObject({
          thickness: positiveMm,
          weight: positiveGrams,
          product: name.nullable(),
          planned: positiveGrams,
          /** Under which it is known to the kitchen as a measured cut. */
          id: id.optional(),
        }),
      )
      .max(500),
  })
  .meta({ id: 'KnifeLines' })
export type KnifeLines = z.infer<typeof knifeLines>

export const BONDED_FORMAT = 'fleam/bonded'

const bondedPieceSent = z.strictObject({ weight: positiveGrams, length: z.number().min(20).max(MAX_MM) })

/** Two pieces that are to be bonded, as they are saved to a file and kept on the device. */
export const bondedLines = z
  .strictObject({
    format: z.literal(BONDED_FORMAT),
    version: z.literal(1),
    /** Id of the usual shape of both. */
    shape: z.string().max(60),
    pair: z.tuple([bondedPieceSent, bondedPieceSent]),
    costs: z.strictObject({
      enzymeShare: z.number().min(0).max(0.05),
      enzymePerKg: money,
      film: money,
      minutes: z.number().min(0).max(600),
      wagePerHour: money,
      settingHours: z.number().min(0).max(48),
      /** Files saved before this was asked sell the formed portion at the price of an intact one. */
      formedShare: z.number().min(0).max(1).default(1),
    }),
  })
  .meta({ id: 'BondedLines' })
export type BondedLines = z.infer<typeof bondedLines>
