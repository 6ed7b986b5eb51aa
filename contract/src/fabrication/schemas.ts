import {
  ALLOCATIONS,
  CREDIT_POLICIES,
  consumable,
  fabricationDocument,
  LABOUR_SOURCES,
  labourEntry,
  PRICE_SOURCES,
  pileRuleIssues,
  plannedOffer,
  plannedPile,
  purchase,
  RECORD_STATUSES,
  startPurchase,
  WEIGHT_SOURCES,
} from '@fleam/core/fabrication'
import { mark } from '@fleam/core/facts'
import { MAX_UNITS } from '@fleam/core/limits'
import { DOUBT_KINDS } from '@fleam/core/logbook'
import { SPECIES, styleStep } from '@fleam/core/style'
import { currency, day, grams, id, instant, name, notes, positiveCount, positiveGrams } from '@fleam/core/values'
import { LOSS_CAUSES, RHYTHMS } from '@fleam/core/weighing'
import { z } from 'zod'
import { fact } from '../facts/schemas.ts'

const MAX_ROWS = 200

/** What a verdict rests on that is not a weighing. */
export const assumptionFields = {
  purchase,
  labour: z.array(labourEntry).max(MAX_ROWS),
  consumables: z.array(consumable).max(MAX_ROWS),
  piles: z.array(plannedPile).min(1).max(500),
  offers: z.array(plannedOffer).max(MAX_ROWS),
  creditPolicy: z.enum(CREDIT_POLICIES),
  allocation: z.enum(ALLOCATIONS),
}

const editable = {
  ...assumptionFields,
  /** Where the minutes of the labour are from. */
  labourFrom: z.enum(LABOUR_SOURCES),
  confirmed: z.boolean(),
  date: day,
  cookId: id.nullable(),
  supplierId: id.nullable(),
  /** The supplier's lot as it is written on the label. */
  lot: name.nullable(),
  notes: notes.nullable(),
  status: z.enum(RECORD_STATUSES),
  /** Why it is left out of averages; null where it counts. */
  leftOut: z.string().trim().min(1).max(200).nullable(),
  /** Doubts that somebody has looked at and stands by. */
  settled: z.array(z.enum(DOUBT_KINDS)).max(DOUBT_KINDS.length).default([]),
  priceFrom: z.enum(PRICE_SOURCES),
  /** Whether the invoice's weight is the invoice's, or was estimated when planned work began. */
  weightFrom: z.enum(WEIGHT_SOURCES).default('invoice'),
  /** The cut style, and with it the item; null where it is none of this kitchen's. */
  styleId: id.nullable(),
  /** Birds, fish, loins or racks in the batch. */
  units: positiveCount,
  /** What went wrong with a pile that ended outside its expected range, where somebody said it. */
  causes: z
    .array(
      z.strictObject({
        pileId: id,
        cause: z.enum(LOSS_CAUSES),
        /** It is so from now on: what is usual begins anew with this record. */
        isLasting: z.boolean().default(false),
      }),
    )
    .max(MAX_ROWS),
}

const editFields = z.strictObject({ ...editable, version: positiveCount })

/** Adds what is wrong between the piles and the offers of a plan. */
export function plannedPileIssues(
  { piles, offers }: Pick<z.infer<typeof editFields>, 'piles' | 'offers'>,
  context: z.RefinementCtx,
): void {
  for (const issue of pileRuleIssues(piles)) context.addIssue({ code: 'custom', ...issue })
  offers.forEach((offer, index) => {
    if (piles.some((other) => other.id === offer.pileId && other.class === 'primary')) return
    context.addIssue({ code: 'custom', path: ['offers', index, 'pileId'], message: 'is not a primary pile here' })
  })
}

/** The whole changed record with the version that it was read at; a stale one gets 409. */
export const fabricationEdit = editFields.superRefine(plannedPileIssues)
export type FabricationEdit = z.infer<typeof fabricationEdit>

/** A step as it stands at the board: the options are settled, and piles are those of the record. */
export const fabricationStep = styleStep.omit({ when: true }).extend({
  /** Regions of the drawing that light up: where the piles of this step come from. */
  regions: z.array(z.string().max(60)).max(50),
})
export type FabricationStep = z.infer<typeof fabricationStep>

