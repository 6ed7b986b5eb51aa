import { z } from 'zod'
import { type FixedLists, grams, positiveGrams } from '../values/index.ts'
import { positiveMm } from './piece-shape.ts'

export const RACK_STYLES = ['straight', 'graded', 'pairs'] as const
export type RackStyle = (typeof RACK_STYLES)[number]

const MAX_RIBS = 13
const MAX_RACKS = 8

/** A rack of ribs, weights in grams. */
const rack = z
  .strictObject({
    weight: positiveGrams,
    bones: z.number().int().min(1).max(MAX_RIBS),
    boneWeight: grams,
    /** Relative area of the eye at each rib, from the loin end. */
    eye: z.array(z.number().positive().max(1000)).min(1).max(MAX_RIBS),
    /** How long it is along its ribs, mm: only to say in millimetres how far a blade leans; usual where not given. */
    length: positiveMm.optional(),
  })
  .superRefine(({ weight, bones, boneWeight, eye }, context) => {
    if (eye.length !== bones) {
      context.addIssue({ code: 'custom', path: ['eye'], message: `must have one size for each of ${bones} bones` })
    }
    if (boneWeight >= weight) {
      context.addIssue({ code: 'custom', path: ['boneWeight'], message: 'must be less than the weight' })
    }
  })
export type Rack = FixedLists<z.infer<typeof rack>>

/** Racks cut into portions: one as `rack`, or several together as `racks`. */
export const rackRequest = z
  .strictObject({
    rack: rack.optional(),
    racks: z.array(rack).min(1).max(MAX_RACKS).optional(),
    target: positiveGrams,
    low: grams,
    high: positiveGrams,
    /** Ribs in a portion; `any` to try one, two and three. */
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

export interface RackRequest extends Omit<z.infer<typeof rackRequest>, 'rack' | 'racks'> {
  racks: readonly Rack[]
}

/** The racks of a request that came in either form. */
export const racksRequested = rackRequest.transform(
  ({ rack: one, racks, ...request }): RackRequest => ({ ...request, racks: racks ?? (one ? [one] : []) }),
)

/** Rack and rib, both counted from zero, from the loin end. */
const ribRef = z.tuple([z.number(), z.number()])
export type RibRef = z.infer<typeof ribRef>

const rackPortion = z.object({ bones: z.array(ribRef), weight: z.number() })
export type RackPortion = z.infer<typeof rackPortion>

export const rackPlan = z
  .object({
    portions: z.array(rackPortion),
    /** For each rack the places of its cuts in units of one rib and its gap. */
    boundaries: z.array(z.array(z.number())),
    /** Heaviest less lightest; null without portions. */
    spread: z.number().nullable(),
    /** The same cut straight, with as many ribs in a portion. */
    spreadStraight: z.number().nullable(),
    /** Ribs that are in no portion. */
    left: z.array(ribRef),
  })
  .meta({ id: 'RackPlan' })
export type RackPlan = z.infer<typeof rackPlan>
