import { z } from 'zod'
import { count, grams, id, money, name, positiveGrams, share, signedMoney } from '../values/index.ts'
import { offerFields, refuseOffer } from './document.ts'
import { PILE_CLASSES, PILE_KINDS, WEIGHINGS } from './kinds.ts'
import { refuseValueSign } from './value-sign.ts'

/** A pile as planned for a fabrication, before anything lies on it. */
export const plannedPile = z
  .strictObject({
    id,
    /** The pile of the style that it was planned by; null or absent where it came from a document. */
    stylePileId: id.nullable().optional(),
    name,
    class: z.enum(PILE_CLASSES),
    /** What is in it, as the style had it; null or absent where nobody said. */
    kind: z.enum(PILE_KINDS).nullable().optional(),
    /** What cooking takes of it, as the style had it; null or absent where nobody said. */
    cookingLoss: share.nullable().optional(),
    weighing: z.enum(WEIGHINGS),
    /** Share of AP that the style expects; null where nothing is known. */
    expectedShare: share.nullable(),
    /** Portions that one piece is; null or absent for one. */
    portionsPerPiece: z.number().min(0.1).max(20).nullable().optional(),
    /** Portions in a pile weighed whole; pieces to expect in one weighed piece by piece. */
    portions: count.nullable(),
    target: positiveGrams.nullable(),
    low: grams.nullable(),
    high: grams.nullable(),
    valuePerKg: signedMoney.nullable(),
    usedShare: share.nullable(),
    processingPerKg: money.nullable(),
  })
  .superRefine(refuseValueSign)
export type PlannedPile = z.infer<typeof plannedPile>

/** An offer of a record, for one of its piles; `articleId` is null or absent where it was typed. */
export const plannedOffer = z
  .strictObject({ ...offerFields, pileId: id, articleId: id.nullable().optional() })
  .superRefine(refuseOffer)
export type PlannedOffer = z.infer<typeof plannedOffer>