export const fabricationRecord = editFields
  .extend({
    id,
    currency,
    itemId: id.nullable(),
    /** Names are for reading; where there is no id, they are as the document had them. */
    item: name,
    style: name,
    cook: name.nullable(),
    supplier: name.nullable(),
    species: z.enum(SPECIES).nullable(),
    /** The raw lot that it was cut from, where it was received here. */
    lotId: id.nullable(),
    /** Bird by bird, or one step for all birds. */
    rhythm: z.enum(RHYTHMS),
    drawing: z.string().max(60).nullable(),
    /** Usual shape of what is cut along its length, as the item has it; null where it is not. */
    shape: z.string().max(60).nullable(),
    /** Steps as they were when it started, with the options that were chosen. */
    steps: z.array(fabricationStep),
    choices: z.array(z.strictObject({ question: name, choice: name })),
    startedAt: instant,
    closedAt: instant.nullable(),
    updatedAt: instant,
  })
  .meta({ id: 'FabricationRecord' })
export type FabricationRecord = z.infer<typeof fabricationRecord>

/** What a portion of a pile of the style may weigh in this run. */
const ownBounds = z
  .strictObject({ stylePileId: id, target: positiveGrams, low: grams, high: grams })
  .refine(({ low, target, high }) => low <= target && target <= high, {
    path: ['target'],
    error: 'must lie between low and high',
  })

/** Starts a fabrication of a style that the kitchen has; its id is made on the device, so sending twice starts one. */
export const fabricationStart = z.strictObject({
  id,
  styleId: id,
  units: positiveCount.max(MAX_UNITS),
  /** Without a price it is taken from the price book, or is told later. */
  purchase: startPurchase,
  cookId: id.nullable(),
  supplierId: id.nullable(),
  lot: name.nullable(),
  lotId: id.nullable().default(null),
  /** Why a lot in quarantine is cut from; kept with the record's notes. */
  lotReason: notes.nullable().default(null),
  /** The planned fabrication that it is; null where nobody planned it. */
  plannedId: id.nullable().default(null),
  date: day,
  startedAt: instant,
  rhythm: z.enum(RHYTHMS).default('unit'),
  /** An estimated weight of what was bought says so until somebody types the invoice's. */
  weightFrom: z.enum(WEIGHT_SOURCES).default('invoice'),
  /** Weights of portions for this run, by the pile of the style; the others are as the style says. */
  bounds: z.array(ownBounds).max(MAX_ROWS).default([]),
  /** What was chosen of the style's options, by the id of each option. */
  chosen: z.record(z.string().max(60), z.string().max(60)).default({}),
})
export type FabricationStart = z.input<typeof fabricationStart>
export type FabricationRequest = z.infer<typeof fabricationStart>

export const fabricationState = z
  .object({ record: fabricationRecord, facts: z.array(fact) })
  .meta({ id: 'FabricationState' })
export type FabricationState = z.infer<typeof fabricationState>

/** A record as it was before somebody changed it. */
export const recordVersion = z.object({
  version: positiveCount,
  replacedAt: instant,
  actor: z.enum(['bench', 'office']),
  /** What could be edited of it; a version before may not have known every field. */
  record: z.looseObject({}),
})
export const recordVersions = z.array(recordVersion).meta({ id: 'RecordVersions' })
export type RecordVersion = z.infer<typeof recordVersion>

export const fabricationRow = z.object({
  id,
  status: z.enum(RECORD_STATUSES),
  priceFrom: z.enum(PRICE_SOURCES),
  itemId: id.nullable(),
  styleId: id.nullable(),
  cookId: id.nullable(),
  startedAt: instant,
  updatedAt: instant,
  document: fabricationDocument,
  /** Of an open one: as it would end if the rest came out as the style expects. */
  expected: fabricationDocument.nullable(),
  /** Birds, fish, loins or racks in it. */
  units: positiveCount,
  /** Of an open one: what was said of loads out of the cold and back in it. */
  coldMarks: z.array(mark),
})
export const fabricationRows = z.array(fabricationRow).meta({ id: 'FabricationRows' })
export type FabricationRow = z.infer<typeof fabricationRow>
