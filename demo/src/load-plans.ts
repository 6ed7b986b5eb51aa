import {
  type ExpectedLine,
  editOf,
  type FabricationState,
  type Item,
  type KeptSchedule,
  type Plan,
  type PlannedFabrication,
  type Product,
} from '@fleam/contract'
import { addDays, type PlanDraft, type PlanGoods, planOrders, planRequest, solveMixedWith } from '@fleam/core'
import { randomLcg } from 'd3-random'
import loadHighs from 'highs'
import type { Client } from './client.ts'
import { loadSchedule } from './load-schedule.ts'
import { draftOf, PLANS } from './plans.ts'
import { type DemoKitchen, idSource, playSession } from './scenario.ts'

const SEED = 17
const PACK_MS = 10 * 60_000
/** For a plan and what stands beside it: nobody waits longer for the demo. */
const SECONDS = 6

interface Loading {
  client: Client
  path: string
  kitchen: DemoKitchen
  now: Date
  newId: () => string
  random: () => number
}

const dayOf = (now: Date) => now.toISOString().slice(0, 10)

/** Plans of the kitchen: a week that is half done, and a feast that nobody has accepted yet. */
export async function loadPlans(client: Client, path: string, kitchen: DemoKitchen, now: Date): Promise<void> {
  const random = randomLcg(SEED)
  const loading: Loading = { client, path, kitchen, now, random, newId: idSource(random) }
  const products = (await client.get<Product[]>(`${path}/products`)) ?? []
  for (const script of PLANS) {
    const id = loading.newId()
    const known = await client.get<Plan>(`${path}/plans/${id}`)
    const draft = draftOf(script, products, dayOf(now))
    const plan = known ?? (await client.send<Plan>('POST', `${path}/plans`, { id, name: script.name, draft }))
    if (!script.isAccepted) continue
    const accepted = plan.accepted ? plan : await accept(loading, plan)
    const scheduled = accepted.schedule ? accepted : await loadSchedule({ client, path, plan: accepted, script })
    await fulfil(loading, scheduled)
  }
}

async function accept({ client, path, kitchen }: Loading, plan: Plan): Promise<Plan> {
  const products = plan.draft.menu.map(({ productId }) => productId).join(',')
  const goods = (await client.get<PlanGoods>(`${path}/plan-goods?products=${products}`)) as PlanGoods
  // What is in the cold today was not there when the week was planned.
  const draft: PlanDraft = { ...plan.draft, lotsLeft: goods.stock.map(({ lotId }) => lotId) }
  const { request } = planRequest(draft, goods, kitchen.script.currency)
  const answer = planOrders(request, solveMixedWith(await loadHighs()), { seconds: SECONDS })
  return client.send<Plan>('POST', `${path}/plans/${plan.id}/acceptance`, {
    version: plan.version,
    draft,
    goods,
    answer,
  })
}

/** What lies before today has come and is cut; one bird of one delivery was missing. */
async function fulfil(loading: Loading, { accepted, schedule }: Plan): Promise<void> {
  if (!accepted) return
  const today = dayOf(loading.now)
  const lotOf = new Map<string, { id: string; code: string }>()
  const items = (await loading.client.get<Item[]>(`${loading.path}/items`)) ?? []
  const came = accepted.expected.filter(({ day }) => day < today)
  const short = came.find(({ kind }) => kind === 'whole')
  for (const line of came) {
    const lotId = loading.newId()
    if (line.lots.length > 0 || line.arrived !== null) continue
    if (line.kind === 'ready') {
      await loading.client.send('PUT', `${loading.path}/expected/${line.id}`, { arrived: line.packs })
      continue
    }
    await receive(loading, line, { lotId, isShort: line === short, item: items.find(({ id }) => id === line.itemId) })
    lotOf.set(line.id, { id: lotId, code: codeOf(line, lotId) })
  }
  for (const planned of accepted.planned.filter(({ day }) => day < today)) {
    const item = items.find(({ id }) => id === planned.itemId)
    const endedAt = await cut(loading, planned, { item, lot: lotOf.get(planned.expectedLineId ?? '') ?? null })
    if (endedAt !== null) await packed(loading, planned, { tasks: schedule?.tasks ?? [], endedAt })
  }
}

