import { faultWords, hasSafetyFault } from '@fleam/catalogue'
import { lotEditOf } from '@fleam/contract/receiving/edit'
import type { Lot, LotEdit, LotPhoto, LotTrace } from '@fleam/contract/receiving/schemas'
import { claimCsv as csvOfClaim } from '@fleam/core/csv'
import { documentOf } from '@fleam/core/fabrication'
import { type LabelMismatch, labelMismatch } from '@fleam/core/receiving'
import { statesOfLot } from '../fabrication/index.ts'
import { createOnce, isSameContent, notFound, Refusal, refuseTaken } from '../http/index.ts'
import { cookById } from '../kitchen/index.ts'
import { dayOf, decide, inTransaction, type Scope } from '../scope/index.ts'
import { itemNames } from '../style/index.ts'
import { requireSupplier } from '../supplier/index.ts'
import type { ClaimPapers } from './claim-page.ts'
import { writtenAnew } from './picture.ts'
import * as store from './store.ts'

/** A lot; throws `not-found`. */
export async function requireLot(scope: Scope, id: string): Promise<Lot> {
  const lot = await store.lotById(scope, id)
  if (!lot) throw notFound('lot')
  return lot
}

/** The name of the item of a lot; refuses one that this kitchen does not have. `before` is what it was called. */
async function requireItemName(scope: Scope, itemId: string | null, before: string | null): Promise<string> {
  const name = itemId === null ? before : (await itemNames(scope)).get(itemId)
  if (name) return name
  const message = 'is not an item of this kitchen'
  throw new Refusal('invalid-input', `itemId ${message}`, { issues: [{ path: 'itemId', message }] })
}

const MISMATCHES: Record<LabelMismatch['kind'], string> = {
  unreadable: 'is no label that can be read',
  'other-lot': 'is of another lot than code says',
  'other-article': 'is of another article than gtin says',
}

/** Refuses labels that do not go with the lot; what was kept `before` was looked at when it came. */
function refuseOtherLabels(lot: LotEdit, before: Lot | null): void {
  const readBefore = new Set(
    lot.code === before?.code && lot.gtin === before?.gtin ? before?.cases.map(({ label }) => label) : [],
  )
  const issues = lot.cases.flatMap(({ label }, index) => {
    const mismatch = label === null || readBefore.has(label) ? null : labelMismatch(label, lot, lot.receivedOn)
    return mismatch ? [{ path: `cases.${index}.label`, message: MISMATCHES[mismatch.kind] }] : []
  })
  const [first] = issues
  if (first) throw new Refusal('invalid-input', `${first.path} ${first.message}`, { issues: issues.slice(0, 20) })
}

/** Refuses a cook whom this kitchen does not have. */
async function refuseUnknownCook(scope: Scope, { standingById }: LotEdit): Promise<void> {
  if (standingById === null || (await cookById(scope, standingById)) !== null) return
  const message = 'is not a cook of this kitchen'
  throw new Refusal('invalid-input', `standingById ${message}`, { issues: [{ path: 'standingById', message }] })
}

/**
 * A delivery that is too warm, open or smells is accepted with a reason and a name, or not at all. What was accepted
 * before anybody asked for them stays so.
 */
function refuseUnsafe(lot: LotEdit, before: Lot | null): void {
  const isAsked = (one: LotEdit | null) => one !== null && one.standing === 'accepted' && hasSafetyFault(one.checks)
  if (!isAsked(lot) || isAsked(before)) return
  const issues = [
    ...((lot.standingReason ?? '').trim() === ''
      ? [{ path: 'standingReason', message: 'must say why it is accepted with such a fault' }]
      : []),
    ...(lot.standingById === null ? [{ path: 'standingById', message: 'must say who accepts it' }] : []),
  ]
  const [first] = issues
  if (first) throw new Refusal('invalid-input', `${first.path} ${first.message}`, { issues })
}

/** Refuses a line of an order that is not expected here. */
async function refuseOtherLine(scope: Scope, { expectedLineId }: LotEdit): Promise<void> {
  if (expectedLineId === null || (await store.isExpected(scope, expectedLineId))) return
  const message = 'is no line of an order of this kitchen'
  throw new Refusal('invalid-input', `expectedLineId ${message}`, { issues: [{ path: 'expectedLineId', message }] })
}

/** Checks stand in no order of their own. */
const inOrder = (lot: LotEdit): LotEdit => ({
  ...lot,
  checks: [...lot.checks].sort((a, b) => (a.checkId < b.checkId ? -1 : 1)),
})

