import { fabricationDocument, price, RECORD_STATUSES } from '@fleam/core/fabrication'
import { hasRightCheckDigit, LOT_STANDINGS, type LotStanding } from '@fleam/core/receiving'
import {
  day,
  grams,
  gramsInAll,
  id,
  instant,
  money,
  name,
  notes,
  positiveCount,
  positiveGrams,
} from '@fleam/core/values'
import { z } from 'zod'

/** One case of a lot: what its label or the invoice says, and what the scale said. */
export const lotCase = z.strictObject({
  id,
  /** What was scanned; null for a case without a label. */
  label: z.string().max(400).nullable(),
  serial: z.string().max(40).nullable(),
  invoiceWeight: positiveGrams,
  weighed: grams.nullable(),
})
export type LotCase = z.infer<typeof lotCase>

/** What was looked at before the driver left. */
export const lotCheck = z.strictObject({
  checkId: z.string().max(40),
  isFault: z.boolean(),
  value: z.number().min(-100).max(100_000).nullable(),
  note: z.string().trim().max(600).nullable(),
  /** What the supplier owes for this fault. */
  worth: money.nullable().default(null),
})
export type LotCheck = z.infer<typeof lotCheck>

const MAX_CASES = 500

const GTIN_DIGITS = 14
const lotFields = {
  /** Null where nobody knows any more which item it was. */
  itemId: id.nullable(),
  supplierId: id,
  /** The supplier's lot; null where the label has none. */
  code: name.nullable(),
  gtin: z
    .string()
    .regex(/^\d{14}$/, 'must have 14 digits')
    .refine((code) => !/^\d{14}$/.test(code) || hasRightCheckDigit(code), 'has a wrong check digit')
    .meta({ maxLength: GTIN_DIGITS })
    .nullable(),
  price,
  /** Delivery and other charges on the invoice. */
  extras: money.nullable(),
  pieces: positiveCount.nullable(),
  receivedOn: day,
  productionDate: day.nullable(),
  useBy: day.nullable(),
  openedOn: day.nullable(),
  isFinished: z.boolean(),
  /** What became of it; a quarantined lot is cut from with a reason alone, one that went back not at all. */
  standing: z.enum(LOT_STANDINGS).default('accepted'),
  /** Why it is quarantined, went back, was released, or was accepted with a fault that can hurt somebody. */
  standingReason: notes.nullable().default(null),
  /** The cook who said so; null where nobody had to. */
  standingById: id.nullable().default(null),
  invoiceNumber: name.nullable().default(null),
  orderNumber: name.nullable().default(null),
  /** The supplier's own number of the article. */
  articleNumber: name.nullable().default(null),
  /** The line of an order that it came for; null where nobody planned it. */
  expectedLineId: id.nullable().default(null),
  notes: notes.nullable(),
  cases: z.array(lotCase).min(1).max(MAX_CASES),
  checks: z.array(lotCheck).max(40),
}

function refuseLot(
  value: {
    price: { per: string }
    pieces: number | null
    cases: readonly { id: string }[]
    checks: readonly { checkId: string }[]
    receivedOn: string
    productionDate: string | null
    useBy: string | null
    standing: LotStanding
    standingReason: string | null
  },
  context: z.RefinementCtx,
): void {
  const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
  if (value.standing !== 'accepted' && (value.standingReason ?? '').trim() === '') {
    refuse(['standingReason'], 'must say why')
  }
  if (value.price.per === 'piece' && value.pieces === null) refuse(['pieces'], 'is needed for a price per piece')
  const { receivedOn, productionDate, useBy } = value
  if (productionDate !== null && productionDate > receivedOn) refuse(['productionDate'], 'must not be after it came')
  if (productionDate !== null && useBy !== null && useBy < productionDate) {
    refuse(['useBy'], 'must not be before it was made')
  }
  value.cases.forEach((lotCase, index) => {
    if (value.cases.findIndex((other) => other.id === lotCase.id) !== index)
      refuse(['cases', index, 'id'], 'is there twice')
  })
  value.checks.forEach((check, index) => {
    if (value.checks.findIndex((other) => other.checkId === check.checkId) !== index) {
      refuse(['checks', index, 'checkId'], 'is there twice')
    }
  })
}

/** A lot as it is received or changed; `version` is the one it was read at, and a stale one gets 409. */
export const lotEdit = z
  .strictObject({ ...lotFields, id, version: positiveCount.default(1) })
  .superRefine(refuseLot)
  .meta({ id: 'LotEdit' })
export type LotEdit = z.infer<typeof lotEdit>

/** A lot as it is kept, with the names to read it by. */
export const lot = z
  .object({ ...lotFields, id, version: positiveCount, item: name, supplier: name, standingBy: name.nullable() })
  .meta({ id: 'Lot' })
export type Lot = z.infer<typeof lot>

/** A lot with what fabrications have taken from it, grams. */
export const lotRow = z.object({ lot, usedWeight: gramsInAll }).meta({ id: 'LotRow' })
export const lotRows = z.array(lotRow)
export type LotRow = z.infer<typeof lotRow>

/** Everything that is known of a lot, forward to what was made of it. */
export const lotTrace = z
  .object({
    lot,
    usedWeight: gramsInAll,
    photos: z.array(z.object({ id, takenAt: instant })),
    fabrications: z.array(z.object({ id, status: z.enum(RECORD_STATUSES), document: fabricationDocument })),
  })
  .meta({ id: 'LotTrace' })
export type LotTrace = z.infer<typeof lotTrace>

/** A picture of a lot, taken with the device: JPEG as base64, made small before it is sent. */
export const lotPhoto = z.strictObject({
  id,
  takenAt: instant,
  picture: z
    .string()
    .max(1_000_000)
    .regex(/^\/9j\/[A-Za-z0-9+/=]*$/, 'must be a JPEG as base64'),
})
export type LotPhoto = z.infer<typeof lotPhoto>
