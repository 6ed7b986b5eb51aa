import { z } from 'zod'
import { count, grams, money, name, positiveGrams } from '../values/index.ts'
import { weightAgainstMeasures } from './measuring.ts'
import { millimetres, type Piece, pieceShape, positiveMm } from './piece-shape.ts'
import { DEFAULT_PLAN_RULES, USUAL_TOGETHER } from './plan-defaults.ts'

const MAX_PRODUCTS = 20
/** Places along a piece: more of them are finer than any knife. */
const MAX_STEPS = 2000
const MUSCLE_DENSITY = 1.06
/** A weight so many times off its measures is a slip: a nought too many, or inches for millimetres. */
const MAX_OFF = 5

/** A piece whose weight goes with its measures. */
export const portionPiece = pieceShape.superRefine(({ length, profile, weight }, context) => {
  const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
  if (profile[0]?.at !== 0) refuse(['profile', 0, 'at'], 'must be 0: the first station is one end')
  profile.forEach((entry, index) => {
    const before = profile[index - 1]
    if (before && entry.at <= before.at) refuse(['profile', index, 'at'], 'must be further than the one before')
  })
  const last = profile.length - 1
  if (profile[last]?.at !== length) refuse(['length'], `must be where the last station is, ${profile[last]?.at}`)
  if (context.issues.length > 0) return
  const off = weightAgainstMeasures({ weight, length, profile }, MUSCLE_DENSITY)
  if (off > MAX_OFF || off < 1 / MAX_OFF) {
    const measured = Math.round(weight / off)
    refuse(['weight'], `does not go with the measures, which make about ${measured} g`)
  }
})

/** Something that may be cut from a piece. Weights in grams, thicknesses and faces in mm, value in money. */
export const portionProduct = z
  .strictObject({
    name,
    /** Weight at which a piece is worth all of `value`. */
    target: positiveGrams,
    low: grams,
    high: positiveGrams,
    minThickness: millimetres.optional(),
    maxThickness: positiveMm.optional(),
    minFace: millimetres.optional(),
    /** Cut by thickness: every piece is so thick, to the nearest step, and its weight is what comes out. */
    targetThickness: positiveMm.optional(),
    value: money,
    max: count.max(1000).optional(),
    min: count.max(1000).optional(),
    /** Lies only between these places, mm: a tail, a centre. */
    within: z.tuple([millimetres, millimetres]).readonly().optional(),
    /** Folded once: two lengths lie on each other, so that it is half as long and twice as thick. */
    folded: z.boolean().optional(),
  })
  .superRefine(({ low, high, minThickness, maxThickness, min, max, within }, context) => {
    const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message })
    if (low > high) refuse('low', 'must not be above high')
    if ((minThickness ?? 0) > (maxThickness ?? Number.POSITIVE_INFINITY))
      refuse('minThickness', 'must not be above maxThickness')
    if ((min ?? 0) > (max ?? Number.POSITIVE_INFINITY)) refuse('min', 'must not be above max')
    if (within && within[0] >= within[1]) refuse('within', 'must go from a place to one further on')
  })
export type PortionProduct = z.infer<typeof portionProduct>

export const scrapRequest = z.strictObject({
  name: name.optional(),
  valuePerKg: money.default(0),
  /** At least so many grams of it are wanted. */
  atLeast: grams.optional(),
  /** Where it may lie: at the two ends, and where a place of a product makes it; anywhere where not said. */
  where: z.enum(['ends', 'anywhere']).optional(),
})
export type ScrapRequest = z.infer<typeof scrapRequest>

const kerf = z.number().min(0).max(20)
const step = z.number().positive().max(100)

/** Rules of a plan as they are kept: nothing is left out. */
export const keptRules = { minScrap: millimetres, kerf, step }

export const rules = {
  products: z.array(portionProduct).min(1).max(MAX_PRODUCTS),
  scrap: scrapRequest.default({ valuePerKg: 0 }),
  /** Bounds are drawn in by this share of each target while planning. */
  margin: z.number().min(0).max(0.2).default(0),
  /** No part of the scrap is thinner, mm. */
  minScrap: millimetres.default(DEFAULT_PLAN_RULES.minScrap),
  /** Lost after every piece of a product, mm: nothing for a knife, one or two for a saw. */
  kerf: kerf.default(DEFAULT_PLAN_RULES.kerf),
  /** Cuts lie on multiples of it, mm. */
  step: step.default(DEFAULT_PLAN_RULES.step),
}
export type PlanRules = Pick<z.infer<z.ZodObject<typeof rules>>, 'minScrap' | 'kerf' | 'step'>

interface Stepped {
  products: readonly { name: string }[]
  step: number
}

function refuseRules({ products, step }: Stepped, lengths: readonly number[], context: z.RefinementCtx): void {
  products.forEach((product, index) => {
    if (products.findIndex((other) => other.name === product.name) < index) {
      context.addIssue({ code: 'custom', path: ['products', index, 'name'], message: 'is there twice' })
    }
  })
  if (Math.max(...lengths) / step > MAX_STEPS) {
    context.addIssue({ code: 'custom', path: ['step'], message: `makes more than ${MAX_STEPS} places` })
  }
}

/** How a plan is laid out for the eye, and what that may cost. */
const together = z.strictObject({
  /** Pieces of one product differ by no more than this in their own thickness, mm. */
  thickness: positiveMm,
  /** Share of the best plan's worth that it may cost. */
  costsAtMost: z.number().min(0).max(0.2).default(USUAL_TOGETHER.costsAtMost),
  /** Name of the product that was cut last: going on with another one is a change. */
  before: name.optional(),
})
export type Together = z.infer<typeof together>

/** Where to cut one piece. */
export const portionRequest = z
  .strictObject({
    piece: portionPiece,
    ...rules,
    /** Equal portions side by side and as thick as each other, for a share of the worth at most. */
    together: together.optional(),
  })
  .superRefine((request, context) => refuseRules(request, [request.piece.length], context))
  .meta({ id: 'PortionRequest' })

const bondedCosts = z.strictObject({
  /** Enzyme, as a share of the weight. */
  enzymeShare: z.number().min(0).max(0.1),
  enzymePerKg: money,
  /** Film for the log, money. */
  film: money,
  /** Minutes to bond and wrap, and what an hour costs. */
  minutes: z.number().min(0).max(1000),
  wagePerHour: money,
  settingHours: z.number().min(0).max(72),
  /** What a formed portion is worth, as a share of an intact one; 1 where it is sold at the same price. */
  formedShare: z.number().min(0).max(1),
})
export type BondedCosts = z.infer<typeof bondedCosts>

/** Two pieces as one log, and each alone. */
export const bondedRequest = z
  .strictObject({
    pieces: z.tuple([portionPiece, portionPiece]),
    ...rules,
    costs: bondedCosts.partial().optional(),
  })
  .superRefine((request, context) =>
    refuseRules(request, [request.pieces[0].length + request.pieces[1].length], context),
  )
  .meta({ id: 'BondedRequest' })

/** What a plan is asked for: its rules may be left out. */
export interface PortionRequest extends Partial<PlanRules> {
  piece: Piece
  products: readonly PortionProduct[]
  scrap: ScrapRequest
  margin?: number | undefined
  /** Among plans of all but equal worth, that whose portions are nearest to their targets. */
  isNearest?: boolean | undefined
  together?: Together | undefined
}

export interface BondedRequest extends Omit<PortionRequest, 'piece'> {
  pieces: readonly [Piece, Piece]
  costs?: z.infer<typeof bondedRequest>['costs']
}
