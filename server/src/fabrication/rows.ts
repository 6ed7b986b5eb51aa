import type { FabricationRecord, KeptMark, KeptMove, KeptReading, KeptVoid } from '@fleam/contract'
import type { PlannedPile } from '@fleam/core'
import {
  instantText,
  json,
  number,
  numberOrNull,
  presentNumbers,
  type Row,
  type SqlParameters,
  text,
  textOrNull,
} from '../database/rows.ts'
import { offerFromRow, offerToRow } from './offer-rows.ts'

const PURCHASE_OPTIONAL = {
  receivedWeight: 'received_weight',
  purge: 'purge_weight',
  pieces: 'pieces',
  cases: 'cases',
  extras: 'extras',
} as const

export interface RecordRows {
  fabrication: Row
  piles: Row[]
  labour: Row[]
  consumables: Row[]
  offers: Row[]
  /** What the board shows; null where it was not asked for. */
  board: Row | null
}

/** A record from its own row and those of its parts, which are in their order. */
export function recordFromRows({
  fabrication: row,
  piles,
  labour,
  consumables,
  offers,
  board,
}: RecordRows): FabricationRecord {
  return {
    id: text(row.id),
    version: number(row.version),
    status: row.status as FabricationRecord['status'],
    item: text(row.item),
    style: text(row.style),
    species: row.species as FabricationRecord['species'],
    styleId: textOrNull(row.style_id),
    lotId: textOrNull(row.lot_id),
    units: number(row.units),
    rhythm: row.rhythm as FabricationRecord['rhythm'],
    drawing: textOrNull(row.drawing),
    steps: board ? json(board.steps) : [],
    choices: board ? json(board.choices) : [],
    causes: json(row.causes),
    currency: text(row.currency),
    purchase: {
      price: {
        amount: number(row.price_amount),
        per: row.price_per as FabricationRecord['purchase']['price']['per'],
      },
      invoiceWeight: number(row.invoice_weight),
      ...presentNumbers(row, PURCHASE_OPTIONAL),
    },
    labour: labour.map((each) => ({
      task: text(each.task),
      minutes: number(each.minutes),
      ratePerHour: number(each.rate_per_hour),
    })),
    consumables: consumables.map((each) => ({ name: text(each.name), cost: number(each.cost) })),
    piles: piles.map(pileFromRow),
    offers: offers.map(offerFromRow),
    creditPolicy: row.credit_policy as FabricationRecord['creditPolicy'],
    allocation: row.allocation as FabricationRecord['allocation'],
    confirmed: Boolean(row.confirmed),
    date: text(row.date),
    cook: textOrNull(row.cook),
    supplier: textOrNull(row.supplier),
    lot: textOrNull(row.lot),
    notes: textOrNull(row.notes),
    startedAt: instantText(row.started_at),
    closedAt: row.closed_at === null ? null : instantText(row.closed_at),
    updatedAt: instantText(row.updated_at),
  }
}

const pileFromRow = (row: Row): PlannedPile => ({
  id: text(row.id),
  name: text(row.name),
  class: row.class as PlannedPile['class'],
  weighing: row.weighing as PlannedPile['weighing'],
  expectedShare: numberOrNull(row.expected_share),
  portions: numberOrNull(row.portions),
  target: numberOrNull(row.target),
  low: numberOrNull(row.low),
  high: numberOrNull(row.high),
  valuePerKg: numberOrNull(row.value_per_kg),
  usedShare: numberOrNull(row.used_share),
  processingPerKg: numberOrNull(row.processing_per_kg),
})

/** The columns of a record that an edit may change. */
export function editableColumns(record: FabricationRecord): SqlParameters {
  const { purchase } = record
  return {
    status: record.status,
    price_amount: purchase.price.amount,
    price_per: purchase.price.per,
    invoice_weight: purchase.invoiceWeight,
    received_weight: purchase.receivedWeight ?? null,
    purge_weight: purchase.purge ?? null,
    pieces: purchase.pieces ?? null,
    cases: purchase.cases ?? null,
    extras: purchase.extras ?? null,
    credit_policy: record.creditPolicy,
    allocation: record.allocation,
    confirmed: record.confirmed,
    date: record.date,
    cook: record.cook,
    supplier: record.supplier,
    lot: record.lot,
    notes: record.notes,
    causes: JSON.stringify(record.causes),
    closed_at: record.closedAt === null ? null : new Date(record.closedAt),
    updated_at: new Date(record.updatedAt),
  }
}

