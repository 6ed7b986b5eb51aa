import { buyingOperations, priceListOperations } from '@fleam/contract/buying/operations'
import { editOf } from '@fleam/contract/fabrication/edit'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { factOperations } from '@fleam/contract/facts/operations'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { LOGBOOK_FORMAT } from '@fleam/contract/logbook/schemas'
import { logbookImportOperations, startOperations } from '@fleam/contract/new-records/operations'
import { receivingOperations } from '@fleam/contract/receiving/operations'
import type { LotEdit } from '@fleam/contract/receiving/schemas'
import { styleOperations } from '@fleam/contract/style/operations'
import { supplierOperations } from '@fleam/contract/supplier/operations'
import { addDays, minutesSince } from '@fleam/core/calendar'
import { guessMapping, readTable } from '@fleam/core/price-lists'
import { MINUTES_OF_A_DAY } from '@fleam/core/scheduling'
import type { Style } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { createOnce, found, type KitchenClient, kitchenClient } from './client.ts'
import { CHICKEN_STYLE, type KitchenScript } from './kitchens.ts'
import { loadPlans } from './load-plans.ts'
import { pastRecords } from './past-records.ts'
import type { PlanSource } from './plan-source.ts'
import { priceBook, SUPPLIER_TERMS } from './price-book.ts'
import { type DemoKitchen, type DemoLot, type DemoSession, scenario } from './scenario.ts'

const { readFabrication, updateFabrication } = fabricationOperations
const { listSuppliers, updateSupplier } = supplierOperations

/** Loads the demo kitchens once, through the API. Broken off, it goes on where it stopped. */
export async function loadDemo(url: string, now: Date, plans?: PlanSource): Promise<void> {
  const kitchens = scenario(now)
  const last = kitchens.at(-1)
  const lastSession = last?.sessions.at(-1)
  if (!last || !lastSession) return
  const { call, kitchenId } = kitchenClient(url, last.id)
  const lastRecord = await found(call(readFabrication, { kitchenId, fabricationId: lastSession.id }))
  if (lastRecord?.record.status === 'closed') return
  for (const kitchen of kitchens) await loadKitchen(kitchenClient(url, kitchen.id), kitchen, now, plans)
}

async function loadKitchen(client: KitchenClient, kitchen: DemoKitchen, now: Date, plans?: PlanSource): Promise<void> {
  const { id, script, cookIds, offerId, sessions } = kitchen
  const { name, currency, units, timeZone, wagePerHour, cooks, offer } = script
  const { call, kitchenId } = client
  await createOnce(
    call(kitchenOperations.setUpKitchen, { body: { id, name, currency, units, timeZone, wagePerHour } }),
    () => call(kitchenOperations.readKitchen, { kitchenId }),
  )
  for (const [at, cook] of cooks.entries()) {
    const body = { id: cookIds[at] as string, ...cook }
    await createOnce<unknown>(call(kitchenOperations.createCook, { kitchenId, body }), async () => null)
  }
  const styles = await valueStyles(client, script)
  const { supplier, pile, ...offered } = offer
  const chicken = styles.get(CHICKEN_STYLE)
  const pileId = chicken?.piles.find((other) => other.name === pile)?.id
  const supplierId = await supplierIdOf(client, supplier)
  const valued = { usableShare: 0.97, handlingMinutesPerPiece: 0.2, ratePerHour: wagePerHour, extras: 0 }
  const body = {
    id: offerId,
    styleId: chicken?.id ?? '',
    supplierId,
    offer: { ...offered, pileId: pileId ?? '', ...valued },
  }
  await createOnce<unknown>(call(kitchenOperations.createOffer, { kitchenId, body }), async () => null)
  if (script.hasPriceBook) await loadBuying(client, kitchen, now)
  if (script.hasHistory) await loadHistory(client, now)
  for (const session of sessions) {
    const cook = cooks.findIndex((cook) => cook.name === session.script.cook)
    const style = styles.get(session.script.style ?? CHICKEN_STYLE)
    const lot = session.script.event === 'half-done' ? kitchen.lots[0] : undefined
    if (style) await loadSession(client, style, cookIds[cook] ?? null, session, lot)
  }
  if (script.hasPriceBook) await loadPlans(client, kitchen, now, plans)
}

/** The months before, as documents of another day. */
async function loadHistory(client: KitchenClient, now: Date): Promise<void> {
  const { call, kitchenId } = client
  const records = pastRecords(dayAfter(now, 0))
  // They are taken in all or none.
  if (await found(call(readFabrication, { kitchenId, fabricationId: records.at(-1)?.id ?? '' }))) return
  for (const supplier of new Set(records.flatMap(({ document }) => document.meta?.supplier ?? []))) {
    await supplierIdOf(client, supplier)
  }
  await call(logbookImportOperations.importLogbook, {
    kitchenId,
    body: { format: LOGBOOK_FORMAT, version: 1, records },
  })
}

/** The supplier of a name, added where it is not there yet. */
async function supplierIdOf({ call, kitchenId }: KitchenClient, name: string): Promise<string> {
  const suppliers = await call(updateSupplier, { kitchenId, body: { id: newId(), name } })
  return suppliers.find((supplier) => supplier.name === name)?.id as string
}

/** Prices as one list, the suppliers' terms, and what is in the cold. */
async function loadBuying(client: KitchenClient, { lots, script }: DemoKitchen, now: Date): Promise<void> {
  const { call, kitchenId } = client
  // Broken off after the prices, it goes on without them: their days have moved with today.
  const articles = await call(buyingOperations.listArticles, { kitchenId, query: { limit: 1 } })
  if (articles.total === 0) await loadPrices(client, now)
  const items = await call(styleOperations.listItems, { kitchenId })
  for (const lot of lots) {
    const itemId = items.find((item) => item.name === lot.script.item)?.id as string
    const supplierId = await supplierIdOf(client, lot.script.supplier)
    // Its days have moved with today where it is there already.
    const body = lotOf(lot, { itemId, supplierId }, dayInKitchen(now, script.timeZone))
    await createOnce<unknown>(call(receivingOperations.receiveLot, { kitchenId, body }), async () => null)
  }
}

