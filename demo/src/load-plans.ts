import { buyingOperations } from '@fleam/contract/buying/operations'
import { editOf } from '@fleam/contract/fabrication/edit'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { factOperations } from '@fleam/contract/facts/operations'
import { startOperations } from '@fleam/contract/new-records/operations'
import { planOperations } from '@fleam/contract/planning/operations'
import { receivingOperations } from '@fleam/contract/receiving/operations'
import { kitchenScheduleOperations } from '@fleam/contract/scheduling/operations'
import { styleOperations } from '@fleam/contract/style/operations'
import { addDays } from '@fleam/core/calendar'
import type { PlanDraft } from '@fleam/core/planning'
import type { ExpectedLine, KeptSchedule, Plan, PlannedFabrication } from '@fleam/core/plans'
import { USUAL_WORK, usualStyleWork } from '@fleam/core/scheduling'
import type { Item } from '@fleam/core/style'
import { randomLcg } from 'd3-random'
import { createOnce, found, type KitchenClient } from './client.ts'
import { type Place, type PlanSource, shippedSource } from './plan-source.ts'
import { draftOf, PLANS } from './plans.ts'
import { type DemoKitchen, idSource, playSession } from './scenario.ts'

const { readPlan, createPlan, acceptPlan, updateExpected } = planOperations
const { updateSchedule, updateStyleWork, updateToldTask } = kitchenScheduleOperations

const SEED = 17
const PACK_MS = 10 * 60_000

interface Loading {
  client: KitchenClient
  kitchen: DemoKitchen
  now: Date
  source: PlanSource
}

const dayOf = (now: Date) => now.toISOString().slice(0, 10)

/** Plans of the kitchen: a week that is under way, a feast, and a week that nobody has accepted yet. */
export async function loadPlans(
  client: KitchenClient,
  kitchen: DemoKitchen,
  now: Date,
  source: PlanSource = shippedSource,
): Promise<void> {
  const newId = idSource(randomLcg(SEED))
  const { call, kitchenId } = client
  const loading: Loading = { client, kitchen, now, source }
  const products = await call(buyingOperations.listProducts, { kitchenId })
  for (const script of PLANS) {
    const id = newId()
    const place: Place = { client, script }
    const plan =
      (await found(call(readPlan, { kitchenId, planId: id }))) ??
      (await call(createPlan, {
        kitchenId,
        body: { id, name: script.name, draft: draftOf(script, products, dayOf(now)) },
      }))
    if (!script.isAccepted) continue
    const accepted = plan.accepted ? plan : await accept(loading, place, plan)
    await fulfil(loading, accepted.schedule ? accepted : await schedule(loading, place, accepted))
  }
}

async function accept({ source }: Loading, at: Place, plan: Plan): Promise<Plan> {
  const { goods, answer } = await source.answer(at, plan.draft)
  // What is in the cold today was not there when the week was planned.
  const draft: PlanDraft = { ...plan.draft, lotsLeft: goods.stock.map(({ lotId }) => lotId) }
  const { call, kitchenId } = at.client
  return call(acceptPlan, { kitchenId, planId: plan.id, body: { version: plan.version, draft, goods, answer } })
}

async function schedule({ source }: Loading, at: Place, plan: Plan): Promise<Plan> {
  await updateLineWork(at, plan)
  const { call, kitchenId } = at.client
  const body = { version: plan.version, schedule: await source.schedule(at, plan) }
  return call(updateSchedule, { kitchenId, planId: plan.id, body })
}

/** Says that the styles of a plan are cut by a line, with helpers who carry. */
async function updateLineWork({ client, script }: Place, { accepted }: Plan): Promise<void> {
  if (!script.line || !accepted) return
  const { call, kitchenId } = client
  const items = await call(styleOperations.listItems, { kitchenId })
  for (const styleId of new Set(accepted.planned.map((planned) => planned.styleId))) {
    const style = items.flatMap(({ styles }) => styles).find(({ id }) => id === styleId)
    const hasBones = style?.piles.some(({ kind }) => kind === 'bones') ?? false
    const work = usualStyleWork({ isBonded: false, hasBones }, USUAL_WORK)
    const { cooks, carriers } = script.line
    await call(updateStyleWork, { kitchenId, styleId, body: { ...work, line: cooks, carriers } })
  }
}

