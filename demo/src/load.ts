import type { Supplier } from '@fleam/contract/buying'
import { editOf } from '@fleam/contract/edit'
import type { FabricationState } from '@fleam/contract/fabrication'
import { LOGBOOK_FORMAT } from '@fleam/contract/logbook'
import { guessMapping } from '@fleam/contract/price-columns'
import { readTable } from '@fleam/contract/price-list'
import type { LotEdit } from '@fleam/contract/receiving'
import type { Item, Style } from '@fleam/contract/style'
import { addDays, minutesSince } from '@fleam/core/calendar'
import { MINUTES_OF_A_DAY } from '@fleam/core/scheduling'
import { v7 as newId } from 'uuid'
import { Client } from './client.ts'
import { CHICKEN_STYLE, type KitchenScript } from './kitchens.ts'
import { loadPlans } from './load-plans.ts'
import { pastRecords } from './past-records.ts'
import type { PlanSource } from './plan-source.ts'
import { priceBook, SUPPLIER_TERMS } from './price-book.ts'
import { type DemoKitchen, type DemoLot, type DemoSession, scenario } from './scenario.ts'

const STALE = 409

/** Loads the demo kitchens once, through the API. Broken off, it goes on where it stopped. */
export async function loadDemo(url: string, now: Date, plans?: PlanSource): Promise<void> {
  const client = new Client(url)
  const kitchens = scenario(now)
  const last = kitchens.at(-1)
  const lastSession = last?.sessions.at(-1)
  const known = await client.get<FabricationState>(`/api/kitchens/${last?.id}/fabrications/${lastSession?.id}`)
  if (known?.record.status === 'closed') return
  for (const kitchen of kitchens) await loadKitchen(client, kitchen, now, plans)
}

async function loadKitchen(client: Client, kitchen: DemoKitchen, now: Date, plans?: PlanSource): Promise<void> {
  const { id, script, cookIds, offerId, sessions } = kitchen
  const { name, currency, units, timeZone, wagePerHour, cooks, offer } = script
  await client.create('/api/kitchens', { id, name, currency, units, timeZone, wagePerHour })
  const path = `/api/kitchens/${id}`
  for (const [at, cook] of cooks.entries())
    await client.send('POST', `${path}/cooks`, { id: cookIds[at], ...cook }, [STALE])
  const styles = await valueStyles(client, path, script)
  const { supplier, pile, ...offered } = offer
  const chicken = styles.get(CHICKEN_STYLE)
  const pileId = chicken?.piles.find((each) => each.name === pile)?.id
  const supplierId = await supplierIdOf(client, path, supplier)
  await client.send(
    'POST',
    `${path}/offers`,
    {
      id: offerId,
      styleId: chicken?.id,
      supplierId,
      offer: {
        ...offered,
        pileId,
        usableShare: 0.97,
        handlingMinutesPerPiece: 0.2,
        ratePerHour: wagePerHour,
        extras: 0,
      },
    },
    [STALE],
  )
  if (script.hasPriceBook) await loadBuying(client, path, kitchen, now)
  if (script.hasHistory) await loadHistory(client, path, now)
  for (const session of sessions) {
    const cook = cooks.findIndex((each) => each.name === session.script.cook)
    const style = styles.get(session.script.style ?? CHICKEN_STYLE)
    const lot = session.script.event === 'half-done' ? kitchen.lots[0] : undefined
    if (style) await loadSession(client, path, style, cookIds[cook] ?? null, session, lot)
  }
  if (script.hasPriceBook) await loadPlans(client, path, kitchen, now, plans)
}

/** The months before, as documents of another day. */
async function loadHistory(client: Client, path: string, now: Date): Promise<void> {
  const records = pastRecords(dayAfter(now, 0))
  // They are taken in all or none.
  if (await client.get(`${path}/fabrications/${records.at(-1)?.id}`)) return
  for (const supplier of new Set(records.flatMap(({ document }) => document.meta?.supplier ?? []))) {
    await supplierIdOf(client, path, supplier)
  }
  await client.send('POST', `${path}/logbook/import`, { format: LOGBOOK_FORMAT, version: 1, records })
}

