import { day, id, minutes, money, name, positiveCount, positiveGrams } from '@fleam/core/values'
import { z } from 'zod'

/** Records of the same style and prices of the last year that the forecast of a record can rest on. */
export const forecastEvidence = z
  .object({
    /** Newest first. */
    tests: z.array(
      z.object({
        date: day,
        cookId: id.nullable(),
        units: positiveCount,
        /** Grams of one unit as purchased. */
        unitWeight: positiveGrams,
        shares: z.record(z.string(), z.number()),
        /** Null where nobody measured them. */
        minutesPerUnit: minutes.nullable(),
        /** Ids of the steps that were said done; null where nobody said any. */
        stepsDone: z.array(z.string()).nullable(),
      }),
    ),
    /** What its supplier asked for the item, in the unit that the record was bought in. */
    apPrices: z.array(money),
    offers: z.array(z.object({ name, prices: z.array(money) })),
  })
  .meta({ id: 'ForecastEvidence' })
export type ForecastEvidence = z.infer<typeof forecastEvidence>
