import { z } from 'zod'
import { MAX_PLAN_DAYS, MAX_QUANTITY } from '../../limits/index.ts'
import { count, day, type FixedLists, id, quantity, share } from '../../values/index.ts'
import { CHANGEABLE, type ChangeableField, type ChangeableKind } from './changeable.ts'
import { goodsId, MAX_LISTED } from './goods.ts'

const MAX_SAID = 1_000
const MAX_COVERS = 100_000
const HOURS_OF_A_DAY = 24 * 50

const KINDS = Object.keys(CHANGEABLE) as [ChangeableKind, ...ChangeableKind[]]
const FIELDS = [...new Set(Object.values(CHANGEABLE).flat())] as [ChangeableField, ...ChangeableField[]]
const WHOLE_FIELDS: readonly ChangeableField[] = ['keepsDays', 'restDays', 'mostPacks', 'mostPerDay']

/** A value said for this plan alone; a yield is told by its cut and its product. */
const change = z
  .strictObject({
    kind: z.enum(KINDS),
    id: goodsId,
    productId: id.nullable(),
    field: z.enum(FIELDS),
    value: quantity,
  })
  .superRefine((said, context) => {
    const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message })
    if (!(CHANGEABLE[said.kind] as readonly string[]).includes(said.field)) {
      refuse('field', `is nothing that a ${said.kind} has`)
    }
    if ((said.kind === 'yield') !== (said.productId !== null))
      refuse('productId', 'belongs to a yield, and to nothing else')
    if (WHOLE_FIELDS.includes(said.field) && !Number.isInteger(said.value)) refuse('value', 'must be a whole number')
    if (said.field === 'keepsDays' && said.value < 1) refuse('value', 'must be at least 1')
  })

/**
 * Something held to at least or at most so many packs or units; at most 0 forbids it. Of a supplier, whatever it brings is
 * forbidden: others bring it instead.
 */
const pin = z
  .strictObject({
    kind: z.enum(['whole', 'ready', 'cut', 'supplier']),
    id: goodsId,
    /** The day on which it is ordered or cut; null for all days together. */
    day: day.nullable().default(null),
    atLeast: count.max(MAX_QUANTITY).nullable(),
    atMost: count.max(MAX_QUANTITY).nullable(),
  })
  .refine(({ atLeast, atMost }) => atLeast === null || atMost === null || atLeast <= atMost, {
    path: ['atLeast'],
    error: 'must not be above atMost',
  })
  .refine(({ kind, atLeast, atMost }) => kind !== 'supplier' || (atLeast === null && atMost === 0), {
    path: ['kind'],
    error: 'of a supplier is forbidden, and nothing else: atMost 0',
  })

const draftFields = z.strictObject({
  from: day,
  /** Days that it plans, the first counted. */
  days: z.number().int().min(1).max(MAX_PLAN_DAYS),
  covers: z.array(z.strictObject({ day, covers: count.max(MAX_COVERS) })).max(MAX_SAID),
  /** What of the covers takes each product. */
  menu: z.array(z.strictObject({ productId: id, share })).max(MAX_LISTED),
  /** Portions that are said instead. */
  portions: z.array(z.strictObject({ productId: id, day, quantity })).max(MAX_SAID),
  /** Hours at the board of a day, said instead of the cooks' week. */
  hours: z.array(z.strictObject({ day, hours: z.number().min(0).max(HOURS_OF_A_DAY) })).max(MAX_SAID),
  /** Cooks who are not there on a day; `hours` has their hours out already, and the schedule leaves them out. */
  away: z
    .array(z.strictObject({ cookId: id, day }))
    .max(MAX_SAID)
    .default([]),
  /** Days on which a supplier comes, or does not, other than usual. */
  deliveries: z.array(z.strictObject({ supplierId: id, day, comes: z.boolean() })).max(MAX_SAID),
  /** Portions that are there already. */
  stock: z.array(z.strictObject({ productId: id, quantity, useBy: day })).max(MAX_LISTED),
  /** Lots that this plan leaves alone. */
  lotsLeft: z.array(id).max(MAX_LISTED),
  /** Id of the accepted plan of which this plans what is left; null where it is a plan of its own. */
  replaces: id.nullable().default(null),
  /** What is known of deliveries that are on their way already, other than was ordered; without a day one does not come. */
  coming: z
    .array(z.strictObject({ expectedLineId: id, day: day.nullable(), packs: count.max(MAX_QUANTITY) }))
    .max(MAX_LISTED)
    .default([]),
  changes: z.array(change).max(MAX_SAID),
  pins: z.array(pin).max(MAX_LISTED),
  /** Kilos that the cold has room for; null where it has enough. */
  coldSpace: quantity.nullable(),
  service: z.number().min(0.5).lt(1),
})

const isTwice = (keys: readonly string[], at: number) => keys.indexOf(keys[at] as string) !== at

/** What a chef says of a plan; a day outside it is kept, so that a plan made shorter can be made longer again. */
export const planDraft: z.ZodType<PlanDraft> = draftFields.superRefine((draft, context) => {
  const lists = {
    covers: draft.covers.map((cover) => cover.day),
    menu: draft.menu.map((dish) => dish.productId),
    portions: draft.portions.map((portion) => `${portion.productId} ${portion.day}`),
    hours: draft.hours.map((hour) => hour.day),
    deliveries: draft.deliveries.map((delivery) => `${delivery.supplierId} ${delivery.day}`),
  }
  for (const [list, keys] of Object.entries(lists)) {
    keys.forEach((_, index) => {
      if (isTwice(keys, index)) context.addIssue({ code: 'custom', path: [list, index], message: 'is there twice' })
    })
  }
})

/** What a chef says of a plan; everything else is what the kitchen knows. */
export type PlanDraft = FixedLists<z.infer<typeof draftFields>>
export type DraftPin = PlanDraft['pins'][number]
