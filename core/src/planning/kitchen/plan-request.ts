import { type Day, weekdayOf } from '../../calendar/index.ts'
import type { OrderPlanRequest, PlanPin } from '../order-plan.ts'
import type { ChangeableField, ChangeableKind } from './changeable.ts'
import { daysOf, demandOf } from './draft.ts'
import type { GoodsCook, Known, PlanGoods } from './goods.ts'
import { hoursHeld, kilosHeld } from './held-by-plans.ts'
import type { PlanDraft } from './plan-draft.ts'
import { stockOf } from './stock.ts'
import { saidIn, valueIn } from './values.ts'

/** Packs of one delivery, and units of a cut on one day, where nobody said. */
const USUAL_MOST = { mostPacks: 1000, mostPerDay: 10_000 } as const
/** Hours of one cook at the board on a day, where nobody told the cooks' week. */
export const ASSUMED_HOURS = 8
const MINUTES_PER_HOUR = 60
const DAYS_PER_WEEK = 7
/** So much of one is as good as without a limit. */
const WITHOUT_LIMIT = 100_000

/**
 * Hours of the cooks together on a day that are cutting, less what accepted plans take of them; where no cook says any,
 * one cook's day is assumed.
 */
export function hoursOn(
  { cooks, held, boardShare }: Pick<PlanGoods, 'cooks' | 'held' | 'boardShare'>,
  day: Day,
): Known {
  const withHours = cooks.filter((cook) => cook.hours !== null)
  const usual =
    withHours.length === 0
      ? ASSUMED_HOURS
      : withHours.reduce((sum, { hours }) => sum + (hours?.[weekdayOf(day) - 1] ?? 0), 0)
  return {
    value: Math.max(0, usual * boardShare.value - hoursHeld(held, day)),
    source: withHours.length === 0 ? 'assumed' : 'week',
  }
}

/** What an hour at the board costs: the cooks' wages by their hours in the week, else the kitchen's. */
export function rateOf({ cooks, wagePerHour }: Pick<PlanGoods, 'cooks' | 'wagePerHour'>): number {
  const hoursOf = (cook: GoodsCook) => (cook.hours ?? []).reduce((sum, hours) => sum + hours, 0)
  const hours = cooks.reduce((sum, cook) => sum + hoursOf(cook), 0)
  return hours > 0 ? cooks.reduce((sum, cook) => sum + hoursOf(cook) * cook.wagePerHour, 0) / hours : wagePerHour
}

/** Whether a supplier comes on a day: as it was said for this plan, else on its days of the week. */
export function comesOn(
  draft: Pick<PlanDraft, 'deliveries'>,
  { id, deliveryDays }: PlanGoods['suppliers'][number],
  day: Day,
): boolean {
  const delivery = draft.deliveries.find((delivery) => delivery.supplierId === id && delivery.day === day)
  return delivery ? delivery.comes : (deliveryDays?.includes(weekdayOf(day)) ?? true)
}

/** A plan as the solver is asked: names tell goods apart there, and lead back to their ids. */
export interface AskedPlan {
  request: OrderPlanRequest
  pins: PlanPin[]
  /** Minutes of unpacking and trimming a pack of each ready good: the solver has them in its price, and they are labour. */
  unpacking: { name: string; minutes: number }[]
}

/**
 * What the solver is asked for a draft: demand from covers and portions, everything else from what the kitchen knows, with
 * what was said for this plan in its place. Names of goods are unique by kind; those of wholes and ready goods together.
 */