/** What lies before today has come and is cut; one bird of one delivery was missing. */
async function fulfil(loading: Loading, { accepted, schedule }: Plan): Promise<void> {
  if (!accepted) return
  const { call, kitchenId } = loading.client
  const today = dayOf(loading.now)
  const lotOf = new Map<string, LotOfLine>()
  const items = await call(styleOperations.listItems, { kitchenId })
  const isPast = ({ day }: { day: string }) => day < today
  // One of a single piece would be none at all.
  const short = accepted.expected.find((line) => isPast(line) && line.kind === 'whole' && line.units > 1)
  for (const [at, line] of accepted.expected.entries()) {
    if (!isPast(line)) continue
    const [lot] = line.lots
    if (lot) lotOf.set(line.id, lot)
    if (lot || line.arrived !== null) continue
    if (line.kind === 'ready') {
      await call(updateExpected, { kitchenId, lineId: line.id, body: { arrived: line.packs } })
      continue
    }
    const chance = chanceOf(LINES, at)
    const received: LotOfLine = { id: chance.newId(), code: null }
    received.code = codeOf(line, received.id)
    const item = items.find(({ id }) => id === line.itemId)
    await receive(loading, line, { lot: received, newId: chance.newId, isShort: line === short, item })
    lotOf.set(line.id, received)
  }
  for (const [at, planned] of accepted.planned.entries()) {
    if (!isPast(planned)) continue
    const item = items.find(({ id }) => id === planned.itemId)
    const lot = lotOf.get(planned.expectedLineId ?? '') ?? null
    const endedAt = await cut(loading, planned, { item, lot, ...chanceOf(CUTS, at) })
    if (endedAt !== null) await packed(loading, planned, { tasks: schedule?.tasks ?? [], endedAt })
  }
}

/** Where chance begins for lines of orders and for what was cut. */
const [LINES, CUTS] = [1_000, 2_000]

/** Chance and ids of one thing: the same at every run, whatever of the others is there already. */
function chanceOf(seed: number, at: number) {
  const random = randomLcg(seed + at)
  return { random, newId: idSource(random) }
}

interface LotOfLine {
  id: string
  code: string | null
}

/** The supplier's lot: the day and a number. */
const codeOf = ({ day }: ExpectedLine, lotId: string) => `${day.slice(5).replace('-', '')}-${lotId.slice(-4)}`

interface Received {
  lot: LotOfLine
  newId: () => string
  /** One of it is missing. */
  isShort: boolean
  item: Item | undefined
}

async function receive(
  { client: { call, kitchenId } }: Loading,
  line: ExpectedLine,
  { lot, newId, isShort, item }: Received,
) {
  const pieces = line.units - (isShort ? 1 : 0)
  const grams = Math.round(pieces * (item?.unitWeight.usual ?? 1000))
  const body = {
    ...lot,
    itemId: line.itemId,
    supplierId: line.supplierId,
    gtin: null,
    price: { amount: ((line.price * line.packs) / grams) * 1000, per: 'kg' as const },
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
  }
  await call(receivingOperations.receiveLot, { kitchenId, body })
}

/** What was cut was packed after it. */
async function packed(
  { client: { call, kitchenId } }: Loading,
  { id, planId }: PlannedFabrication,
  { tasks, endedAt }: { tasks: KeptSchedule['tasks']; endedAt: string },
): Promise<void> {
  const doneAt = new Date(new Date(endedAt).getTime() + PACK_MS).toISOString()
  for (const task of tasks) {
    if (task.jobId !== id || task.kind !== 'pack') continue
    await call(updateToldTask, { kitchenId, planId, body: { taskId: task.id, begunAt: endedAt, doneAt } })
  }
}

/** One planned fabrication as it was really cut: a little otherwise than it was planned. */
async function cut(
  loading: Loading,
  planned: PlannedFabrication,
  { lot, item, random, newId }: { lot: LotOfLine | null; item: Item | undefined } & ReturnType<typeof chanceOf>,
): Promise<string | null> {
  const { client, kitchen, now } = loading
  const { call, kitchenId } = client
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
  // Somebody else began it meanwhile.
  if (planned.fabricationId !== null && planned.fabricationId !== session.id) return null
  const started = {
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
  }
  const { record } = await createOnce(call(startOperations.startFabrication, { kitchenId, body: started }), () =>
    call(fabricationOperations.readFabrication, { kitchenId, fabricationId: session.id }),
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
  if (record.status === 'open' && record.version === 1) {
    const labour = record.labour.map((entry) => ({ ...entry, minutes: session.minutes }))
    const body = editOf(record, { labour, labourFrom: 'timed', status: 'closed' })
    await call(fabricationOperations.updateFabrication, { kitchenId, fabricationId: session.id, body })
  }
  return session.weighings.at(-1)?.takenAt ?? null
}
