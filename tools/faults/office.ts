import { editOf } from '@fleam/contract/fabrication/edit'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { importOperations, logbookImportOperations } from '@fleam/contract/new-records/operations'
import { planOperations } from '@fleam/contract/planning/operations'
import type { FabricationDocument } from '@fleam/core/fabrication'
import type { Item } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { ask, must } from './devices.ts'

/** Work of the office that is under way when a program is killed: all of it is there afterwards, or none. */
export interface OfficeWork {
  /** Sends what is to be cut off; whatever is answered, or nothing. */
  begin: () => Promise<unknown>
  /** Says what is half done once it is back; null where all is there, or nothing. */
  halfDone: () => Promise<string | null>
}

const { listFabrications, readFabrication, updateFabrication, listVersions } = fabricationOperations
const { createPlan, acceptPlan, readPlan, listPlans } = planOperations

const RECORDS = 120

export interface Office {
  url: string
  kitchenId: string
  item: Item
}

/** A closed record of the office as a document: what is taken in, corrected and put back. */
const documentOf = ({ item }: Office): FabricationDocument => ({
  format: 'fleam/fabrication',
  version: 1,
  currency: 'EUR',
  item: item.name,
  style: item.styles[0]?.name as string,
  purchase: { price: { amount: 4.35, per: 'kg' }, invoiceWeight: 12_600, pieces: 6 },
  labour: [],
  piles: (item.styles[0]?.piles ?? []).map(({ name, class: own }) => ({ name, class: own, weight: 1_000 })),
  creditPolicy: 'used',
  allocation: 'weight',
})

function importing(office: Office): OfficeWork {
  const { url, kitchenId } = office
  const records = Array.from({ length: RECORDS }, () => ({ id: newId(), document: documentOf(office) }))
  return {
    begin: () =>
      ask(url, logbookImportOperations.importLogbook, {
        kitchenId,
        body: { format: 'fleam/logbook', version: 1, records },
      }),
    halfDone: async () => {
      const ids = new Set(records.map(({ id }) => id))
      const rows = await must(url, listFabrications, { kitchenId })
      const kept = rows.filter(({ id }) => ids.has(id)).length
      return kept === 0 || kept === RECORDS ? null : `${kept} of ${RECORDS} records were imported`
    },
  }
}

/** A correction of a record, and a correction that puts it back as it was: figures are those of the version that stands. */
async function correcting(office: Office, isRestored: boolean): Promise<OfficeWork> {
  const { url, kitchenId } = office
  const of = { kitchenId, fabricationId: newId() }
  const query = { id: of.fabricationId, item: 'none', style: 'none', supplier: 'none', cook: 'none' } as const
  await must(url, importOperations.importDocument, { kitchenId, query, body: documentOf(office) })
  const state = async () => (await must(url, readFabrication, of)).record
  const change = (record: FabricationState['record'], amount: number) => {
    const purchase = { ...record.purchase, price: { amount, per: 'kg' as const } }
    return ask(url, updateFabrication, { ...of, body: { ...editOf(record), purchase } })
  }
  if (isRestored) await change(await state(), 5)
  const before = await state()
  return {
    begin: () => change(before, isRestored ? 4.35 : 5),
    halfDone: async () => {
      const { version, purchase } = await state()
      const versions = await must(url, listVersions, of)
      const isNew = version > before.version
      const amount = isNew === isRestored ? 4.35 : 5
      if (versions.length !== version - 1) return `version ${version} has ${versions.length} before it`
      return purchase.price.amount === amount ? null : `version ${version} costs ${purchase.price.amount}`
    },
  }
}

/** A plan without any goods is accepted: it is there with its answer, or is a draft. */
async function accepting({ url, kitchenId }: Office): Promise<OfficeWork> {
  const planId = newId()
  const draft = {
    ...{ from: '2026-12-07', days: 2, covers: [], menu: [], portions: [], hours: [], deliveries: [], stock: [] },
    ...{ lotsLeft: [], changes: [], pins: [], coldSpace: null, service: 0.5 },
  }
  const none = { wholes: 0, ready: 0, delivery: 0, labour: 0, consumables: 0, disposal: 0, surplus: 0, total: 0 }
  const answer = {
    ...{
      status: 'optimal' as const,
      bound: 0,
      gap: 0,
      cost: none,
      orders: [],
      cutting: [],
      use: [],
      left: [],
      uncut: [],
    },
    ...{ short: [], beside: { allReady: null, allCut: null }, limits: [] },
    service: { asked: 0.5, met: 1, all: 1, draws: 1, premium: null },
  }
  const goods = { products: [], suppliers: [], wholes: [], cuts: [], ready: [], stock: [], cooks: [], wagePerHour: 20 }
  await must(url, createPlan, { kitchenId, body: { id: planId, name: 'Cut off', draft } })
  return {
    begin: () => ask(url, acceptPlan, { kitchenId, planId, body: { version: 1, draft, goods, answer } }),
    halfDone: async () => {
      const { version, accepted } = await must(url, readPlan, { kitchenId, planId })
      const row = (await must(url, listPlans, { kitchenId })).find(({ id }) => id === planId)
      const isWhole = (accepted !== null) === (version === 2) && (row?.acceptedAt !== null) === (accepted !== null)
      return isWhole ? null : `a plan at version ${version} is ${accepted ? 'accepted' : 'a draft'}`
    },
  }
}

/** What an office does, by its name. */
export const OFFICE_WORK: Readonly<Record<string, (office: Office) => OfficeWork | Promise<OfficeWork>>> = {
  import: importing,
  correction: (office) => correcting(office, false),
  restoring: (office) => correcting(office, true),
  acceptance: accepting,
}
