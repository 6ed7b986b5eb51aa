import { ALLOCATIONS, CREDIT_POLICIES, PILE_CLASSES, type PlannedPile } from '@fleam/core'
import { z } from 'zod'
import {
  consumable,
  fabricationDocument,
  labourEntry,
  offer,
  pileRuleIssues,
  purchase,
  valueSignMessage,
} from './fabrication-document.ts'
import {
  count,
  currency,
  day,
  grams,
  id,
  instant,
  money,
  name,
  notes,
  positiveCount,
  positiveGrams,
  share,
  signedMoney,
} from './numbers.ts'

export const plannedPile = z
  .strictObject({
    id,
    name,
    class: z.enum(PILE_CLASSES),
    weighing: z.enum(['pieces', 'whole']),
    expectedShare: share.nullable(),
    portions: count.nullable(),
    target: positiveGrams.nullable(),
    low: grams.nullable(),
    high: grams.nullable(),
    valuePerKg: signedMoney.nullable(),
    usedShare: share.nullable(),
    processingPerKg: money.nullable(),
  })
  .superRefine((value, context) => {
    const sign = valueSignMessage(value)
    if (sign) context.addIssue({ code: 'custom', path: ['valuePerKg'], message: sign })
  }) satisfies z.ZodType<PlannedPile>

const MOST_ROWS = 200

const editable = {
  purchase,
  labour: z.array(labourEntry).max(MOST_ROWS),
  consumables: z.array(consumable).max(MOST_ROWS),
  piles: z.array(plannedPile).min(1).max(500),
  offers: z.array(offer).max(MOST_ROWS),
  creditPolicy: z.enum(CREDIT_POLICIES),
  allocation: z.enum(ALLOCATIONS),
  confirmed: z.boolean(),
  date: day,
  cook: name.nullable(),
  supplier: name.nullable(),
  lot: name.nullable(),
  notes: notes.nullable(),
  status: z.enum(['open', 'closed']),
}

const editFields = z.strictObject({ ...editable, version: positiveCount })

/** The whole changed record with the version that it was read at; a stale one gets 409. */
export const fabricationEdit = editFields.superRefine((value, context) => {
  for (const issue of pileRuleIssues(value.piles, value.offers)) context.addIssue({ code: 'custom', ...issue })
})
export type FabricationEdit = z.infer<typeof fabricationEdit>

export const fabricationRecord = editFields
  .extend({
    id,
    currency,
    item: name,
    style: name,
    species: z.enum(['poultry', 'fish', 'red-meat']).nullable(),
    startedAt: instant,
    closedAt: instant.nullable(),
    updatedAt: instant,
  })
  .meta({ id: 'FabricationRecord' })
export type FabricationRecord = z.infer<typeof fabricationRecord>

/** Starts a fabrication of a style that the kitchen has; its id is made on the device, so sending twice starts one. */
export const fabricationStart = z.strictObject({
  id,
  styleId: id,
  units: positiveCount,
  purchase,
  cookId: id.nullable(),
  supplier: name.nullable(),
  lot: name.nullable(),
  date: day,
  startedAt: instant,
})
export type FabricationStart = z.infer<typeof fabricationStart>

export const READING_SOURCES = ['scale', 'typed', 'imported'] as const

/** One weighing: a fact with an id made on the device. Never changed; voided by another row. */
export const reading = z
  .strictObject({ id, pileId: id, grams: positiveGrams, takenAt: instant, source: z.enum(READING_SOURCES) })
  .meta({ id: 'Reading' })
export type KeptReading = z.infer<typeof reading>

export const readingVoid = z.strictObject({ id, readingId: id, takenAt: instant }).meta({ id: 'ReadingVoid' })
export type KeptVoid = z.infer<typeof readingVoid>

const MOST_SENT = 500

/** What a device sends: weighings and withdrawals in the order they happened. Sending any of it twice changes nothing. */
export const readingsSent = z.strictObject({
  readings: z.array(reading).max(MOST_SENT).default([]),
  voids: z.array(readingVoid).max(MOST_SENT).default([]),
})
export type ReadingsSent = z.infer<typeof readingsSent>

/** The ids that are stored now, after the commit. */
export const readingsKept = z.object({ kept: z.array(id) })

export const fabricationState = z
  .object({ record: fabricationRecord, readings: z.array(reading), voids: z.array(readingVoid) })
  .meta({ id: 'FabricationState' })
export type FabricationState = z.infer<typeof fabricationState>

export const fabricationRow = z.object({
  id,
  status: z.enum(['open', 'closed']),
  startedAt: instant,
  updatedAt: instant,
  document: fabricationDocument,
  /** Of an open one: as it would end if the rest came out as the style expects. */
  expected: fabricationDocument.nullable(),
})
export const fabricationRows = z.array(fabricationRow).meta({ id: 'FabricationRows' })
export type FabricationRow = z.infer<typeof fabricationRow>