/** The supplier of a name, added where it is not there yet. */
async function supplierIdOf(client: Client, path: string, name: string): Promise<string> {
  const suppliers = await client.send<Supplier[]>('PUT', `${path}/suppliers`, { id: newId(), name })
  return suppliers.find((each) => each.name === name)?.id as string
}

/** Prices as one list, the suppliers' terms, and what is in the cold. */
async function loadBuying(client: Client, path: string, { lots, script }: DemoKitchen, now: Date): Promise<void> {
  // Broken off after the prices, it goes on without them: their days have moved with today.
  const known = await client.get<{ total: number }>(`${path}/articles?limit=1`)
  if (!known?.total) await loadPrices(client, path, now)
  const items = (await client.get<Item[]>(`${path}/items`)) ?? []
  for (const lot of lots) {
    const itemId = items.find((item) => item.name === lot.script.item)?.id as string
    const supplierId = await supplierIdOf(client, path, lot.script.supplier)
    // Its days have moved with today where it is there already.
    await client.send('POST', `${path}/lots`, lotOf(lot, { itemId, supplierId }, dayInKitchen(now, script.timeZone)), [
      STALE,
    ])
  }
}

async function loadPrices(client: Client, path: string, now: Date): Promise<void> {
  const csv = priceBook(now)
  const mapping = guessMapping(readTable(csv, 1).headers, dayAfter(now, 0))
  await client.send('POST', `${path}/price-lists`, { csv, mapping })
  const suppliers = (await client.get<Supplier[]>(`${path}/suppliers`)) ?? []
  for (const supplier of suppliers) {
    const terms = SUPPLIER_TERMS.find((each) => each.name === supplier.name)
    if (terms) await client.send('PUT', `${path}/suppliers`, { ...supplier, ...terms })
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
    cases: script.cases.map((each, at) => ({
      id: caseIds[at] as string,
      label: null,
      serial: String(at + 1),
      ...each,
    })),
    checks: [...checks],
  }
}

/** Says what the piles of this kitchen's styles are worth; returns the styles by name. */
async function valueStyles(client: Client, path: string, script: KitchenScript): Promise<Map<string, Style>> {
  const items = (await client.get<Item[]>(`${path}/items`)) ?? []
  const styles = new Map<string, Style>()
  for (const [name, values] of Object.entries(script.values)) {
    const style = items.flatMap((item) => item.styles).find((each) => each.name === name)
    if (!style) throw new Error(`The catalogue has no style '${name}'`)
    const piles = style.piles.map((pile) => ({
      ...pile,
      valuePerKg: values[pile.name]?.valuePerKg ?? null,
      usedShare: values[pile.name]?.usedShare ?? null,
      processingPerKg: values[pile.name]?.processingPerKg ?? null,
    }))
    styles.set(name, await client.send<Style>('PUT', `${path}/styles/${style.id}`, { ...style, piles }))
  }
  return styles
}

async function loadSession(
  client: Client,
  path: string,
  style: Style,
  cookId: string | null,
  session: DemoSession,
  lot: DemoLot | undefined,
) {
  const { script } = session
  const { record } = await client.create<FabricationState>(`${path}/fabrications`, {
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
    supplierId: await supplierIdOf(client, path, script.supplier),
    lot: lot?.script.code ?? null,
    lotId: lot?.id ?? null,
    date: session.date,
    startedAt: session.startedAt,
  })
  const pileId = (name: string) => record.piles.find((pile) => pile.name === name)?.id
  const facts = session.weighings.map(({ pile, ...weighing }, at) => ({
    kind: 'reading',
    ...weighing,
    order: at + 1,
    fabricationId: session.id,
    pileId: pileId(pile),
    source: 'scale',
  }))
  await client.send('POST', `${path}/facts`, { facts })
  if (record.status === 'open' && record.version === 1)
    await client.send('PUT', `${path}/fabrications/${session.id}`, asItEnded(record, session))
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
