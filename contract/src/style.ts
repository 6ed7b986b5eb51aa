import { PILE_CLASSES, PILE_KINDS, shareLeft, TOOLS } from '@fleam/core'
import { z } from 'zod'
import { valueSignMessage } from './fabrication-document.ts'
import { count, grams, id, minutes, money, name, positiveCount, positiveGrams, share, signedMoney } from './numbers.ts'

const MOST_WORDS = 600
const words = z.string().trim().max(MOST_WORDS)
/** Short word that other parts of a style point at. */
const key = z
  .string()
  .max(60)
  .regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/, 'must be small letters, digits and hyphens')
const signedShare = z.number().min(-1).max(1)
const signedMinutes = z.number().min(-1000).max(1000)

const bounds = z
  .strictObject({ target: positiveGrams, low: positiveGrams, high: positiveGrams })
  .refine((value) => value.low <= value.high, { path: ['low'], message: 'must not be above high' })

const MOST_DAYS = 400
const MOST_MONTHS = 36

/** What a pile is, whatever it is called. */
const pileFacts = {
  kind: z.enum(PILE_KINDS),
  boneShare: share,
  cookingLoss: share,
  chilledDays: count.max(MOST_DAYS).nullable(),
  frozenMonths: count.max(MOST_MONTHS).nullable(),
}

/** The same in a file that may have been written before there were such fields: then the item's kitchen says them. */
const saidPileFacts = z.object(pileFacts).partial().shape

const stylePileFields = {
  name,
  class: z.enum(PILE_CLASSES),
  ...pileFacts,
  weighing: z.enum(['pieces', 'whole']),
  expectedShare: share.nullable(),
  portionsPerUnit: z.number().min(0).max(1000).nullable(),
  bounds: bounds.nullable(),
  landmark: z.string().max(200),
  region: key.nullable().default(null),
  valuePerKg: signedMoney.nullable(),
  usedShare: share.nullable(),
  processingPerKg: money.nullable(),
}

type PileToCheck = Parameters<typeof valueSignMessage>[0]
function refusePile(value: PileToCheck, context: z.RefinementCtx): void {
  const sign = valueSignMessage(value)
  if (sign) context.addIssue({ code: 'custom', path: ['valuePerKg'], message: sign })
}

/** A pile as a style file has it. */
const bareStylePile = z.strictObject({ ...stylePileFields, ...saidPileFacts }).superRefine(refusePile)

/** A pile of a kitchen's style. Its name may change; what refers to it refers to its id. */
export const stylePile = z
  .strictObject({
    id,
    ...stylePileFields,
    /** What it is as a product that can be bought ready; a portion pile without one gets it when it is kept. */
    productId: id.nullable().default(null),
  })
  .superRefine(refusePile)

export const styleStep = z.strictObject({
  id: key,
  title: name,
  doing: words,
  check: words,
  mistakes: z.array(words).max(20),
  tool: z.enum(TOOLS),
  piles: z.array(name).max(50),
  cautions: z.array(key).max(20),
  isOptional: z.boolean(),
  gain: z.strictObject({ pile: name, grams, seconds: z.number().min(0).max(86_400) }).nullable(),
  cut: key.nullable(),
  when: z.strictObject({ option: key, choice: key }).nullable(),
})

const styleChoice = z.strictObject({
  id: key,
  name,
  why: words,
  minutes: signedMinutes,
  shares: z.record(name, signedShare),
  order: z.array(key).max(100).nullable(),
})
const styleOption = z.strictObject({ id: key, question: name, choices: z.array(styleChoice).min(1).max(20) })
const styleConsumable = z.strictObject({ name, costPerUnit: money.nullable() })

const MOST_PILES = 50

const styleFields = {
  name,
  minutesPerUnit: minutes,
  steps: z.array(styleStep).max(100).default([]),
  options: z.array(styleOption).max(20).default([]),
  consumables: z.array(styleConsumable).max(50).default([]),
}
const bareStyle = z.strictObject({ ...styleFields, piles: z.array(bareStylePile).min(1).max(MOST_PILES) })
type BareStyle = z.infer<typeof bareStyle>

/** More than this above the whole is not rounding. */
const SHARE_TOLERANCE = 1e-6

interface StyleIssue {
  path: (string | number)[]
  message: string
}