/** The supplier's lot: the day and a number. */
const codeOf = ({ day }: ExpectedLine, lotId: string) => `${day.slice(5).replace('-', '')}-${lotId.slice(-4)}`

interface Received {
  lotId: string
  /** One of it is missing. */
  isShort: boolean
  item: Item | undefined
}

async function receive({ client, path, newId }: Loading, line: ExpectedLine, { lotId, isShort, item }: Received) {
  const pieces = line.units - (isShort ? 1 : 0)
  const grams = Math.round(pieces * (item?.unitWeight.usual ?? 1000))
  await client.send('POST', `${path}/lots`, {
    id: lotId,
    itemId: line.itemId,
    supplierId: line.supplierId,
    code: codeOf(line, lotId),
    gtin: null,
    price: { amount: ((line.price * line.packs) / grams) * 1000, per: 'kg' },
    extras: null,
    pieces,
    receivedOn: line.day,
    productionDate: null,
    useBy: addDays(line.day, 4),
    openedOn: null,
    isFinished: false,
    notes: null,
    expectedLineId: line.id,
    cases: [{ id: newId(), label: null, serial: '1', invoiceWeight: grams, weighed: grams }],
    checks: [],
  })
}

/** What was cut was packed after it. */
async function packed(
  { client, path }: Loading,
  { id, planId }: PlannedFabrication,
  { tasks, endedAt }: { tasks: KeptSchedule['tasks']; endedAt: string },
): Promise<void> {
  const doneAt = new Date(new Date(endedAt).getTime() + PACK_MS).toISOString()
  for (const task of tasks) {
    if (task.jobId !== id || task.kind !== 'pack') continue
    await client.send('PUT', `${path}/plans/${planId}/told`, { taskId: task.id, begunAt: endedAt, doneAt })
  }
}

/** One planned fabrication as it was really cut: a little otherwise than it was planned. */
async function cut(
  loading: Loading,
  planned: PlannedFabrication,
  { lot, item }: { lot: { id: string; code: string } | null; item: Item | undefined },
): Promise<string | null> {
  const { client, path, kitchen, now, random, newId } = loading
  const { cooks } = kitchen.script
  const cookAt = Math.floor(random() * cooks.length)
  const daysAgo = Math.round((now.getTime() - new Date(`${planned.day}T08:00:00Z`).getTime()) / 86_400_000)
  const session = playSession(
    {
      style: planned.style,
      daysAgo: Math.max(1, daysAgo),
      cook: cooks[cookAt]?.name ?? '',
      supplier: '',
      price: { amount: 1, per: 'kg' },
      extras: 0,
      birds: planned.units,
      skill: 0.985 + random() * 0.03,
      pace: (planned.minutes / planned.units) * (0.95 + random() * 0.15),
    },
    now,
    random,
    newId,
  )
  if (planned.fabricationId !== null) return null
  const { record } = await client.send<FabricationState>('POST', `${path}/fabrications`, {
    id: session.id,
    styleId: planned.styleId,
    units: planned.units,
    purchase: {
      price: null,
      invoiceWeight: Math.round(planned.units * (item?.unitWeight.usual ?? 1000)),
      receivedWeight: session.receivedWeight,
      purge: session.purge,
      pieces: planned.units,
      cases: 1,
    },
    cookId: kitchen.cookIds[cookAt] ?? null,
    supplierId: planned.supplierId,
    lot: lot?.code ?? null,
    lotId: lot?.id ?? null,
    plannedId: planned.id,
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
  const labour = record.labour.map((entry) => ({ ...entry, minutes: session.minutes }))
  await client.send(
    'PUT',
    `${path}/fabrications/${session.id}`,
    editOf(record, { labour, labourFrom: 'timed', status: 'closed' }),
  )
  return session.weighings.at(-1)?.takenAt ?? null
}
