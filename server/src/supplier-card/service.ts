import type { Lot } from '@fleam/contract/receiving/schemas'
import type { SupplierCard, SupplierCards, SupplierCardsQuery } from '@fleam/contract/supplier-card/schemas'
import { isSentBack, lotClaim, SHORT_SHARE } from '@fleam/core/receiving'
import { articlesOfSupplier } from '../buying/index.ts'
import { type StyleSums, styleSums, summary } from '../logbook/index.ts'
import { lotsReceived } from '../receiving/index.ts'
import { dayOf, type Scope } from '../scope/index.ts'
import { suppliers } from '../supplier/index.ts'

/** One card for every supplier that brought something in a span of days, by name. One that is only written has none. */
export async function cards(scope: Scope, query: SupplierCardsQuery): Promise<SupplierCards> {
  // Refuses a span the wrong way round, before anything else is asked.
  const { groups } = await summary(scope, { ...query, group: 'supplier' })
  const [sums, lots, allSuppliers] = await Promise.all([
    styleSums(scope, query),
    lotsReceived(scope, query),
    suppliers(scope),
  ])
  const bringing = new Set([...lots.map(({ supplierId }) => supplierId), ...groups.map(({ key }) => key)])
  const found = allSuppliers
    .filter(({ id }) => bringing.has(id))
    .map(async ({ id, name }): Promise<SupplierCard> => {
      const group = groups.find(({ key }) => key === id)
      return {
        id,
        name,
        records: group?.records ?? 0,
        yieldAgainstStyle: group?.yieldAgainstStyle ?? null,
        items: itemsOf(sums, id),
        deliveries: deliveriesOf(lots.filter(({ supplierId }) => supplierId === id)),
        prices: await pricesOf(scope, id, query),
      }
    })
  return (await Promise.all(found)).sort((a, b) => a.name.localeCompare(b.name))
}

function itemsOf(sums: readonly StyleSums[], supplier: string): SupplierCard['items'] {
  return sums.flatMap(
    ({ supplier: own, item, style, itemName, styleName, records, ap, primaryWeight, spent, portionYield }) => {
      if (own !== supplier) return []
      const others = sums.filter((row) => row.item === item && row.style === style && row.supplier !== supplier)
      const sum = (of: (row: StyleSums) => number) => others.reduce((total, other) => total + of(other), 0)
      return [
        {
          item,
          style,
          itemName,
          styleName,
          ap,
          portionYield,
          records,
          spent,
          primaryWeight,
          others: {
            records: sum((row) => row.records),
            spent: sum((row) => row.spent),
            primaryWeight: sum((row) => row.primaryWeight),
          },
        },
      ]
    },
  )
}

function deliveriesOf(lots: readonly Lot[]): SupplierCard['deliveries'] {
  const claims = lots.map((lot) => ({ lot, claim: lotClaim(lot) }))
  const short = claims.filter(({ claim }) => claim.delivery.shortShare > SHORT_SHARE)
  return {
    count: lots.length,
    short: short.length,
    shortWeight: short.reduce((sum, { claim }) => sum + claim.delivery.short, 0),
    faults: lots.reduce((sum, { checks }) => sum + checks.filter(({ isFault }) => isFault).length, 0),
    sentBack: lots.filter(({ standing }) => isSentBack(standing)).length,
    claimed: claims.reduce((sum, { claim }) => sum + claim.total, 0),
  }
}

/** How prices of what is cut here went; the one that held at the beginning stands first. */
async function pricesOf(
  scope: Scope,
  supplierId: string,
  { from, to }: SupplierCardsQuery,
): Promise<SupplierCard['prices']> {
  const last = to ?? dayOf(scope)
  const articles = await articlesOfSupplier(scope, supplierId)
  return articles.flatMap(({ article, prices }) => {
    const changes = prices
      .filter((price) => price.from <= last)
      .map((price) => ({ from: price.from, amount: price.price.amount, per: price.price.per }))
      .sort((a, b) => (a.from < b.from ? -1 : 1))
    const newest = changes.at(-1)
    if (!newest) return []
    const start = changes.filter((price) => from !== undefined && price.from <= from).at(-1)
    const points = changes.filter(
      (price) => price.per === newest.per && (price === start || from === undefined || price.from > from),
    )
    return [
      {
        article: article.id,
        name: article.name,
        per: newest.per,
        points: points.map((point) => ({ from: point.from, amount: point.amount })),
      },
    ]
  })
}
