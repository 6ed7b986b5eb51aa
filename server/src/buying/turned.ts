import type { FabricationRecord, FabricationState } from '@fleam/contract/fabrication/schemas'
import { isSamePrice, type PriceChange, priceOn, turnedVerdict } from '@fleam/core/buying'
import { documentOf, type FabricationDocument } from '@fleam/core/fabrication'
import { latestOfEachStyle, requireState } from '../fabrication/index.ts'
import type { Scope } from '../scope/index.ts'
import * as store from './store.ts'

export type DatedChange = PriceChange & { since: string }

/** A record whose verdict new prices have turned. */
export interface TurnedRow {
  id: string
  document: FabricationDocument
  changes: DatedChange[]
}

/** Verdicts that stood when the latest record of each style was made, and would not at a day's prices. */
export async function turnedVerdicts(scope: Scope, day: string): Promise<TurnedRow[]> {
  const states = await latestOfEachStyle(scope)
  const changesOf = await changesSince(scope, states, day)
  return states.flatMap(({ record, facts }) => {
    // Without a price there was no verdict that could turn.
    if (record.priceFrom === 'none') return []
    const document = documentOf(record, facts)
    const changes = changesOf(record)
    return turnedVerdict(document, changes) === null ? [] : [{ id: record.id, document, changes }]
  })
}

/** Prices of a day that are not those of one record any more. */
export async function movedPrices(scope: Scope, fabricationId: string, day: string): Promise<DatedChange[]> {
  const state = await requireState(scope, fabricationId)
  if (state.record.priceFrom === 'none') return []
  return (await changesSince(scope, [state], day))(state.record)
}

/** Prices of a day that are not those of a record any more: of its purchase from its supplier, and of its offers. */
async function changesSince(
  scope: Scope,
  states: readonly FabricationState[],
  day: string,
): Promise<(record: FabricationRecord) => DatedChange[]> {
  const itemIds = [...new Set(states.flatMap(({ record }) => record.itemId ?? []))]
  const articleIds = states.flatMap(({ record }) => record.offers.flatMap((offer) => offer.articleId ?? []))
  const whole = await store.articlesOfItems(scope, itemIds)
  const ready = new Map(
    (await store.articlesById(scope, [...new Set(articleIds)])).map((article) => [article.article.id, article]),
  )
  return (record) => {
    const purchase = whole.find(
      ({ article, prices }) =>
        article.itemId === record.itemId &&
        article.supplierId === record.supplierId &&
        priceOn(prices, day)?.price.per === record.purchase.price.per,
    )
    const bought = purchase && priceOn(purchase.prices, day)
    const changes: DatedChange[] = []
    if (bought && !isSamePrice(bought.price, record.purchase.price)) {
      changes.push({ kind: 'purchase', price: bought.price, extras: null, since: bought.from })
    }
    for (const offer of record.offers) {
      const article = ready.get(offer.articleId ?? '')
      const price = article && priceOn(article.prices, day)
      if (price && price.price.per === offer.price.per && !isSamePrice(price.price, offer.price)) {
        changes.push({ kind: 'offer', offer: offer.name, price: price.price, since: price.from })
      }
    }
    return changes
  }
}
