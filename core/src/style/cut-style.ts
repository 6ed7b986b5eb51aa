import { z } from 'zod'
import { PILE_CLASSES, PILE_KINDS, refuseValueSign, WEIGHINGS } from '../fabrication/index.ts'
import {
  count,
  type FixedLists,
  grams,
  id,
  minutes,
  money,
  name,
  positiveGrams,
  share,
  signedMoney,
} from '../values/index.ts'
import { TOOLS } from './tools.ts'
import { key, words } from './words.ts'

const MAX_DAYS = 400
const MAX_MONTHS = 36
const MAX_PILES = 50
const MAX_STEPS = 100
const MAX_OPTIONS = 20
const signedShare = z.number().min(-1).max(1)
const signedMinutes = z.number().min(-1000).max(1000)

/** Bounds of one portion, grams. */
const bounds = z
  .strictObject({ target: positiveGrams, low: positiveGrams, high: positiveGrams })
  .refine((value) => value.low <= value.high, { path: ['low'], message: 'must not be above high' })

/** What a pile is, whatever it is called: starting values that a kitchen may replace. */
const pileFacts = {
  kind: z.enum(PILE_KINDS),
  /** What of the raw weight is bone. */
  boneShare: share,
  /** What cooking takes of the raw weight. */
  cookingLoss: share,
  /** Days in the cold at or below 5 °C; null for what is not kept. */
  chilledDays: count.max(MAX_DAYS).nullable(),
  /** Months frozen, for quality; null for what is not frozen. */
  frozenMonths: count.max(MAX_MONTHS).nullable(),
}
export type PileFacts = z.infer<z.ZodObject<typeof pileFacts>>

/** The same in a file that may have been written before there were such fields: the kitchen that reads it fills them in. */
const optionalPileFacts = z.object(pileFacts).partial().shape

const pileFields = {
  name,
  class: z.enum(PILE_CLASSES),
  ...pileFacts,
  weighing: z.enum(WEIGHINGS),
  /** Share of AP to expect before the kitchen has its own figures; null where nothing is known. */
  expectedShare: share.nullable(),
  /** Pieces or portions that one unit (bird, loin, rack) gives; null where it is not portioned. */
  portionsPerUnit: z.number().min(0).max(1000).nullable(),
  bounds: bounds.nullable(),
  /** Short words that a cook uses for it on the board. */
  landmark: z.string().max(200),
  /** The region of the item's drawing that it comes from; null where it is drawn nowhere. */
  region: key.nullable().default(null),
}

/** What a kitchen says of a pile of its own: the catalogue knows none of it. */
const kitchenFields = {
  valuePerKg: signedMoney.nullable(),
  usedShare: share.nullable(),
  processingPerKg: money.nullable(),
}

/** A pile of a kitchen's style. Its name may change; steps, gains and choices refer to its id. */
export const stylePile = z
  .strictObject({
    id,
    ...pileFields,
    ...kitchenFields,
    /** What it is as a product that can be bought ready; a portion pile without one gets it when it is kept. */
    productId: id.nullable().default(null),
  })
  .superRefine(refuseValueSign)
export type StylePile = z.infer<typeof stylePile>

/** A pile as a style file has it: without an id. */
const namedPile = z.strictObject({ ...pileFields, ...kitchenFields, ...optionalPileFacts }).superRefine(refuseValueSign)

const stepFields = {
  /** Short word, once in its style. */
  id: key,
  title: name,
  /** What to do, in a sentence or two. */
  doing: words,
  /** How the cook knows that it is right. */
  check: words,
  mistakes: z.array(words).max(20),
  tool: z.enum(TOOLS),
  /** Ids of the cautions that stand at this step. */
  cautions: z.array(key).max(20),
  isOptional: z.boolean(),
  /** The cut of the item's drawing that lights up; null where nothing is cut. */
  cut: key.nullable(),
  /** A choice of an option of the style: the step is done only where it was made. */
  when: z.strictObject({ option: key, choice: key }).nullable(),
  /** Minutes of one unit by a practised cook; null where nobody said. */
  minutes: minutes.nullable().default(null),
}

/** What an optional step is assumed to bring for one unit, before a kitchen has measured it: extra grams of a pile, extra seconds. */
const gainFields = { grams, seconds: z.number().min(0).max(86_400) }

/** One thing that is done at the board, in the order of the style. */
export const styleStep = z.strictObject({
  ...stepFields,
  /** The piles that leave the board here. */
  pileIds: z.array(id).max(MAX_PILES),
  gain: z.strictObject({ pileId: id, ...gainFields }).nullable(),
})
export type StyleStep = FixedLists<z.infer<typeof styleStep>>

/** A step as a style file has it: piles by name. */
const namedStep = z.strictObject({
  ...stepFields,
  /** Names of the piles that leave the board here. */
  piles: z.array(name).max(MAX_PILES),
  gain: z.strictObject({ pile: name, ...gainFields }).nullable(),
})
export type NamedStep = FixedLists<z.infer<typeof namedStep>>

/** A question on which good cooks differ; the first choice is the default. `reference` is what a choice says of a pile by. */
function optionOf(reference: typeof id | typeof name) {
  const choice = z.strictObject({
    id: key,
    name,
    why: words,
    /** Minutes that it adds to a unit, negative where it saves time. */
    minutes: signedMinutes,
    /** What it adds to the shares of piles; the sum is what it takes from normal loss, mostly zero. */
    shares: z.record(reference, signedShare),
    /** Ids of steps in the order in which this choice does them; null where it leaves the order alone. */
    order: z.array(key).max(100).nullable(),
  })
  return z.strictObject({ id: key, question: name, choices: z.array(choice).min(1).max(20) })
}
export type StyleOption = FixedLists<z.infer<ReturnType<typeof optionOf>>>
export type StyleChoice = StyleOption['choices'][number]

const styleFields = {
  name,
  /** Minutes for one unit by a practised cook. */
  minutesPerUnit: minutes,
  /** Bags and the like; what one costs for a unit is null until the kitchen has said it. */
  consumables: z
    .array(z.strictObject({ name, costPerUnit: money.nullable() }))
    .max(50)
    .default([]),
}

/** Fields of a style whose steps and options refer to its piles by their ids. */
export const styleParts = {
  ...styleFields,
  piles: z.array(stylePile).min(1).max(MAX_PILES),
  steps: z.array(styleStep).max(MAX_STEPS).default([]),
  options: z.array(optionOf(id)).max(MAX_OPTIONS).default([]),
}

/** A style as a file has it: no ids; steps, gains and shares name the piles. */
export const namedStyle = z.strictObject({
  ...styleFields,
  piles: z.array(namedPile).min(1).max(MAX_PILES),
  steps: z.array(namedStep).max(MAX_STEPS).default([]),
  options: z.array(optionOf(name)).max(MAX_OPTIONS).default([]),
})

/** A pile with what the catalogue says of it. */
export type CutPile = Omit<StylePile, keyof typeof kitchenFields | 'productId'>

/** One way of breaking an item down. */
export interface CutStyle<P extends CutPile = CutPile>
  extends FixedLists<Omit<z.infer<z.ZodObject<typeof styleParts>>, 'piles'>> {
  piles: readonly P[]
}
