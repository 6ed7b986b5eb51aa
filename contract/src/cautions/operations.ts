import { key, words } from '@fleam/core/style'
import { count, id } from '@fleam/core/values'
import { z } from 'zod'
import { operations } from '../operation.ts'

/** Where a kitchen's own words hold: for an item, a style, or a step of a style; nulls are everywhere. */
const cautionScope = {
  itemId: id.nullable().default(null),
  styleId: id.nullable().default(null),
  step: key.nullable().default(null),
}
type CautionScope = z.infer<z.ZodObject<typeof cautionScope>>
const isOneScope = ({ itemId, styleId, step }: CautionScope) =>
  (itemId === null || styleId === null) && (step === null || styleId !== null)

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
const cautionOverrides = z.array(cautionOverride)
export type CautionOverride = z.infer<typeof cautionOverride>

/** Which of a caution's own words are meant. */
const cautionScopeQuery = z.object({
  itemId: id.optional(),
  styleId: id.optional(),
  step: key.optional(),
})

const cautionId = z.string().max(60)

export const cautionOperations = operations('cautions', {
  listCautions: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/cautions',
    summary: 'Cautions that the kitchen’s own plan changes',
    answer: cautionOverrides,
  },
  updateCaution: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/cautions/:cautionId',
    params: { cautionId },
    summary: 'Puts the kitchen’s own words in place of a caution, with a reason',
    body: cautionOverride,
    answer: cautionOverrides,
  },
  deleteCautionOverride: {
    method: 'DELETE',
    path: '/api/kitchens/:kitchenId/cautions/:cautionId',
    params: { cautionId },
    summary: 'Puts a caution back as it was',
    query: cautionScopeQuery,
    answer: cautionOverrides,
  },
})
