import { z } from 'zod'
import { station } from './piece-shape.ts'

const cutPiece = z.object({
  from: z.number(),
  to: z.number(),
  weight: z.number(),
  thickness: z.number(),
  faces: z.tuple([z.number(), z.number()]).readonly(),
})
export type CutPiece = z.infer<typeof cutPiece>

const plannedPiece = cutPiece.extend({ product: z.string() })
export type PlannedPiece = z.infer<typeof plannedPiece>

/** How the pieces of one product differ, and what that costs. */
const productSpread = z.object({
  product: z.string(),
  count: z.number(),
  mean: z.number(),
  /** Sample standard deviation; null for a single piece. */
  sd: z.number().nullable(),
  lightest: z.number(),
  heaviest: z.number(),
  /** Own thickness, mm. */
  thinnest: z.number(),
  thickest: z.number(),
  /** Grams above what is paid for, of all pieces together, and what they are worth as product. */
  givenAwayGrams: z.number(),
  givenAway: z.number(),
})
export type ProductSpread = z.infer<typeof productSpread>

/** A least number that cannot be met while the ones named before it hold. */
const unmetMin = z.object({ product: z.string(), min: z.number() })
export type UnmetMin = z.infer<typeof unmetMin>

export const portionPlan = z
  .object({
    /** Places of the knife, mm from the beginning, in order. */
    cuts: z.array(z.number()),
    pieces: z.array(plannedPiece),
    scrap: z.object({ weight: z.number(), parts: z.array(z.tuple([z.number(), z.number()])) }),
    /** Money of pieces and scrap together. */
    value: z.number(),
    portions: z.record(z.string(), z.number()),
    spreads: z.array(productSpread),
    /** Least numbers that had to be left out, because no plan meets them. */
    unmet: z.array(unmetMin),
    /** What the request for scrap takes from the value; null where there is none. Not met: `isMet` false. */
    scrapRequest: z.object({ isMet: z.boolean(), costs: z.number(), raisedTo: z.number() }).nullable(),
    /** What laying equal portions together costs, how often a product begins again, and how far apart thickness is. */
    together: z.object({ costs: z.number(), splits: z.number(), thicknessApart: z.number() }).nullable(),
  })
  .meta({ id: 'PortionPlan' })
export type PortionPlan = z.infer<typeof portionPlan>

export const bondedPlan = z
  .object({
    /** Where the second piece, turned round, begins, mm from the beginning of the first. */
    offset: z.number(),
    /** Millimetres by which both lie beside each other. */
    overlap: z.number(),
    bonded: portionPlan,
    piece: z.object({ weight: z.number(), length: z.number(), profile: z.array(station).readonly() }),
    alone: z.tuple([portionPlan, portionPlan]),
    /** Portions of the bonded log less those of both alone. */
    extraPortions: z.number(),
    enzymeGrams: z.number(),
    cost: z.object({ enzyme: z.number(), film: z.number(), labour: z.number(), total: z.number() }),
    settingHours: z.number(),
    /** Value of the bonded plan less its costs. */
    net: z.number(),
    /** Value and scrap of both alone together. */
    aloneValue: z.number(),
    aloneScrap: z.number(),
    /** `net` less `aloneValue`: above zero, bonding pays. */
    gain: z.number(),
    /** What the portions of the log would be worth if they were intact, its scrap left aside. */
    intactValue: z.number(),
    /**
     * Share of an intact portion's worth at which this log brings just as much as both alone: below it bonding does not
     * pay. Above 1 it never does, at or below 0 always; null where the log gives no portion.
     */
    breakEvenShare: z.number().nullable(),
  })
  .meta({ id: 'BondedPlan' })
export type BondedPlan = z.infer<typeof bondedPlan>
