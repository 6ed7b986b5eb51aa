import { faultWords } from '@fleam/catalogue'
import { claimCsv as csvOfClaim, type Lot, type LotPhoto, type LotTrace } from '@fleam/contract'
import { documentOf } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import * as fabrications from '../fabrication/store.ts'
import { notFound, Refusal, refuseTaken } from '../http/problems.ts'
import { requireKitchen } from '../kitchen/service.ts'
import * as styles from '../style/store.ts'
import * as store from './store.ts'

export async function requireLot(database: Sequelize, kitchenId: string, id: string): Promise<Lot> {
  const lot = await store.lotById(database, kitchenId, id)
  if (!lot) throw notFound('lot')
  return lot
}

async function refuseUnknownItem(database: Sequelize, kitchenId: string, item: string): Promise<void> {
  if ((await styles.items(database, kitchenId)).some((each) => each.name === item)) return
  const message = 'is not an item of this kitchen'
  throw new Refusal('invalid-input', `item ${message}`, { issues: [{ path: 'item', message }] })
}

/** Takes a delivery in. Sent twice with the same id, it is there once. */
export async function receive(database: Sequelize, kitchenId: string, lot: Lot, now: Date): Promise<Lot> {
  await requireKitchen(database, kitchenId)
  const known = await store.lotById(database, kitchenId, lot.id)
  if (known) return known
  await refuseUnknownItem(database, kitchenId, lot.item)
  const first = { ...lot, version: 1 }
  await refuseTaken('id', 'A lot or case with this id is there already.', () =>
    database.transaction((transaction) => store.insertLot(database, kitchenId, first, now, transaction)),
  )
  return requireLot(database, kitchenId, lot.id)
}

/** Changes a lot: weighed, checked, opened, finished. Refused with the current one where somebody changed it meanwhile. */
export async function change(database: Sequelize, kitchenId: string, lot: Lot): Promise<Lot> {
  await requireLot(database, kitchenId, lot.id)
  await refuseUnknownItem(database, kitchenId, lot.item)
  await refuseTaken('cases', 'A case with this id is there already.', () =>
    database.transaction(async (transaction) => {
      const version = await store.lockLot(database, kitchenId, lot.id, transaction)
      if (version !== lot.version) {
        const current = await store.lotById(database, kitchenId, lot.id, transaction)
        throw new Refusal('stale-version', `It was read at version ${lot.version} and is at ${version} now.`, {
          current,
        })
      }
      await store.replaceLot(database, kitchenId, { ...lot, version: lot.version + 1 }, transaction)
    }),
  )
  return requireLot(database, kitchenId, lot.id)
}

/** A lot, back to its label and forward to everything that was made of it. */
export async function trace(database: Sequelize, kitchenId: string, id: string): Promise<LotTrace> {
  const lot = await requireLot(database, kitchenId, id)
  const states = await fabrications.statesOfLot(database, kitchenId, id)
  return {
    lot,
    usedWeight: states.reduce((sum, { record }) => sum + record.purchase.invoiceWeight, 0),
    photos: await store.photos(database, kitchenId, id),
    fabrications: states.map((state) => ({
      id: state.record.id,
      status: state.record.status,
      document: documentOf(state.record, state),
    })),
  }
}

export async function keepPhoto(database: Sequelize, kitchenId: string, lotId: string, photo: LotPhoto) {
  await requireLot(database, kitchenId, lotId)
  await store.insertPhoto(database, kitchenId, lotId, photo)
  return store.photos(database, kitchenId, lotId)
}

export async function claimCsv(database: Sequelize, kitchenId: string, id: string): Promise<string> {
  const kitchen = await requireKitchen(database, kitchenId)
  const lot = await requireLot(database, kitchenId, id)
  const faults = lot.checks.filter((check) => check.isFault)
  return csvOfClaim(
    lot,
    kitchen.currency,
    faults.map((check) => ({ what: faultWords(check.checkId), value: check.value, note: check.note })),
  )
}
