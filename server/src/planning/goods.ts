import { keepingOpened } from '@fleam/catalogue'
import type { LotRow } from '@fleam/contract/receiving/schemas'
import { daysBetween } from '@fleam/core/calendar'
import { lotLastDay } from '@fleam/core/cold-store'
import {
  boardShare,
  type GoodsComing,
  type GoodsWay,
  type KitchenGoods,
  type Known,
  kitchenGoods,
  type PlanGoods,
} from '@fleam/core/planning'
import type { ExpectedLine } from '@fleam/core/plans'
import { isSentBack, purchaseFromLot } from '@fleam/core/receiving'
import { hoursOfWeek } from '@fleam/core/scheduling'
import { median } from '@fleam/core/statistics'
import type { Item } from '@fleam/core/style'
import { articlesOfItems, type CutWay, waysToProducts } from '../buying/index.ts'
import { cooks } from '../kitchen/index.ts'
import { mostPerWeek, type StyleTest, styleTests } from '../logbook/index.ts'
import { lots } from '../receiving/index.ts'
import { dayOf, type Scope } from '../scope/index.ts'
import { suppliers } from '../supplier/index.ts'
import { heldByPlans, unitsHeld } from './held.ts'
import { comingOf } from './rest.ts'
import { latestScheduled } from './store.ts'

/** Schedules that are looked at for what of the cooks' hours is cutting. */
const LATEST_SCHEDULES = 12

/** What a kitchen knows of some products today: ways to make and to buy them, what stands in the cold, who comes when. */
export async function goodsOf(
  scope: Scope,
  { products: productIds, replaces }: { products: readonly string[]; replaces: string | null },
): Promise<PlanGoods> {
  const { wanted, ways, ready } = await waysToProducts(scope, productIds, dayOf(scope))
  const styleIds = [...new Set(ways.map(({ style }) => style.id))]
  const tests = await styleTests(scope, styleIds)
  const most = await mostPerWeek(scope, styleIds)
  const received = (await lots(scope, '')).filter(({ lot }) => !isSentBack(lot.standing))
  const articleOf = await articlesByNumber(scope, ways)
  const { held, waiting } = await heldByPlans(scope, replaces)
  const stocks = received.flatMap(({ lot, usedWeight }) => {
    const stock = stockOf({ lot, usedWeight }, ways, articleOf)
    return stock ? [{ lot, ...stock }] : []
  })
  const taken = unitsHeld(waiting, stocks)
  return kitchenGoods({
    wanted: wanted.flatMap(({ plateWeight, ...product }) =>
      plateWeight === null ? [] : [{ ...product, plateWeight }],
    ),
    ways: ways.map(({ item, style, form }): GoodsWay => {
      const { id: itemId, unitName } = item
      const piles = style.piles.map(({ id, productId }) => ({ id, productId }))
      const shares = sharesOf(tests.get(style.id) ?? [])
      const weekly = most.get(style.id) ?? null
      return { form, itemId, unitName, piles, shares, keepsWhole: keepsWhole(item, received), mostPerWeek: weekly }
    }),
    ready,
    suppliers: (await suppliers(scope)).map(({ id, name, deliveryDays, delivery, minimumOrder }) => ({
      id,
      name,
      deliveryDays,
      charge: { value: delivery, source: 'terms' },
      minimum: { value: minimumOrder ?? 0, source: 'terms' },
    })),
    lots: stocks.map(({ lot, ...stock }) => {
      const takenHere = taken.get(lot.id) ?? 0
      return { ...stock, units: stock.units - takenHere, held: takenHere }
    }),
    coming: replaces === null ? [] : (await comingOf(scope, replaces)).map(asComing),
    held,
    boardShare: await boardShareOf(scope),
    lightPlates: scope.kitchen.lightPlates,
    cooks: (await cooks(scope)).map(({ name, wagePerHour, week }) => ({
      ...{ name, wagePerHour },
      hours: week && hoursOfWeek(week),
    })),
    wagePerHour: scope.kitchen.wagePerHour,
  })
}

/** What of the cooks' hours is cutting, by the schedules that were made for accepted plans. */
async function boardShareOf(scope: Scope): Promise<PlanGoods['boardShare']> {
  const scheduled = await latestScheduled(scope, LATEST_SCHEDULES)
  return boardShare(
    scheduled.map(({ answer, schedule }) => ({
      cuttingMinutes: answer.cutting.reduce((sum, { minutes }) => sum + minutes, 0),
      cookMinutes: schedule.tasks.reduce((sum, { cookId, start, end }) => sum + (cookId === null ? 0 : end - start), 0),
    })),
  )
}

/** A line of an order as what is on its way. */
const asComing = ({ id, kind, articleId, name, supplier, day, packs, units }: ExpectedLine): GoodsComing => ({
  ...{ expectedLineId: id, kind, articleId, name, supplier, day, packs, units },
})

function sharesOf(tests: readonly StyleTest[]): ReadonlyMap<string, readonly number[]> {
  const shares = new Map<string, number[]>()
  for (const test of tests) {
    for (const [pile, share] of test.shares) shares.set(pile, [...(shares.get(pile) ?? []), share])
  }
  return shares
}

/** Days on which a whole one may be cut: by the labels of the lots that came, else as long as its portions keep. */
function keepsWhole(item: Item, received: readonly LotRow[]): Known {
  const kept = received.flatMap(({ lot }) =>
    lot.itemId === item.id && lot.useBy !== null ? [daysBetween(lot.receivedOn, lot.useBy) + 1] : [],
  )
  return kept.length > 0
    ? { value: Math.max(1, Math.floor(median(kept))), source: 'own' }
    : { value: keepingOpened(item.species).chilledDays, source: 'assumed' }
}

/** Articles by their supplier and its number: a lot says which it came as. */
async function articlesByNumber(scope: Scope, ways: readonly CutWay[]): Promise<Map<string, string>> {
  const articles = await articlesOfItems(scope, [...new Set(ways.map(({ item }) => item.id))])
  return new Map(articles.map(({ article }) => [`${article.supplierId} ${article.code}`, article.id]))
}

/** What is left of a lot, in units to cut; null where nothing is, or nobody knows until when. */
function stockOf(
  { lot, usedWeight }: Pick<LotRow, 'lot' | 'usedWeight'>,
  ways: readonly CutWay[],
  articleOf: ReadonlyMap<string, string>,
): Omit<KitchenGoods['lots'][number], 'held'> | null {
  const item = ways.find((way) => way.item.id === lot.itemId)?.item
  const left = lot.isFinished || lot.standing === 'quarantined' ? null : purchaseFromLot(lot, usedWeight)
  if (!item || !left) return null
  const units = left.pieces ?? Math.floor((left.receivedWeight ?? left.invoiceWeight) / item.unitWeight.usual)
  const useBy = lotLastDay({ ...lot, daysOpen: keepingOpened(item.species).chilledDays })?.last
  // What is left of a lot that was cut up is the difference of two scales, and no animal.
  const isRest = left.invoiceWeight < item.unitWeight.low / 2
  if (useBy === undefined || units <= 0 || isRest) return null
  return {
    lotId: lot.id,
    code: lot.code,
    itemId: item.id,
    supplierId: lot.supplierId,
    articleId: articleOf.get(`${lot.supplierId} ${lot.articleNumber ?? ''}`) ?? null,
    units,
    useBy,
  }
}
