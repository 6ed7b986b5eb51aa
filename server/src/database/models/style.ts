import { cautionOverride } from '@fleam/contract/cautions/operations'
import { container } from '@fleam/contract/containers/operations'
import { item, style, stylePile } from '@fleam/core/style'
import { z } from 'zod'
import { type ModelOf, table } from '../table.ts'

/** A place in a list, from 0. */
const position = z.int()

export const containerTable = table('containers', container)

export const itemTable = table('items', item.omit({ styles: true }), {
  adds: { position },
  parts: ['unitName', 'unitWeight'],
  as: {
    unitNameOne: 'unitOne',
    unitNameMany: 'unitMany',
    unitWeightLow: 'unitLow',
    unitWeightUsual: 'unitUsual',
    unitWeightHigh: 'unitHigh',
  },
})
export type ItemModel = ModelOf<typeof itemTable, { styles: StyleModel[] }>

export const styleTable = table('styles', z.object(style.shape).omit({ piles: true }), {
  adds: { itemId: z.uuid(), position },
})
export type StyleModel = ModelOf<typeof styleTable, { item: ItemModel; piles: StylePileModel[] }>

export const stylePileTable = table('style_piles', stylePile, {
  adds: { styleId: z.uuid(), position },
  parts: ['bounds'],
  as: { boundsTarget: 'target', boundsLow: 'low', boundsHigh: 'high' },
})
export type StylePileModel = ModelOf<typeof stylePileTable, { product: ProductModel | null }>

/** What a portion pile is, whichever style gives it. */
export const productTable = table(
  'products',
  z.object({
    id: z.uuid(),
    name: z.string(),
    /** One plate of it, in pieces or in raw grams of meat without bone; both null where nobody said. */
    platePieces: z.number().nullable(),
    plateEdible: z.number().nullable(),
  }),
)
export type ProductModel = ModelOf<typeof productTable>

/** A caution's own words. Where they hold is a part of the key, so that nowhere in particular is an empty text. */
export const cautionOverrideTable = table(
  'caution_overrides',
  z
    .object(cautionOverride.shape)
    .omit({ itemId: true, styleId: true, step: true })
    .extend({ itemId: z.string(), styleId: z.string(), step: z.string() }),
  { key: ['kitchenId', 'cautionId', 'itemId', 'styleId', 'step'] },
)