export function planRequest(draft: PlanDraft, goods: PlanGoods, currency: string): AskedPlan {
  const days = daysOf(draft)
  const nameOf = (list: readonly { id: string; name: string }[]) => new Map(list.map(({ id, name }) => [id, name]))
  const products = nameOf(goods.products)
  const suppliers = nameOf(goods.suppliers)
  const wholes = nameOf(goods.wholes)
  const named = (names: ReadonlyMap<string, string>, id: string) => names.get(id) ?? id
  const rate = rateOf(goods)
  // After the last day that is served nothing made serves anybody: nobody cuts and nobody comes.
  const asked = demandOf(draft).filter(({ productId, quantity }) => products.has(productId) && quantity > 0)
  const wanted = new Set(asked.map(({ productId }) => productId))
  // What gives nothing that is asked for is no way to meet it: the search need not try it.
  const cuts = goods.cuts.filter(({ yields }) => yields.some(({ productId }) => wanted.has(productId)))
  const ready = goods.ready.filter(({ productId }) => wanted.has(productId))
  const lastAsked =
    asked
      .map(({ day }) => day)
      .sort()
      .at(-1) ?? ''
  const change = (kind: ChangeableKind, id: string) => (field: ChangeableField, known: Known) =>
    valueIn(draft, { kind, id, field }, known).value
  const usual = (value: number): Known => ({ value, source: 'assumed' })
  const request: OrderPlanRequest = {
    currency,
    days,
    products: goods.products.map(({ id, name, unit, isWaste, ...rest }) => {
      const value = change('product', id)
      return {
        name,
        unit,
        keepsDays: value('keepsDays', rest.keepsDays),
        cold: value('cold', rest.cold),
        surplusValue: value('surplusValue', rest.surplusValue),
        // What nobody values is of use all the same: into the pot, for the staff; it is worth nothing here.
        surplusUpTo: isWaste ? 0 : usedOver(id, goods, draft),
        disposal: value('disposal', rest.disposal),
      }
    }),
    demand: asked.map(({ productId, day, quantity }) => ({ product: named(products, productId), day, quantity })),
    suppliers: goods.suppliers.map((supplier) => {
      const value = change('supplier', supplier.id)
      return {
        name: supplier.name,
        delivers: days.filter((day) => day <= lastAsked && comesOn(draft, supplier, day)),
        charge: value('charge', supplier.charge),
        minimum: value('minimum', supplier.minimum),
      }
    }),
    wholes: goods.wholes.map((whole) => {
      const value = change('whole', whole.id)
      return {
        name: whole.name,
        supplier: named(suppliers, whole.supplierId),
        pack: whole.pack,
        price: value('price', whole.price),
        mostPacks: value('mostPacks', usual(USUAL_MOST.mostPacks)),
        keepsDays: value('keepsDays', whole.keepsDays),
        cold: value('cold', whole.cold),
      }
    }),
    cuts: cuts.map((cut) => {
      const value = change('cut', cut.id)
      return {
        name: cut.name,
        whole: named(wholes, cut.wholeId),
        minutes: value('minutes', cut.minutes),
        setUp: value('setUp', cut.setUp),
        consumables: value('consumables', cut.consumables),
        restDays: value('restDays', cut.restDays),
        mostPerDay: value('mostPerDay', usual(USUAL_MOST.mostPerDay)),
        yields: cut.yields.map(({ productId, quantity, sd, tests, df }) => ({
          product: named(products, productId),
          quantity: valueIn(draft, { kind: 'yield', id: cut.id, productId, field: 'quantity' }, quantity).value,
          sd,
          tests,
          df,
        })),
      }
    }),
    ready: ready.map((offer) => {
      const value = change('ready', offer.id)
      return {
        name: offer.name,
        supplier: named(suppliers, offer.supplierId),
        product: named(products, offer.productId),
        quantity: value('quantity', offer.quantity),
        // Who buys ready still unpacks, trims and wipes: that is paid with the pack.
        price: value('price', offer.price) + (value('handling', offer.handling) * rate) / MINUTES_PER_HOUR,
        mostPacks: value('mostPacks', usual(USUAL_MOST.mostPacks)),
      }
    }),
    stock: stockOf(goods, draft).map(({ productId, wholeId, quantity, useBy, from }) => ({
      product: productId === null ? null : named(products, productId),
      whole: wholeId === null ? null : named(wholes, wholeId),
      quantity,
      useBy,
      ...(from === null ? {} : { from }),
    })),
    labour: {
      ratePerHour: rate,
      hours: days.map((day) =>
        day > lastAsked ? 0 : (draft.hours.find((hour) => hour.day === day)?.hours ?? hoursOn(goods, day).value),
      ),
    },
    coldSpace: draft.coldSpace === null ? null : Math.max(0, draft.coldSpace - kilosHeld(goods.held, days)),
    service: draft.service,
  }
  const lists = { whole: wholes, ready: nameOf(goods.ready), cut: nameOf(goods.cuts) }
  const pins = draft.pins.flatMap(({ kind, id, ...pin }): PlanPin[] => {
    if (kind === 'supplier') return forbiddenOf(goods, id, pin.day)
    const name = lists[kind].get(id)
    return name === undefined ? [] : [{ kind, name, ...pin }]
  })
  const unpacking = goods.ready.map(({ id, name, handling }) => ({
    name,
    minutes: change('ready', id)('handling', handling),
  }))
  return { request, pins, unpacking }
}

/** Everything that a supplier brings, forbidden. */
const forbiddenOf = ({ wholes, ready }: PlanGoods, supplierId: string, day: Day | null): PlanPin[] =>
  [
    ...wholes.map((whole) => ({ ...whole, kind: 'whole' as const })),
    ...ready.map((article) => ({ ...article, kind: 'ready' as const })),
  ].flatMap((article) =>
    article.supplierId === supplierId
      ? [{ kind: article.kind, name: article.name, day, atLeast: null, atMost: 0 }]
      : [],
  )

/**
 * So much over of a product is worth what it is worth: what the kitchen uses of it in as many weeks as are planned, one
 * at least. Where nobody knows that, as much as can come of what is asked for.
 */
function usedOver(id: string, goods: PlanGoods, draft: PlanDraft): number {
  const typed = saidIn(draft, { kind: 'product', id, field: 'usedPerWeek' })
  const perWeek = typed ?? goods.products.find((product) => product.id === id)?.usedPerWeek?.value ?? null
  if (perWeek === null) return mostOver(id, goods, draft)
  return Math.min(WITHOUT_LIMIT, perWeek * Math.max(1, draft.days / DAYS_PER_WEEK))
}

/**
 * So much over of a product is worth what it is worth: what comes when all that is asked for is cut here. More is
 * nobody's plan: what is over must never be what is cut for. One that is asked for is worth nothing over.
 */
function mostOver(productId: string, goods: PlanGoods, draft: PlanDraft): number {
  const asked = new Map<string, number>()
  for (const askedOf of demandOf(draft))
    asked.set(askedOf.productId, (asked.get(askedOf.productId) ?? 0) + askedOf.quantity)
  if ((asked.get(productId) ?? 0) > 0) return 0
  const over = goods.cuts.map(({ yields }) => {
    const ofProduct = yields.find((other) => other.productId === productId)?.quantity.value ?? 0
    const units = yields.map((other) =>
      other.quantity.value > 0 ? (asked.get(other.productId) ?? 0) / other.quantity.value : 0,
    )
    return ofProduct * Math.max(0, ...units)
  })
  return Math.min(WITHOUT_LIMIT, Math.ceil(Math.max(0, ...over)) * 2)
}