/** Takes a delivery in. Sent twice with the same id, it is there once. */
export async function receive(scope: Scope, lot: LotEdit): Promise<Lot> {
  return createOnce({
    read: () => store.lotById(scope, lot.id),
    create: async () => {
      const item = await requireItemName(scope, lot.itemId, null)
      await requireSupplier(scope, lot.supplierId)
      refuseOtherLabels(lot, null)
      refuseUnsafe(lot, null)
      await refuseUnknownCook(scope, lot)
      await refuseOtherLine(scope, lot)
      await inTransaction(scope, (inside) => store.insertLot(inside, { ...lot, version: 1 }, item))
    },
    // One that was changed since is not held against how it began.
    isSame: (known) => known.version > 1 || isSameContent(inOrder(lotEditOf(known)), inOrder({ ...lot, version: 1 })),
    taken: { path: 'id', detail: 'A lot or case with this id is there already.' },
  })
}

/** Changes a lot: weighed, checked, opened, finished. Refused with the current one where somebody changed it meanwhile. */
export async function change(scope: Scope, lot: LotEdit): Promise<Lot> {
  await refuseTaken('cases', 'A case with this id is there already.', () =>
    inTransaction(scope, async (inside) => {
      const version = await store.lockLot(inside, lot.id)
      const current = await requireLot(inside, lot.id)
      if (version !== lot.version) {
        throw new Refusal('stale-version', `It was read at version ${lot.version} and is at ${version} now.`, {
          current,
        })
      }
      const item = await requireItemName(inside, lot.itemId, current.item)
      await requireSupplier(inside, lot.supplierId)
      refuseOtherLabels(lot, current)
      refuseUnsafe(lot, current)
      await refuseUnknownCook(inside, lot)
      await refuseOtherLine(inside, lot)
      await store.replaceLot(inside, { ...lot, version: lot.version + 1 }, item)
    }),
  )
  return requireLot(scope, lot.id)
}

/** A lot, back to its label and forward to everything that was made of it. */
export async function trace(scope: Scope, id: string): Promise<LotTrace> {
  const lot = await requireLot(scope, id)
  const states = await statesOfLot(scope, id)
  return {
    lot,
    usedWeight: states.reduce((sum, { record }) => sum + record.purchase.invoiceWeight, 0),
    photos: await store.photos(scope, id),
    fabrications: states.map(({ record, facts }) => ({
      id: record.id,
      status: record.status,
      document: documentOf(record, facts),
    })),
  }
}

/** Pictures of one lot, and of one kitchen: more nobody looks at. */
const MAX_PICTURES_OF_LOT = 20
const MAX_PICTURES = 5_000

/** Keeps a picture of a lot, written anew; sent twice with the same id it is there once. */
export async function createPhoto(scope: Scope, lotId: string, photo: LotPhoto) {
  await requireLot(scope, lotId)
  const written = await writtenAnew(Buffer.from(photo.picture, 'base64'))
  await createOnce({
    read: () => store.pictureOf(scope, lotId, photo.id),
    create: () =>
      decide(scope, 'pictures', async (inside) => {
        const counts = await store.pictureCounts(inside, lotId)
        if (counts.ofLot >= MAX_PICTURES_OF_LOT) refuseMore(`A lot has room for ${MAX_PICTURES_OF_LOT} pictures.`)
        if (counts.ofKitchen >= MAX_PICTURES) refuseMore(`A kitchen has room for ${MAX_PICTURES} pictures.`)
        await store.insertPhoto(inside, lotId, { id: photo.id, takenAt: photo.takenAt, picture: written })
      }),
    isSame: (kept) => kept.equals(written),
    taken: { path: 'id', detail: 'This id stands for another picture.' },
  })
  return store.photos(scope, lotId)
}

function refuseMore(message: string): never {
  throw new Refusal('invalid-input', message, {
    issues: [{ path: 'picture', message: 'is one more than there is room for' }],
  })
}

/** What is claimed of a lot, as a letter. */
export async function claimPapers(scope: Scope, id: string): Promise<ClaimPapers> {
  const lot = await requireLot(scope, id)
  const supplier = await requireSupplier(scope, lot.supplierId)
  const kept = await store.photos(scope, id)
  const pictures = await Promise.all(kept.map((photo) => store.pictureOf(scope, id, photo.id)))
  return {
    kitchen: scope.kitchen,
    supplier,
    lot,
    pictures: pictures.filter((picture) => picture !== null),
    today: dayOf(scope),
  }
}

/** What is claimed of a lot, as CSV; throws `not-found`. */
export async function claimCsv(scope: Scope, id: string): Promise<string> {
  const lot = await requireLot(scope, id)
  const faults = lot.checks.filter((check) => check.isFault)
  return csvOfClaim(
    lot,
    scope.kitchen.currency,
    faults.map(({ checkId, value, note, worth }) => ({ what: faultWords(checkId), value, note, worth })),
  )
}
