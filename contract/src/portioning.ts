import { MEASURING_WAYS } from '@fleam/core/facts'
import {
  type Piece,
  type PortionProduct,
  RACK_STYLES,
  type Rack,
  type RackRequest,
  type Station,
  weightAgainstMeasures,
} from '@fleam/core/portioning'
import { count, grams, id, money, name, positiveGrams } from '@fleam/core/values'
import { z } from 'zod'

const MAX_MM = 5000
const MAX_STATIONS = 200
const MAX_PRODUCTS = 20
/** Places along a piece: more of them are finer than any knife. */
const MAX_STEPS = 2000
const MUSCLE_DENSITY = 1.06
/** A weight so many times off its measures is a slip: a nought too many, or inches for millimetres. */
const MAX_OFF = 5

const millimetres = z.number().min(0).max(MAX_MM)
export const positiveMm = z.number().positive().max(MAX_MM)
/** Degrees between the blade and a square cut. */
export const biasAngle = z.number().min(0).max(75)

const area = z
  .number()
  .positive()
  .max(MAX_MM ** 2)

/** A station as it is given back. */
const station = z.union([
  z.object({ at: millimetres, girth: positiveMm }),
  z.object({ at: millimetres, width: positiveMm, height: positiveMm }),
  z.object({ at: millimetres, area }),
])

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

export const portionPiece = z
  .strictObject({
    weight: positiveGrams,
    length: positiveMm,
    profile: stations,
    biasAngle: biasAngle.optional(),
  })
  .superRefine(({ length, profile, weight }, context) => {
    const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
    if (profile[0]?.at !== 0) refuse(['profile', 0, 'at'], 'must be 0: the first station is one end')
    profile.forEach((each, at) => {
      const before = profile[at - 1]
      if (before && each.at <= before.at) refuse(['profile', at, 'at'], 'must be further than the one before')
    })
    const last = profile.length - 1
    if (profile[last]?.at !== length) refuse(['length'], `must be where the last station is, ${profile[last]?.at}`)
    if (context.issues.length > 0) return
    const off = weightAgainstMeasures({ weight, length, profile }, MUSCLE_DENSITY)
    if (off > MAX_OFF || off < 1 / MAX_OFF) {
      const measured = Math.round(weight / off)
      refuse(['weight'], `does not go with the measures, which make about ${measured} g`)
    }
  }) satisfies z.ZodType<Piece>

export const portionProduct = z
  .strictObject({
    name,
    target: positiveGrams,
    low: grams,
    high: positiveGrams,
    minThickness: millimetres.optional(),
    maxThickness: positiveMm.optional(),
    minFace: millimetres.optional(),
    targetThickness: positiveMm.optional(),
    value: money,
    max: count.max(1000).optional(),
    min: count.max(1000).optional(),
    within: z.tuple([millimetres, millimetres]).readonly().optional(),
    folded: z.boolean().optional(),
  })
  .superRefine(({ low, high, minThickness, maxThickness, min, max, within }, context) => {
    const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message })
    if (low > high) refuse('low', 'must not be above high')
    if ((minThickness ?? 0) > (maxThickness ?? MAX_MM)) refuse('minThickness', 'must not be above maxThickness')
    if ((min ?? 0) > (max ?? Number.POSITIVE_INFINITY)) refuse('min', 'must not be above max')
    if (within && within[0] >= within[1]) refuse('within', 'must go from a place to one further on')
  }) satisfies z.ZodType<PortionProduct>

const rules = {
  products: z.array(portionProduct).min(1).max(MAX_PRODUCTS),
  scrap: z
    .strictObject({
      name: name.optional(),
      valuePerKg: money.default(0),
      atLeast: grams.optional(),
      /** Where it may lie; anywhere where not said. */
      where: z.enum(['ends', 'anywhere']).optional(),
    })
    .default({ valuePerKg: 0 }),
  /** Bounds are drawn in by this share of each target while planning. */
  margin: z.number().min(0).max(0.2).default(0),
  minScrap: millimetres.default(10),
  kerf: z.number().min(0).max(20).default(0),
  step: z.number().positive().max(100).default(1),
}

interface Stepped {
  products: readonly { name: string }[]
  step: number
}

function refuseRules({ products, step }: Stepped, lengths: readonly number[], context: z.RefinementCtx): void {
  products.forEach((product, at) => {
    if (products.findIndex((each) => each.name === product.name) < at) {
      context.addIssue({ code: 'custom', path: ['products', at, 'name'], message: 'is there twice' })
    }
  })
  if (Math.max(...lengths) / step > MAX_STEPS) {
    context.addIssue({ code: 'custom', path: ['step'], message: `makes more than ${MAX_STEPS} places` })
  }
}

/** Where to cut one piece. */
export const portionRequest = z
  .strictObject({
    piece: portionPiece,
    ...rules,
    /** Equal portions side by side and as thick as each other, for a share of the worth at most. */
    together: z
      .strictObject({
        thickness: positiveMm,
        costsAtMost: z.number().min(0).max(0.2).default(0.01),
        before: name.optional(),
      })
      .optional(),
  })
  .superRefine((request, context) => refuseRules(request, [request.piece.length], context))
  .meta({ id: 'PortionRequest' })

