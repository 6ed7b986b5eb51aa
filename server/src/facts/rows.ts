import type { BoardPart, Fact, MarkKind } from '@fleam/core/facts'
import type { FactModel } from '../database/index.ts'

type FactColumns = Omit<FactModel['_attributes'], 'receivedAt'>

const NOTHING = {
  pileId: null,
  targetId: null,
  grams: null,
  pieces: null,
  source: null,
  cookId: null,
  mark: null,
  ratePerHour: null,
  step: null,
  loadNo: null,
  units: null,
  way: null,
  shape: null,
  planned: null,
  state: null,
} as const

/** The columns of a fact; what its kind does not have is null. */
export function rowOfFact(kitchenId: string, fact: Fact): FactColumns {
  const { id, fabricationId, kind, order, takenAt } = fact
  // Filled, not spread again: it is made at every weighing.
  const row: FactColumns = {
    ...NOTHING,
    id,
    kitchenId,
    fabricationId,
    kind,
    orderNo: order,
    takenAt: new Date(takenAt),
  }
  switch (fact.kind) {
    case 'reading':
      return Object.assign(row, {
        pileId: fact.pileId,
        grams: fact.grams,
        source: fact.source,
        cookId: fact.cookId,
        pieces: fact.pieces ?? null,
      })
    case 'void':
      return Object.assign(row, { targetId: fact.factId })
    case 'move':
      return Object.assign(row, { targetId: fact.readingId, pileId: fact.pileId })
    case 'count':
      return Object.assign(row, { targetId: fact.readingId, pieces: fact.pieces })
    case 'mark':
      return Object.assign(row, {
        mark: fact.mark,
        cookId: fact.cookId,
        ratePerHour: fact.ratePerHour,
        step: fact.step,
        loadNo: fact.load ?? null,
        units: fact.units ?? null,
      })
    case 'board':
      return Object.assign(row, { mark: fact.part, state: JSON.stringify(fact.state) })
    case 'plate':
      return Object.assign(row, { targetId: fact.readingId, units: fact.number })
    case 'measured-cut':
      return Object.assign(row, {
        targetId: fact.readingId,
        grams: fact.weighed,
        way: fact.way,
        shape: fact.shape,
        planned: fact.planned,
      })
  }
}

/** A fact from its row, as the device made it. */
export function factOfRow(row: FactColumns): Fact {
  const made = { id: row.id, order: row.orderNo, takenAt: row.takenAt.toISOString() }
  const { fabricationId } = row
  // The table has nulls where a kind has nothing; what a kind has is never null there, see `rowOfFact`.
  const atBench = { ...made, fabricationId: fabricationId as string }
  switch (row.kind) {
    case 'reading':
      return {
        kind: 'reading',
        ...atBench,
        pileId: row.pileId as string,
        grams: row.grams as number,
        source: row.source as NonNullable<typeof row.source>,
        cookId: row.cookId,
        pieces: row.pieces,
      }
    case 'void':
      return { kind: 'void', ...made, fabricationId, factId: row.targetId as string }
    case 'move':
      return { kind: 'move', ...atBench, readingId: row.targetId as string, pileId: row.pileId as string }
    case 'count':
      return { kind: 'count', ...atBench, readingId: row.targetId as string, pieces: row.pieces as number }
    case 'mark':
      return {
        kind: 'mark',
        ...atBench,
        mark: row.mark as MarkKind,
        cookId: row.cookId,
        ratePerHour: row.ratePerHour,
        step: row.step,
        load: row.loadNo,
        units: row.units,
      }
    case 'board':
      return { kind: 'board', ...atBench, part: row.mark as BoardPart, state: JSON.parse(row.state ?? 'null') }
    case 'plate':
      return { kind: 'plate', ...atBench, readingId: row.targetId as string, number: row.units as number }
    case 'measured-cut':
      return {
        kind: 'measured-cut',
        ...made,
        fabricationId,
        readingId: row.targetId,
        way: row.way as NonNullable<typeof row.way>,
        shape: row.shape as string,
        planned: row.planned as number,
        weighed: row.grams as number,
      }
  }
}
