import { z } from 'zod'
import { currency, id, name, positiveCount, positiveGrams } from '../values/index.ts'
import { namedStyle, styleParts } from './cut-style.ts'
import { SPECIES } from './species.ts'
import { namedStyleIssues, type StyleIssue, styleIssues } from './style-issues.ts'
import { key, words } from './words.ts'

const MAX_STYLES = 100

const addIssues = (issues: readonly StyleIssue[], context: z.RefinementCtx) => {
  for (const issue of issues) context.addIssue({ code: 'custom', ...issue })
}

/** A cut style as a kitchen keeps it; `version` is the one it was read at, and a stale one gets 409. */
export const style = z
  .strictObject({
    ...styleParts,
    id,
    version: positiveCount.default(1),
    isArchived: z.boolean().default(false),
  })
  .superRefine((value, context) => addIssues(styleIssues(value), context))
  .meta({ id: 'Style' })
export type Style = z.infer<typeof style>

const itemFields = {
  name,
  species: z.enum(SPECIES),
  /** Name of the drawing that shows its cuts; null for none. */
  drawing: key.nullable().default(null),
  /** Id of the usual shape of what is cut along its length; null where its portions are not. */
  shape: key.nullable().default(null),
  /** What one unit is called on the board. */
  unitName: z.strictObject({ one: name, many: name }),
  /** Usual weight of one unit as purchased, grams. */
  unitWeight: z.strictObject({ low: positiveGrams, usual: positiveGrams, high: positiveGrams }),
  /** What to look for on the animal before the knife is lifted. */
  landmarks: z.array(words).max(20).default([]),
}

export const item = z
  .strictObject({ ...itemFields, id, isArchived: z.boolean().default(false), styles: z.array(style).max(MAX_STYLES) })
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
    style: namedStyle.superRefine((value, context) => addIssues(namedStyleIssues(value), context)),
  })
  .meta({ id: 'StyleFile' })
export type StyleFile = z.infer<typeof styleFile>
