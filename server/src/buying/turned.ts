import type { FabricationState } from '@fleam/contract'
import {
  documentOf,
  type FabricationDocument,
  isSamePrice,
  type PriceChange,
  priceOn,
  productOf,
  turnedVerdict,
} from '@fleam/core'
import type { Sequelize } from 'sequelize'
import * as fabrications from '../fabrication/store.ts'
import * as store from './store.ts'

export type DatedChange = PriceChange & { since: string }

/** A record whose verdict new prices have turned. */
export interface TurnedRow {
  id: string
  document: FabricationDocument
  changes: DatedChange[]
}

/** Verdicts that stood when the latest record of each style was made, and would not at a day's prices. */
export async function turnedVerdicts(database: Sequelize, kitchenId: string, day: string): Promise<TurnedRow[]> {
  const states = await fabrications.latestOfEachStyle(database, kitchenId)
  const changesOf = await changesSince(database, kitchenId, states, day)
  return states.flatMap((state) => {
    const document = documentOf(state.record, state)
    const changes = changesOf(state)
    return turnedVerdict(document, changes) === null ? [] : [{ id: state.record.id, document, changes }]
  })
}

/** Prices of a day that are not those of a record any more: of its purchase from its supplier, and of its offers. */
export async function changesSince(
  database: Sequelize,
  kitchenId: string,
  states: readonly FabricationState[],
  day: string,
): Promise<(state: FabricationState) => DatedChange[]> {
  const items = [...new Set(states.map((state) => state.record.item))]
  const products = states.flatMap(({ record }) => record.offers.map((offer) => productOf(record.item, offer.pile)))
  const whole = await store.articlesOfItems(database, kitchenId, items)
  const ready = await store.articlesOfProducts(database, kitchenId, [...new Set(products)])
  return ({ record }) => {
    const purchase = whole.find(
      ({ article, prices }) =>
        article.item === record.item &&
        article.supplier === record.supplier &&
        priceOn(prices, day)?.price.per === record.purchase.price.per,
    )
    const bought = purchase && priceOn(purchase.prices, day)
    const changes: DatedChange[] = []
    if (bought && !isSamePrice(bought.price, record.purchase.price)) {
      changes.push({ kind: 'purchase', price: bought.price, extras: null, since: bought.from })
    }
    for (const offer of record.offers) {
      const article = ready.find((each) => each.article.name === offer.name)
      const price = article && priceOn(article.prices, day)
      if (price && price.price.per === offer.price.per && !isSamePrice(price.price, offer.price)) {
        changes.push({ kind: 'offer', offer: offer.name, price: price.price, since: price.from })
      }
    }
    return changes
  }
}
