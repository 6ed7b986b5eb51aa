import { z } from 'zod'
import { day, minutes, money, name } from './numbers.ts'

/** Records of the same style and prices of the last year that the forecast of a record can rest on. */
export const forecastEvidence = z
  .object({
    tests: z.array(z.object({ date: day, shares: z.record(z.string(), z.number()), minutesPerUnit: minutes })),
    /** What its supplier asked for the item, in the unit that the record was bought in. */
    apPrices: z.array(money),
    offers: z.array(z.object({ name, prices: z.array(money) })),
  })
  .meta({ id: 'ForecastEvidence' })
export type ForecastEvidence = z.infer<typeof forecastEvidence>
