import { faultWords, hasSafetyFault } from '@fleam/catalogue'
import type {
  FabricationRecord,
  FabricationRequest,
  FabricationState,
  FabricationStep,
} from '@fleam/contract/fabrication/schemas'
import type { PlannedOffer, PlannedPile } from '@fleam/core/fabrication'
import { MAX_WEIGHINGS } from '@fleam/core/limits'
import { isSentBack } from '@fleam/core/receiving'
import { type SettledStyle, settleStyle, stepsLedTo } from '@fleam/core/style'
import { weighingsOf } from '@fleam/core/weighing'
import { v7 as newId } from 'uuid'
import { bookPrice, createTypedPrice, offersOfStyle } from '../buying/index.ts'
import { insertState, latestOfStyle, stateById } from '../fabrication/index.ts'
import { createOnce, Refusal } from '../http/index.ts'
import { offers, requireCook } from '../kitchen/index.ts'
import { beginPlanned } from '../planning/index.ts'
import { requireLot } from '../receiving/index.ts'
import { inTransaction, type Scope } from '../scope/index.ts'
import { type KnownStyle, requireStyle } from '../style/index.ts'
import { requireSupplier } from '../supplier/index.ts'

/** What the style says of its piles' worth; where it says nothing, what was said last time. */
function worthOf(pile: KnownPile, last: FabricationRecord | undefined) {
  const before = last?.piles.find((other) => other.stylePileId === pile.id)
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
    stylePileId: pile.id,
    name: pile.name,
    class: pile.class,
    kind: pile.kind,
    cookingLoss: pile.cookingLoss,
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

/** What was bought, with its price: typed, the lot's, else the price book's; else nobody knows it yet. */
async function purchaseOf(scope: Scope, request: FabricationRequest, { item }: KnownStyle) {
  const { price, ...bought } = request.purchase
  if (price) return { purchase: { ...bought, price }, priceFrom: request.lotId === null ? 'typed' : 'lot' } as const
  const found = await bookPrice(scope, { itemId: item.id, supplierId: request.supplierId, day: request.date })
  if (found) return { purchase: { ...bought, price: found }, priceFrom: 'price-book' } as const
  return { purchase: { ...bought, price: UNKNOWN_PRICE }, priceFrom: 'none' } as const
}

const UNKNOWN_PRICE = { amount: 0, per: 'kg' } as const

/** Piles with what their portions may weigh in this run, where somebody said it. */
function withOwnBounds(piles: readonly PlannedPile[], bounds: FabricationRequest['bounds']): PlannedPile[] {
  const astray = bounds.findIndex(({ stylePileId }) => !plannedBy(piles, stylePileId))
  if (astray >= 0) {
    const [path, message] = [`bounds[${astray}].stylePileId`, 'is not a pile of this style']
    throw new Refusal('invalid-input', `${path} ${message}`, { issues: [{ path, message }] })
  }
  return piles.map((pile) => {
    const startBounds = bounds.find(({ stylePileId }) => stylePileId === pile.stylePileId)
    return startBounds ? { ...pile, target: startBounds.target, low: startBounds.low, high: startBounds.high } : pile
  })
}

/** A pile of the record by the pile of the style that it was planned by. */
const plannedBy = (piles: readonly PlannedPile[], stylePileId: string) =>
  piles.find((pile) => pile.stylePileId === stylePileId)

/** Steps as they stand at the board, for the piles of the record, with the regions that light up while these leave it. */
function boardSteps(settled: SettledStyle<KnownPile>, planned: readonly PlannedPile[]): FabricationStep[] {
  const regionOf = (id: string) => settled.piles.find((pile) => pile.id === id)?.region ?? null
  const regions = settled.steps.map((step) => [...new Set(step.pileIds.flatMap((id) => regionOf(id) ?? []))])
  const steps = stepsLedTo(settled.steps, (id) => plannedBy(planned, id)?.id ?? null)
  return steps.map(({ when: _when, ...step }, index) => ({
    ...step,
    pileIds: [...step.pileIds],
    mistakes: [...step.mistakes],
    cautions: [...step.cautions],
    regions: regions[index] ?? [],
  }))
}

/** Consumables of the style for so many units; what the kitchen has not priced costs what it cost last time. */
function consumablesOf({ style }: KnownStyle, units: number, last: FabricationRecord | undefined) {
  const lastUnits = last?.units ?? 1
  return style.consumables.map(({ name, costPerUnit }) => {
    const before = last?.consumables.find((consumable) => consumable.name === name)?.cost ?? 0
    return { name, cost: (costPerUnit ?? before / lastUnits) * units }
  })
}

/**
 * Starts a fabrication of one of the kitchen's styles. Piles, labour and offers are copied into the
 * record, so that later changes to them leave it as it was; what the kitchen has not settled is as last time. Sent twice with the same id, it is started once.
 */
export const start = (
  scope: Scope,
  request: FabricationRequest,
  onStarted: (record: FabricationRecord) => void = () => {},
): Promise<FabricationState> =>
  createOnce({
    read: () => stateById(scope, request.id),
    create: async () => {
      const record = await startedRecord(scope, request)
      await inTransaction(scope, async (inside) => {
        await insertState(inside, record, [])
        if (request.plannedId !== null) await beginPlanned(inside, request.plannedId, request.id)
      })
      onStarted(record)
    },
    isSame: ({ record: { styleId, units, startedAt } }) =>
      styleId === request.styleId && units === request.units && startedAt === new Date(request.startedAt).toISOString(),
    taken: { path: 'id', detail: 'This id stands for another record.' },
  })

/** Brings the price that a record was started with into the price book, where somebody typed it. */
export async function createPriceOf(scope: Scope, record: FabricationRecord): Promise<void> {
  const { itemId, supplierId, date: day, priceFrom, purchase, item } = record
  if (priceFrom !== 'typed' || itemId === null) return
  await createTypedPrice(scope, { itemId, supplierId, day }, purchase.price, item)
}

async function startedRecord(scope: Scope, request: FabricationRequest): Promise<FabricationRecord> {
  const { kitchen } = scope
  const styled = await requireStyle(scope, request.styleId)
  const cook = request.cookId === null ? null : await requireCook(scope, request.cookId)
  const supplier = request.supplierId === null ? null : await requireSupplier(scope, request.supplierId)
  const last = (await latestOfStyle(scope, styled.style.id))?.record
  refuseUnknownChoices(styled, request.chosen)
  const notes = await notesOfLot(scope, request)
  const settled = settleStyle(styled.style, request.chosen)
  const piles = withOwnBounds(plannedPiles(settled, request.units, last), request.bounds)
  const ownOffers = await offersFor(scope, styled, request, piles)
  refuseTooMany(piles, request.units)
  return {
    id: request.id,
    version: 1,
    status: 'open',
    itemId: styled.item.id,
    item: styled.item.name,
    style: styled.style.name,
    species: styled.item.species,
    styleId: styled.style.id,
    lotId: request.lotId,
    units: request.units,
    rhythm: request.rhythm,
    weightFrom: request.weightFrom,
    drawing: styled.item.drawing,
    shape: styled.item.shape,
    steps: boardSteps(settled, piles),
    choices: [...settled.choices],
    causes: [],
    currency: kitchen.currency,
    ...(await purchaseOf(scope, request, styled)),
    leftOut: null,
    settled: [],
    labour: [
      {
        task: 'break down',
        minutes: settled.minutesPerUnit * request.units,
        ratePerHour: cook?.wagePerHour ?? kitchen.wagePerHour,
      },
    ],
    labourFrom: 'assumed',
    consumables: consumablesOf(styled, request.units, last),
    piles,
    offers: ownOffers.length > 0 ? ownOffers : offersAsLast(piles, last),
    creditPolicy: 'used',
    allocation: 'value',
    confirmed: false,
    date: request.date,
    cookId: cook?.id ?? null,
    cook: cook?.name ?? null,
    supplierId: supplier?.id ?? null,
    supplier: supplier?.name ?? null,
    lot: request.lot,
    notes,
    startedAt: request.startedAt,
    closedAt: null,
    updatedAt: request.startedAt,
  }
}

/**
 * What the record's notes say of its lot. Refuses one that went back, and one in quarantine unless somebody named gives a
 * reason.
 */
async function notesOfLot(scope: Scope, { lotId, lotReason, cookId }: FabricationRequest): Promise<string | null> {
  if (lotId === null) return null
  const { standing, standingReason, standingBy, checks } = await requireLot(scope, lotId)
  const refuse = (path: string, message: string) => {
    throw new Refusal('invalid-input', `${path} ${message}`, { issues: [{ path, message }] })
  }
  if (isSentBack(standing)) refuse('lotId', 'is of a lot that went back to the supplier')
  if (standing === 'accepted' && standingReason !== null && hasSafetyFault(checks)) {
    const faults = checks.filter(({ isFault }) => isFault).map(({ checkId }) => faultWords(checkId))
    return `Its lot was accepted although ${faults.join(', ')}: ${standingReason} (${standingBy ?? 'nobody said who'})`
  }
  if (standing !== 'quarantined') return null
  const reason = (lotReason ?? '').trim()
  if (reason === '') refuse('lotReason', 'must say why a lot in quarantine is cut')
  if (cookId === null) refuse('cookId', 'must say who cuts a lot in quarantine')
  return `Cut from quarantine (${standingReason ?? 'no reason given'}): ${reason}`
}

/** Offers of the price book, and those that were said once and are not in it, for the piles of the record. */
async function offersFor(
  scope: Scope,
  { style }: KnownStyle,
  { units, date }: FabricationRequest,
  piles: readonly PlannedPile[],
): Promise<PlannedOffer[]> {
  const listed = await offersOfStyle(scope, { style, units, day: date })
  const kept = (await offers(scope)).filter((offer) => offer.styleId === style.id)
  // The price book knows today's price of an offer of the same supplier that was said once.
  const isListed = ({ supplierId, offer: { name } }: (typeof kept)[number]) =>
    listed.some((offer) => offer.supplierId === supplierId && offer.offer.name === name)
  return [...listed, ...kept.filter((row) => !isListed(row))].flatMap(({ offer }) => {
    const pile = plannedBy(piles, offer.pileId)
    return pile ? [{ ...offer, pileId: pile.id }] : []
  })
}

/** Offers of the last record for the portion piles that are here too. */
function offersAsLast(piles: readonly PlannedPile[], last: FabricationRecord | undefined): PlannedOffer[] {
  return (last?.offers ?? []).flatMap((offer) => {
    const stylePileId = last?.piles.find((pile) => pile.id === offer.pileId)?.stylePileId
    const pile = stylePileId ? plannedBy(piles, stylePileId) : undefined
    return pile?.class === 'primary' ? [{ ...offer, pileId: pile.id }] : []
  })
}

/** Grams typed where birds are asked for would plan a pile that nobody can weigh. */
function refuseTooMany(piles: readonly PlannedPile[], units: number): void {
  const weighings = piles.reduce((sum, pile) => sum + weighingsOf(pile), 0)
  if (weighings <= MAX_WEIGHINGS) return
  throw new Refusal('invalid-input', `${units} at once would be ${weighings} weighings.`, {
    issues: [{ path: 'units', message: `makes more than ${MAX_WEIGHINGS} weighings` }],
  })
}

function refuseUnknownChoices({ style }: KnownStyle, chosen: FabricationRequest['chosen']): void {
  const isThere = (option: string, choice: string) =>
    style.options.some((other) => other.id === option && other.choices.some(({ id }) => id === choice))
  const issues = Object.entries(chosen).flatMap(([option, choice]) =>
    isThere(option, choice) ? [] : [{ path: `chosen.${option}`, message: 'is not a choice of this style' }],
  )
  if (issues.length > 0) throw new Refusal('invalid-input', 'This style has no such choice.', { issues })
}
