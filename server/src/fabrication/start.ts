import type { FabricationRecord, FabricationState, FabricationStep, FabricationWish } from '@fleam/contract'
import { type PlannedPile, type SettledStyle, settleStyle } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import { v7 as newId } from 'uuid'
import { offersOfStyle } from '../buying/offers.ts'
import { Refusal } from '../http/problems.ts'
import { requireKitchen } from '../kitchen/service.ts'
import { cooks, offers } from '../kitchen/store.ts'
import { requireLot } from '../receiving/service.ts'
import { type KnownStyle, requireStyle } from '../style/service.ts'
import { insertOnce } from './insert-once.ts'
import { requireState } from './service.ts'
import * as store from './store.ts'

/** What the style says of its piles' worth; where it says nothing, what was said last time. */
function worthOf(pile: KnownPile, last: FabricationRecord | undefined) {
  const before = last?.piles.find((each) => each.name === pile.name && each.class === pile.class)
  return {
    valuePerKg: pile.valuePerKg ?? before?.valuePerKg ?? null,
    usedShare: pile.usedShare ?? before?.usedShare ?? null,
    processingPerKg: pile.processingPerKg ?? before?.processingPerKg ?? null,
  }
}

type KnownPile = KnownStyle['style']['piles'][number]

function plannedPiles(
  { piles }: SettledStyle<KnownPile>,
  units: number,
  last: FabricationRecord | undefined,
): PlannedPile[] {
  return piles.map((pile) => ({
    id: newId(),
    name: pile.name,
    class: pile.class,
    weighing: pile.weighing,
    expectedShare: pile.expectedShare,
    portions:
      pile.class === 'primary' && pile.portionsPerUnit !== null ? Math.round(pile.portionsPerUnit * units) : null,
    target: pile.bounds?.target ?? null,
    low: pile.bounds?.low ?? null,
    high: pile.bounds?.high ?? null,
    ...worthOf(pile, last),
  }))
}

/** Steps as they stand at the board, with the regions that light up while their piles leave it. */
function boardSteps({ steps, piles }: SettledStyle<KnownPile>): FabricationStep[] {
  const regionOf = (name: string) => piles.find((pile) => pile.name === name)?.region ?? null
  return steps.map(({ when: _when, ...step }) => ({
    ...step,
    piles: [...step.piles],
    mistakes: [...step.mistakes],
    cautions: [...step.cautions],
    regions: [...new Set(step.piles.flatMap((name) => regionOf(name) ?? []))],
  }))
}

/** Consumables of the style for so many units; what the kitchen has not priced costs what it cost last time. */
function consumablesOf({ style }: KnownStyle, units: number, last: FabricationRecord | undefined) {
  const lastUnits = last?.units ?? 1
  return style.consumables.map(({ name, costPerUnit }) => {
    const before = last?.consumables.find((each) => each.name === name)?.cost ?? 0
    return { name, cost: (costPerUnit ?? before / lastUnits) * units }
  })
}

/**
 * Starts a fabrication of one of the kitchen's styles. Piles, labour and offers are copied into the
 * record, so that later changes to them leave it as it was; what the kitchen has not settled is as last time. Sent twice with the same id, it is started once.
 */
export async function start(database: Sequelize, kitchenId: string, wish: FabricationWish): Promise<FabricationState> {
  const kitchen = await requireKitchen(database, kitchenId)
  const known = await requireStyle(database, kitchenId, wish.styleId)
  const cook = wish.cookId === null ? null : (await cooks(database, kitchenId)).find((each) => each.id === wish.cookId)
  if (cook === undefined)
    throw new Refusal('not-found', 'This kitchen has no such cook.', {
      issues: [{ path: 'cookId', message: 'is not a cook here' }],
    })
  const last = (await store.latestOfStyle(database, kitchenId, known.item.name, known.style.name))?.record
  refuseUnknownChoices(known, wish.chosen)
  if (wish.lotId !== null) await requireLot(database, kitchenId, wish.lotId)
  const settled = settleStyle(known.style, wish.chosen)
  const listed = await offersOfStyle(database, kitchen, {
    item: known.item.name,
    style: known.style,
    units: wish.units,
    day: wish.date,
  })
  const said = (await offers(database, kitchenId)).filter((each) => each.styleId === known.style.id)
  // The price book knows today's price of an offer that was said once.
  const saidOnly = said.map((each) => each.offer).filter((each) => !listed.some(({ name }) => name === each.name))
  const ownOffers = [...listed, ...saidOnly]
  const record: FabricationRecord = {
    id: wish.id,
    version: 1,
    status: 'open',
    item: known.item.name,
    style: known.style.name,
    species: known.item.species,
    styleId: known.style.id,
    lotId: wish.lotId,
    units: wish.units,
    rhythm: wish.rhythm,
    drawing: known.item.drawing,
    steps: boardSteps(settled),
    choices: [...settled.choices],
    causes: [],
    currency: kitchen.currency,
    purchase: wish.purchase,
    labour: [
      {
        task: 'break down',
        minutes: settled.minutesPerUnit * wish.units,
        ratePerHour: cook?.wagePerHour ?? kitchen.wagePerHour,
      },
    ],
    consumables: consumablesOf(known, wish.units, last),
    piles: plannedPiles(settled, wish.units, last),
    offers: ownOffers.length > 0 ? ownOffers : (last?.offers ?? []),
    creditPolicy: 'used',
    allocation: 'value',
    confirmed: false,
    date: wish.date,
    cook: cook?.name ?? null,
    supplier: wish.supplier,
    lot: wish.lot,
    notes: null,
    startedAt: wish.startedAt,
    closedAt: null,
    updatedAt: wish.startedAt,
  }
  await insertOnce(database, kitchenId, record, [])
  return requireState(database, kitchenId, record.id)
}

function refuseUnknownChoices({ style }: KnownStyle, chosen: FabricationWish['chosen']): void {
  const isThere = (option: string, choice: string) =>
    style.options.some((each) => each.id === option && each.choices.some(({ id }) => id === choice))
  const issues = Object.entries(chosen).flatMap(([option, choice]) =>
    isThere(option, choice) ? [] : [{ path: `chosen.${option}`, message: 'is not a choice of this style' }],
  )
  if (issues.length > 0) throw new Refusal('invalid-input', 'This style has no such choice.', { issues })
}
