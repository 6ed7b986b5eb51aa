import type { ForecastEvidence } from '@fleam/contract/forecasting/schemas'
import { addDays } from '@fleam/core/calendar'
import { articlesById, articlesOfItems, type PricedArticle } from '../buying/index.ts'
import { requireState } from '../fabrication/index.ts'
import { styleTests } from '../logbook/index.ts'
import { dayOf, type Scope } from '../scope/index.ts'

const DAYS_THAT_SPEAK = 365

/** What the kitchen has measured and been asked for that the forecast of a record can rest on. */
export async function evidenceFor(scope: Scope, fabricationId: string): Promise<ForecastEvidence> {
  const { record } = await requireState(scope, fabricationId)
  const { styleId, itemId, supplierId } = record
  const tests = styleId === null ? [] : ((await styleTests(scope, [styleId])).get(styleId) ?? [])
  const today = dayOf(scope)
  const since = addDays(today, -DAYS_THAT_SPEAK)
  const whole = await articlesOfItems(scope, itemId === null ? [] : [itemId])
  const ready = await articlesById(
    scope,
    record.offers.flatMap((offer) => offer.articleId ?? []),
  )
  const spoken = (prices: readonly PricedArticle[], per: string) =>
    prices.flatMap((article) =>
      article.prices
        .filter((price) => price.price.per === per && price.from >= since && price.from <= today)
        .map((price) => price.price.amount),
    )
  return {
    tests: tests.map((test) => ({
      date: test.date,
      cookId: test.cookId,
      units: test.units,
      unitWeight: test.unitWeight,
      // By the piles of this record.
      shares: Object.fromEntries(
        record.piles.flatMap(({ id, stylePileId }) => {
          const share = test.shares.get(stylePileId ?? '')
          return share === undefined ? [] : [[id, share]]
        }),
      ),
      minutesPerUnit: test.minutes,
      stepsDone: test.stepsDone,
    })),
    apPrices: spoken(
      whole.filter(({ article }) => article.supplierId === supplierId),
      record.purchase.price.per,
    ),
    offers: record.offers.map((offer) => ({
      name: offer.name,
      prices: spoken(
        ready.filter(({ article }) => article.id === offer.articleId),
        offer.price.per,
      ),
    })),
  }
}