/** What no field can say alone: names once, steps and options that point at what is there, shares within the whole. */
export function styleIssues(style: BareStyle): StyleIssue[] {
  const piles = style.piles.map((pile) => pile.name)
  const stepIds = style.steps.map((step) => step.id)
  const issues: StyleIssue[] = [
    ...repeated(piles).map((at) => ({ path: ['piles', at, 'name'], message: 'is there twice' })),
    ...repeated(stepIds).map((at) => ({ path: ['steps', at, 'id'], message: 'is there twice' })),
    ...style.steps.flatMap((step, at) =>
      step.piles.flatMap((pile, place) =>
        piles.includes(pile) ? [] : [{ path: ['steps', at, 'piles', place], message: 'is not a pile of this style' }],
      ),
    ),
    ...style.steps.flatMap(({ when }, at) => {
      const option = when === null ? null : style.options.find((each) => each.id === when.option)
      const isThere = when === null || option?.choices.some((choice) => choice.id === when.choice)
      return isThere ? [] : [{ path: ['steps', at, 'when'], message: 'is not a choice of this style' }]
    }),
  ]
  if (!style.piles.some((pile) => pile.class === 'primary')) {
    issues.push({ path: ['piles'], message: 'must hold a portion pile' })
  }
  if (shareLeft(style.piles) < -SHARE_TOLERANCE) issues.push({ path: ['piles'], message: 'expect more than the whole' })
  return issues
}

const repeated = (names: readonly string[]) => names.flatMap((each, at) => (names.indexOf(each) === at ? [] : [at]))

function refuseStyle(style: BareStyle, context: z.RefinementCtx): void {
  for (const issue of styleIssues(style)) context.addIssue({ code: 'custom', ...issue })
}

/** A cut style as a kitchen keeps it; `version` is the one it was read at, and a stale one gets 409. */
export const style = z
  .strictObject({
    ...styleFields,
    piles: z.array(stylePile).min(1).max(MOST_PILES),
    id,
    version: positiveCount.default(1),
    isArchived: z.boolean().default(false),
  })
  .superRefine(refuseStyle)
  .meta({ id: 'Style' })
export type Style = z.infer<typeof style>
export type StylePile = Style['piles'][number]
export type StyleStep = Style['steps'][number]

export const SPECIES = ['poultry', 'fish', 'red-meat'] as const

const itemFields = {
  name,
  species: z.enum(SPECIES),
  /** Name of the drawing that shows its cuts; null for none. */
  drawing: key.nullable().default(null),
  /** Id of the usual shape of what is cut along its length; null where its portions are not. */
  shape: key.nullable().default(null),
  unitName: z.strictObject({ one: name, many: name }),
  unitWeight: z.strictObject({ low: positiveGrams, usual: positiveGrams, high: positiveGrams }),
  landmarks: z.array(words).max(20).default([]),
}

export const item = z
  .strictObject({ ...itemFields, id, isArchived: z.boolean().default(false), styles: z.array(style).max(100) })
  .meta({ id: 'Item' })
export const items = z.array(item)
export type Item = z.infer<typeof item>

/** What a kitchen may change of an item. */
export const itemEdit = z.strictObject({ ...itemFields, isArchived: z.boolean() })
export type ItemEdit = z.infer<typeof itemEdit>

export const STYLE_FORMAT = 'fleam/style'

/** A cut style with what it cuts, for another kitchen: without ids, and without what one kitchen earns. */
export const styleFile = z
  .strictObject({
    format: z.literal(STYLE_FORMAT),
    version: z.literal(1),
    item: z.strictObject(itemFields),
    style: bareStyle.superRefine(refuseStyle),
  })
  .meta({ id: 'StyleFile' })
export type StyleFile = z.infer<typeof styleFile>

/** A container whose weight the kitchen remembers, so that it is taken off by itself. */
export const container = z.strictObject({ id, name, grams: positiveGrams }).meta({ id: 'Container' })
export const containers = z.array(container)
export type Container = z.infer<typeof container>

/** A caution as the kitchen's own plan has it, with the reason; for the cold chain also its times. */
export const cautionOverride = z
  .strictObject({
    cautionId: key,
    text: words.min(1),
    reason: words.min(1, 'must say why the kitchen departs from the default'),
    boardMinutes: count.min(1).nullable().default(null),
    outMinutes: count.min(1).nullable().default(null),
  })
  .meta({ id: 'CautionOverride' })
export const cautionOverrides = z.array(cautionOverride)
export type CautionOverride = z.infer<typeof cautionOverride>
