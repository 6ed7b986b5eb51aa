import type { ForecastEvidence } from '@fleam/contract'
import { addDays, productOf } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import * as buying from '../buying/store.ts'
import { requireState } from '../fabrication/service.ts'
import * as styles from '../style/store.ts'
import { styleTests } from './tests.ts'

const DAYS_THAT_SPEAK = 365

/** What the kitchen has measured and been asked for that the forecast of a record can rest on. */
export async function evidenceFor(
  database: Sequelize,
  kitchenId: string,
  fabricationId: string,
  today: string,
): Promise<ForecastEvidence> {
  const { record } = await requireState(database, kitchenId, fabricationId)
  const styleId = record.styleId ?? (await styleByName(database, kitchenId, record))
  const tests = styleId === null ? [] : await styleTests(database, kitchenId, styleId)
  const since = addDays(today, -DAYS_THAT_SPEAK)
  const whole = await buying.articlesOfItems(database, kitchenId, [record.item])
  const products = [...new Set(record.offers.map((offer) => productOf(record.item, offer.pile)))]
  const ready = await buying.articlesOfProducts(database, kitchenId, products)
  const spoken = (prices: readonly buying.PricedArticle[], per: string) =>
    prices.flatMap((article) =>
      article.prices
        .filter((price) => price.price.per === per && price.from >= since && price.from <= today)
        .map((price) => price.price.amount),
    )
  const ofSupplier = whole.filter(({ article }) => article.supplier === record.supplier)
  return {
    tests: tests.map((test) => ({
      date: test.date,
      cook: test.cook,
      units: test.units,
      unitWeight: test.unitWeight,
      shares: Object.fromEntries(test.shares),
      minutesPerUnit: test.minutes,
      stepsDone: test.stepsDone,
    })),
    apPrices: spoken(ofSupplier, record.purchase.price.per),
    offers: record.offers.map((offer) => ({
      name: offer.name,
      prices: spoken(
        ready.filter(({ article }) => article.name === offer.name),
        offer.price.per,
      ),
    })),
  }
}

/** The style of a record that came as a file: it names its item and style, and has no id of them. */
async function styleByName(
  database: Sequelize,
  kitchenId: string,
  { item, style }: { item: string; style: string },
): Promise<string | null> {
  const known = (await styles.items(database, kitchenId)).find((each) => each.name === item)
  return known?.styles.find((each) => each.name === style)?.id ?? null
}