/** Two pieces as one log, and each alone. */
export const bondedRequest = z
  .strictObject({
    pieces: z.tuple([portionPiece, portionPiece]),
    ...rules,
    costs: z
      .strictObject({
        enzymeShare: z.number().min(0).max(0.1).optional(),
        enzymePerKg: money.optional(),
        film: money.optional(),
        minutes: z.number().min(0).max(1000).optional(),
        wagePerHour: money.optional(),
        settingHours: z.number().min(0).max(72).optional(),
        formedShare: z.number().min(0).max(1).optional(),
      })
      .optional(),
  })
  .superRefine((request, context) =>
    refuseRules(request, [request.pieces[0].length + request.pieces[1].length], context),
  )
  .meta({ id: 'BondedRequest' })

const plannedPiece = z.object({
  product: z.string(),
  from: z.number(),
  to: z.number(),
  weight: z.number(),
  thickness: z.number(),
  faces: z.tuple([z.number(), z.number()]).readonly(),
})

export const portionPlan = z
  .object({
    cuts: z.array(z.number()),
    pieces: z.array(plannedPiece),
    scrap: z.object({ weight: z.number(), parts: z.array(z.tuple([z.number(), z.number()])) }),
    value: z.number(),
    portions: z.record(z.string(), z.number()),
    spreads: z.array(
      z.object({
        product: z.string(),
        count: z.number(),
        mean: z.number(),
        sd: z.number().nullable(),
        lightest: z.number(),
        heaviest: z.number(),
        thinnest: z.number(),
        thickest: z.number(),
        givenAwayGrams: z.number(),
        givenAway: z.number(),
      }),
    ),
    unmet: z.array(z.object({ product: z.string(), min: z.number() })),
    scrapRequest: z.object({ isMet: z.boolean(), costs: z.number(), raisedTo: z.number() }).nullable(),
    /** What laying equal portions together costs, how often a product begins again, and how far apart thickness is. */
    together: z.object({ costs: z.number(), splits: z.number(), thicknessApart: z.number() }).nullable(),
  })
  .meta({ id: 'PortionPlan' })

export const bondedPlan = z
  .object({
    offset: z.number(),
    overlap: z.number(),
    bonded: portionPlan,
    piece: z.object({ weight: z.number(), length: z.number(), profile: z.array(station).readonly() }),
    alone: z.tuple([portionPlan, portionPlan]),
    extraPortions: z.number(),
    enzymeGrams: z.number(),
    cost: z.object({ enzyme: z.number(), film: z.number(), labour: z.number(), total: z.number() }),
    settingHours: z.number(),
    net: z.number(),
    aloneValue: z.number(),
    aloneScrap: z.number(),
    gain: z.number(),
    intactValue: z.number(),
    breakEvenShare: z.number().nullable(),
  })
  .meta({ id: 'BondedPlan' })

const MAX_RIBS = 13
const MAX_RACKS = 8

export const rack = z
  .strictObject({
    weight: positiveGrams,
    bones: z.number().int().min(1).max(MAX_RIBS),
    boneWeight: grams,
    eye: z.array(z.number().positive().max(1000)).min(1).max(MAX_RIBS),
    length: positiveMm.optional(),
  })
  .superRefine(({ weight, bones, boneWeight, eye }, context) => {
    if (eye.length !== bones) {
      context.addIssue({ code: 'custom', path: ['eye'], message: `must have one size for each of ${bones} bones` })
    }
    if (boneWeight >= weight) {
      context.addIssue({ code: 'custom', path: ['boneWeight'], message: 'must be less than the weight' })
    }
  }) satisfies z.ZodType<Rack>

/** Racks cut into portions: one as `rack`, or several together as `racks`. */
export const rackRequest = z
  .strictObject({
    rack: rack.optional(),
    racks: z.array(rack).min(1).max(MAX_RACKS).optional(),
    target: positiveGrams,
    low: grams,
    high: positiveGrams,
    perPortion: z.union([z.literal(1), z.literal(2), z.literal(3), z.literal('any')]).default('any'),
    style: z.enum(RACK_STYLES).default('straight'),
  })
  .superRefine(({ rack: one, racks, low, high }, context) => {
    if ((one === undefined) === (racks === undefined)) {
      context.addIssue({ code: 'custom', path: ['rack'], message: 'must be given, or racks, and not both' })
    }
    if (low > high) context.addIssue({ code: 'custom', path: ['low'], message: 'must not be above high' })
  })
  .meta({ id: 'RackRequest' })

/** The racks of a request that came in either form. */
export const racksRequested = rackRequest.transform(
  ({ rack: one, racks, ...request }): RackRequest => ({ ...request, racks: racks ?? (one ? [one] : []) }),
)

const ribRef = z.tuple([z.number(), z.number()])

export const rackPlan = z
  .object({
    portions: z.array(z.object({ bones: z.array(ribRef), weight: z.number() })),
    boundaries: z.array(z.array(z.number())),
    spread: z.number().nullable(),
    spreadStraight: z.number().nullable(),
    left: z.array(ribRef),
  })
  .meta({ id: 'RackPlan' })

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
    scrap: z.strictObject({
      name: name.optional(),
      valuePerKg: money,
      atLeast: grams.optional(),
      where: z.enum(['ends', 'anywhere']).optional(),
    }),
    minScrap: millimetres,
    kerf: z.number().min(0).max(20),
    step: z.number().positive().max(100),
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
