/**
 * From the invoice to the verdict, by what the description of the API says and nothing else: `dist/client.ts` is made
 * from it before this is checked and run, see api-road.test.ts.
 */
import { Api, type FabricationState, HttpClient } from './dist/client.ts'

type Pile = FabricationState['record']['piles'][number]

const GRAMS_OF_ALL = 12_000

/** An edit of a record that changes nothing yet. */
const editOf = ({ record }: FabricationState) => ({
  version: record.version,
  status: record.status,
  date: record.date,
  cookId: record.cookId,
  supplierId: record.supplierId,
  lot: record.lot,
  notes: record.notes,
  confirmed: record.confirmed,
  purchase: record.purchase,
  labour: record.labour,
  labourFrom: record.labourFrom,
  priceFrom: record.priceFrom,
  weightFrom: record.weightFrom,
  leftOut: record.leftOut,
  styleId: record.styleId,
  units: record.units,
  consumables: record.consumables,
  piles: record.piles,
  creditPolicy: record.creditPolicy,
  allocation: record.allocation,
  offers: record.offers,
  causes: record.causes,
})

/** Weighs six birds into their piles as the style expects them, closes the record and asks what a portion costs. */
export async function mainRoad(baseUrl: string, newId: () => string) {
  const { api } = new Api(new HttpClient({ baseUrl }))
  const { data: kitchen } = await api.setUpKitchen({
    id: newId(),
    name: 'By the API alone',
    currency: 'EUR',
    units: 'metric',
    timeZone: 'Europe/Vienna',
    wagePerHour: 21.4,
  })
  const { data: items } = await api.listItems(kitchen.id)
  const styleId = items[0]?.styles[0]?.id
  if (!styleId) throw new Error('The catalogue is empty')
  const { data: started } = await api.startFabrication(kitchen.id, {
    id: newId(),
    styleId,
    units: 6,
    purchase: { price: { amount: 4.35, per: 'kg' }, invoiceWeight: GRAMS_OF_ALL },
    cookId: null,
    supplierId: null,
    lot: null,
    date: '2026-11-24',
    startedAt: '2026-11-24T08:00:00.000Z',
  })
  const fabricationId = started.record.id
  const weighing = (pile: Pile, at: number) => ({
    kind: 'reading' as const,
    id: newId(),
    order: at + 1,
    fabricationId,
    pileId: pile.id,
    grams: Math.round((pile.expectedShare ?? 0) * GRAMS_OF_ALL),
    takenAt: '2026-11-24T08:10:00.000Z',
    source: 'scale' as const,
    cookId: null,
  })
  const facts = started.record.piles.filter((pile) => pile.expectedShare).map(weighing)
  const { data: kept } = await api.createFacts(kitchen.id, { facts })
  const { data: weighed } = await api.readFabrication(kitchen.id, fabricationId)
  await api.updateFabrication(kitchen.id, fabricationId, { ...editOf(weighed), status: 'closed' })
  const { data: document } = await api.exportDocument(kitchen.id, fabricationId)
  const { data: appraisal } = await api.readAppraisal(kitchen.id, fabricationId)
  const { data: again } = await api.appraise(document)
  const refusal = await api.readFabrication(kitchen.id, newId()).catch((response: { error: unknown }) => response.error)
  return { sent: facts.length, kept, weighed, appraisal, again, refusal }
}