export function fabricationRow(kitchenId: string, record: FabricationRecord): SqlParameters {
  return {
    id: record.id,
    kitchen_id: kitchenId,
    version: record.version,
    item: record.item,
    style: record.style,
    species: record.species,
    style_id: record.styleId,
    lot_id: record.lotId,
    units: record.units,
    rhythm: record.rhythm,
    drawing: record.drawing,
    currency: record.currency,
    started_at: new Date(record.startedAt),
    ...editableColumns(record),
  }
}

export const pileRow = (
  kitchenId: string,
  fabricationId: string,
  pile: PlannedPile,
  position: number,
): SqlParameters => ({
  id: pile.id,
  kitchen_id: kitchenId,
  fabrication_id: fabricationId,
  position,
  name: pile.name,
  class: pile.class,
  weighing: pile.weighing,
  expected_share: pile.expectedShare,
  portions: pile.portions,
  target: pile.target,
  low: pile.low,
  high: pile.high,
  value_per_kg: pile.valuePerKg,
  used_share: pile.usedShare,
  processing_per_kg: pile.processingPerKg,
})

/** Rows of labour, consumables and offers, which an edit replaces as a whole. */
export function listRows(kitchenId: string, record: FabricationRecord): Record<string, SqlParameters[]> {
  const key = (position: number) => ({ fabrication_id: record.id, position, kitchen_id: kitchenId })
  return {
    fabrication_labour: record.labour.map(({ task, minutes, ratePerHour }, at) => ({
      ...key(at),
      task,
      minutes,
      rate_per_hour: ratePerHour,
    })),
    fabrication_consumables: record.consumables.map((each, at) => ({ ...key(at), ...each })),
    fabrication_offers: record.offers.map((offer, at) => ({ ...key(at), ...offerToRow(offer) })),
  }
}

export const boardRow = (kitchenId: string, record: FabricationRecord): SqlParameters => ({
  fabrication_id: record.id,
  kitchen_id: kitchenId,
  steps: JSON.stringify(record.steps),
  choices: JSON.stringify(record.choices),
})

export const readingFromRow = (row: Row): KeptReading => ({
  id: text(row.id),
  pileId: text(row.pile_id),
  grams: number(row.grams),
  takenAt: instantText(row.taken_at),
  source: row.source as KeptReading['source'],
  cook: textOrNull(row.cook),
})

export const voidFromRow = (row: Row): KeptVoid => ({
  id: text(row.id),
  readingId: text(row.reading_id),
  takenAt: instantText(row.taken_at),
})

export const readingRow = (kitchenId: string, fabricationId: string, reading: KeptReading): SqlParameters => ({
  id: reading.id,
  kitchen_id: kitchenId,
  fabrication_id: fabricationId,
  pile_id: reading.pileId,
  grams: reading.grams,
  taken_at: new Date(reading.takenAt),
  source: reading.source,
  cook: reading.cook,
})

export const voidRow = (kitchenId: string, fabricationId: string, each: KeptVoid): SqlParameters => ({
  id: each.id,
  kitchen_id: kitchenId,
  fabrication_id: fabricationId,
  reading_id: each.readingId,
  taken_at: new Date(each.takenAt),
})

export const moveFromRow = (row: Row): KeptMove => ({
  id: text(row.id),
  readingId: text(row.reading_id),
  pileId: text(row.pile_id),
  takenAt: instantText(row.taken_at),
})

export const moveRow = (kitchenId: string, fabricationId: string, each: KeptMove): SqlParameters => ({
  id: each.id,
  kitchen_id: kitchenId,
  fabrication_id: fabricationId,
  reading_id: each.readingId,
  pile_id: each.pileId,
  taken_at: new Date(each.takenAt),
})

export const markFromRow = (row: Row): KeptMark => ({
  id: text(row.id),
  kind: row.kind as KeptMark['kind'],
  cook: textOrNull(row.cook),
  ratePerHour: numberOrNull(row.rate_per_hour),
  step: textOrNull(row.step),
  takenAt: instantText(row.taken_at),
})

export const markRow = (kitchenId: string, fabricationId: string, each: KeptMark): SqlParameters => ({
  id: each.id,
  kitchen_id: kitchenId,
  fabrication_id: fabricationId,
  kind: each.kind,
  cook: each.cook,
  rate_per_hour: each.ratePerHour,
  step: each.step,
  taken_at: new Date(each.takenAt),
})