async function loadPrices({ call, kitchenId }: KitchenClient, now: Date): Promise<void> {
  const csv = priceBook(now)
  const mapping = guessMapping(readTable(csv, 1).headers, dayAfter(now, 0))
  await call(priceListOperations.importPriceList, { kitchenId, body: { csv, mapping } })
  const suppliers = await call(listSuppliers, { kitchenId })
  for (const supplier of suppliers) {
    const terms = SUPPLIER_TERMS.find((supplierTerm) => supplierTerm.name === supplier.name)
    if (terms) await call(updateSupplier, { kitchenId, body: { ...supplier, ...terms } })
  }
}

const DAY_MS = 24 * 3600 * 1000
const dayAfter = (now: Date, days: number) => new Date(now.getTime() + days * DAY_MS).toISOString().slice(0, 10)

/** A lot keeps by the kitchen's own calendar: after its midnight it is a day older, whatever day it is elsewhere. */
const dayInKitchen = (now: Date, timeZone: string) =>
  addDays(dayAfter(now, 0), Math.floor(minutesSince(dayAfter(now, 0), timeZone, now) / MINUTES_OF_A_DAY))

function lotOf({ id, script, caseIds }: DemoLot, of: { itemId: string; supplierId: string }, today: string): LotEdit {
  const { code, price, pieces, checks, openedDaysAgo } = script
  return {
    id,
    version: 1,
    ...of,
    code,
    gtin: null,
    price,
    extras: null,
    pieces,
    receivedOn: addDays(today, -script.receivedDaysAgo),
    productionDate: addDays(today, -script.receivedDaysAgo - 2),
    useBy: addDays(today, script.useByInDays),
    openedOn: openedDaysAgo === undefined ? null : addDays(today, -openedDaysAgo),
    isFinished: false,
    standing: 'accepted',
    standingReason: null,
    standingById: null,
    invoiceNumber: null,
    orderNumber: null,
    articleNumber: null,
    expectedLineId: null,
    notes: null,
    cases: script.cases.map((lotCase, index) => ({
      id: caseIds[index] as string,
      label: null,
      serial: String(index + 1),
      ...lotCase,
    })),
    checks: [...checks],
  }
}

/** Says what the piles of this kitchen's styles are worth; returns the styles by name. */
async function valueStyles({ call, kitchenId }: KitchenClient, script: KitchenScript): Promise<Map<string, Style>> {
  const items = await call(styleOperations.listItems, { kitchenId })
  const styles = new Map<string, Style>()
  for (const [name, values] of Object.entries(script.values)) {
    const style = items.flatMap((item) => item.styles).find((entry) => entry.name === name)
    if (!style) throw new Error(`The catalogue has no style '${name}'`)
    const piles = style.piles.map((pile) => ({
      ...pile,
      valuePerKg: values[pile.name]?.valuePerKg ?? null,
      usedShare: values[pile.name]?.usedShare ?? null,
      processingPerKg: values[pile.name]?.processingPerKg ?? null,
    }))
    const body = { ...style, piles }
    styles.set(name, await call(styleOperations.updateStyle, { kitchenId, styleId: style.id, body }))
  }
  return styles
}

async function loadSession(
  client: KitchenClient,
  style: Style,
  cookId: string | null,
  session: DemoSession,
  lot: DemoLot | undefined,
) {
  const { script } = session
  const { call, kitchenId } = client
  const started = {
    id: session.id,
    styleId: style.id,
    units: script.birds,
    purchase: {
      price: script.price,
      invoiceWeight: session.invoiceWeight,
      receivedWeight: session.receivedWeight,
      purge: session.purge,
      pieces: script.birds,
      cases: 1,
      extras: script.extras,
    },
    cookId,
    supplierId: await supplierIdOf(client, script.supplier),
    lot: lot?.script.code ?? null,
    lotId: lot?.id ?? null,
    date: session.date,
    startedAt: session.startedAt,
  }
  const { record } = await createOnce(call(startOperations.startFabrication, { kitchenId, body: started }), () =>
    call(readFabrication, { kitchenId, fabricationId: session.id }),
  )
  const pileId = (name: string) => record.piles.find((pile) => pile.name === name)?.id as string
  const facts = session.weighings.map(({ pile, ...weighing }, index) => ({
    kind: 'reading' as const,
    ...weighing,
    order: index + 1,
    fabricationId: session.id,
    pileId: pileId(pile),
    source: 'scale' as const,
  }))
  await call(factOperations.createFacts, { kitchenId, body: { facts } })
  if (record.status === 'open' && record.version === 1)
    await call(updateFabrication, { kitchenId, fabricationId: session.id, body: asItEnded(record, session) })
}

function asItEnded(record: FabricationState['record'], session: DemoSession) {
  return editOf(record, {
    labour: record.labour.map((entry) => ({ ...entry, minutes: session.minutes })),
    labourFrom: session.isClosed ? 'timed' : 'assumed',
    consumables: [{ name: 'bags and labels', cost: 0.3 * session.script.birds }],
    piles: record.piles.map((pile) =>
      pile.name === 'bones and back' && session.bonesUsedShare !== null
        ? { ...pile, usedShare: session.bonesUsedShare }
        : pile,
    ),
    status: session.isClosed ? 'closed' : 'open',
  })
}
