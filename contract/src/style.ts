import { PILE_CLASSES, PILE_KINDS, valueSignMessage } from '@fleam/core/fabrication'
import { SPECIES, shareLeft, TOOLS } from '@fleam/core/style'
import {
  count,
  currency,
  grams,
  id,
  minutes,
  money,
  name,
  positiveCount,
  positiveGrams,
  share,
  signedMoney,
} from '@fleam/core/values'
import { z } from 'zod'

const MAX_WORDS = 600
const words = z.string().trim().max(MAX_WORDS)
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

const MAX_DAYS = 400
const MAX_MONTHS = 36

/** What a pile is, whatever it is called. */
const pileFacts = {
  kind: z.enum(PILE_KINDS),
  boneShare: share,
  cookingLoss: share,
  chilledDays: count.max(MAX_DAYS).nullable(),
  frozenMonths: count.max(MAX_MONTHS).nullable(),
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

const MAX_PILES = 50

const stepFields = {
  id: key,
  title: name,
  doing: words,
  check: words,
  mistakes: z.array(words).max(20),
  tool: z.enum(TOOLS),
  cautions: z.array(key).max(20),
  isOptional: z.boolean(),
  cut: key.nullable(),
  when: z.strictObject({ option: key, choice: key }).nullable(),
  minutes: minutes.nullable().default(null),
}
const gainFields = { grams, seconds: z.number().min(0).max(86_400) }

/** A step of a kitchen's style: it refers to piles by their ids. */
export const styleStep = z.strictObject({
  ...stepFields,
  pileIds: z.array(id).max(MAX_PILES),
  gain: z.strictObject({ pileId: id, ...gainFields }).nullable(),
})
/** A step as a style file has it: it names piles. */
const namedStep = z.strictObject({
  ...stepFields,
  piles: z.array(name).max(MAX_PILES),
  gain: z.strictObject({ pile: name, ...gainFields }).nullable(),
})

/** A question with its choices; their shares are by what refers to a pile. */
function optionOf(shares: z.ZodType<Record<string, number>>) {
  const choice = z.strictObject({
    id: key,
    name,
    why: words,
    minutes: signedMinutes,
    shares,
    order: z.array(key).max(100).nullable(),
  })
  return z.strictObject({ id: key, question: name, choices: z.array(choice).min(1).max(20) })
}
const styleConsumable = z.strictObject({ name, costPerUnit: money.nullable() })

const styleFields = {
  name,
  minutesPerUnit: minutes,
  consumables: z.array(styleConsumable).max(50).default([]),
}
const MAX_STEPS = 100
const MAX_OPTIONS = 20
const bareStyle = z.strictObject({
  ...styleFields,
  piles: z.array(bareStylePile).min(1).max(MAX_PILES),
  steps: z.array(namedStep).max(MAX_STEPS).default([]),
  options: z
    .array(optionOf(z.record(name, signedShare)))
    .max(MAX_OPTIONS)
    .default([]),
})
type BareStyle = z.infer<typeof bareStyle>

/** More than this above the whole is not rounding. */
const SHARE_TOLERANCE = 1e-6

interface StyleIssue {
  path: (string | number)[]
  message: string
}

/** What in a style is checked against the rest of it, whether piles are named or referred to. */
interface StyleToCheck {
  piles: readonly { name: string; class: string; expectedShare: number | null }[]
  steps: readonly { id: string; when: { option: string; choice: string } | null }[]
  options: readonly { id: string; choices: readonly { id: string; shares: Readonly<Record<string, number>> }[] }[]
}

/** References of a style to piles, each with the place where it stands. */
type References = readonly { reference: string; path: StyleIssue['path'] }[]

const sharesOf = ({ options }: Pick<StyleToCheck, 'options'>): References =>
  options.flatMap(({ choices }, at) =>
    choices.flatMap(({ shares }, place) =>
      Object.keys(shares).map((reference) => ({
        reference,
        path: ['options', at, 'choices', place, 'shares', reference],
      })),
    ),
  )

const referencesOf = (
  style: Pick<StyleToCheck, 'options'> & { steps: readonly z.infer<typeof styleStep>[] },
): References => [
  ...style.steps.flatMap(({ pileIds, gain }, at) => [
    ...pileIds.map((reference, place) => ({ reference, path: ['steps', at, 'pileIds', place] })),
    ...(gain ? [{ reference: gain.pileId, path: ['steps', at, 'gain', 'pileId'] }] : []),
  ]),
  ...sharesOf(style),
]

const namesIn = (style: BareStyle): References => [
  ...style.steps.flatMap(({ piles, gain }, at) => [
    ...piles.map((reference, place) => ({ reference, path: ['steps', at, 'piles', place] })),
    ...(gain ? [{ reference: gain.pile, path: ['steps', at, 'gain', 'pile'] }] : []),
  ]),
  ...sharesOf(style),
]

function issuesOf(style: StyleToCheck, known: readonly string[], references: References): StyleIssue[] {
  const issues: StyleIssue[] = [
    ...repeated(style.piles.map((pile) => pile.name)).map((at) => ({
      path: ['piles', at, 'name'],
      message: 'is there twice',
    })),
    ...repeated(style.steps.map((step) => step.id)).map((at) => ({
      path: ['steps', at, 'id'],
      message: 'is there twice',
    })),
    ...references.flatMap(({ reference, path }) =>
      known.includes(reference) ? [] : [{ path, message: 'is not a pile of this style' }],
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

/** What no field can say alone: names once, steps and options that point at what is there, shares within the whole. */
export function styleIssues(
  style: Pick<StyleToCheck, 'options'> & {
    piles: readonly z.infer<typeof stylePile>[]
    steps: readonly z.infer<typeof styleStep>[]
  },
): StyleIssue[] {
  const ids = style.piles.map((pile) => pile.id)
  return [
    ...repeated(ids).map((at) => ({ path: ['piles', at, 'id'], message: 'is there twice' })),
    ...issuesOf(style, ids, referencesOf(style)),
  ]
}

const bareStyleIssues = (style: BareStyle): StyleIssue[] =>
  issuesOf(
    style,
    style.piles.map((pile) => pile.name),
    namesIn(style),
  )

const repeated = (names: readonly string[]) => names.flatMap((each, at) => (names.indexOf(each) === at ? [] : [at]))

const refuse = (issues: readonly StyleIssue[], context: z.RefinementCtx) => {
  for (const issue of issues) context.addIssue({ code: 'custom', ...issue })
}

/** A cut style as a kitchen keeps it; `version` is the one it was read at, and a stale one gets 409. */
export const style = z
  .strictObject({
    ...styleFields,
    piles: z.array(stylePile).min(1).max(MAX_PILES),
    steps: z.array(styleStep).max(MAX_STEPS).default([]),
    options: z
      .array(optionOf(z.record(id, signedShare)))
      .max(MAX_OPTIONS)
      .default([]),
    id,
    version: positiveCount.default(1),
    isArchived: z.boolean().default(false),
  })
  .superRefine((value, context) => refuse(styleIssues(value), context))
  .meta({ id: 'Style' })
export type Style = z.infer<typeof style>
export type StylePile = Style['piles'][number]
export type StyleStep = Style['steps'][number]

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
    /** What its prices are in; files of before do not say. */
    currency: currency.optional(),
    item: z.strictObject(itemFields),
    style: bareStyle.superRefine((value, context) => refuse(bareStyleIssues(value), context)),
  })
  .meta({ id: 'StyleFile' })
export type StyleFile = z.infer<typeof styleFile>

/** A container whose weight the kitchen remembers, so that it is taken off by itself. */
export const container = z.strictObject({ id, name, grams: positiveGrams }).meta({ id: 'Container' })
export const containers = z.array(container)
export type Container = z.infer<typeof container>

/** Where a kitchen's own words hold: for an item, a style, or a step of a style; nulls are everywhere. */
const cautionScope = {
  itemId: id.nullable().default(null),
  styleId: id.nullable().default(null),
  step: key.nullable().default(null),
}
interface CautionScope {
  itemId: string | null
  styleId: string | null
  step: string | null
}
const isOneScope = ({ itemId, styleId, step }: CautionScope) =>
  (itemId === null || styleId === null) && (step === null || styleId !== null)

/** Which of a caution's own words are meant. */
export const cautionScopeQuery = z.object({
  itemId: id.optional(),
  styleId: id.optional(),
  step: key.optional(),
})

/** A caution as the kitchen's own plan has it, with the reason; for the cold chain also its times. */
export const cautionOverride = z
  .strictObject({
    cautionId: key,
    text: words.min(1),
    reason: words.min(1, 'must say why the kitchen departs from the default'),
    boardMinutes: count.min(1).nullable().default(null),
    outMinutes: count.min(1).nullable().default(null),
    ...cautionScope,
  })
  .refine(isOneScope, { path: ['step'], error: 'holds for an item, a style, or a step of a style' })
  .meta({ id: 'CautionOverride' })
export const cautionOverrides = z.array(cautionOverride)
export type CautionOverride = z.infer<typeof cautionOverride>
