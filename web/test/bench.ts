import type { FabricationRecord, FabricationStep } from '@fleam/contract/fabrication/schemas'
import type { ScaleReading } from '@fleam/contract/scale/scale-line'
import { documentOf, type PlannedPile } from '@fleam/core/fabrication'
import type { Mark } from '@fleam/core/facts'
import { viewOf, type WeighingCheck } from '@fleam/core/weighing'
import { progressOf } from '../src/rooms/bench/state/progress.ts'
import type { Bench } from '../src/rooms/bench/state/use-bench.ts'

const pile = (id: string, changes: Partial<PlannedPile> = {}): PlannedPile => ({
  id,
  name: id,
  class: 'primary',
  weighing: 'pieces',
  expectedShare: 0.27,
  portions: 12,
  target: 280,
  low: 240,
  high: 310,
  valuePerKg: 13.2,
  usedShare: null,
  processingPerKg: null,
  ...changes,
})

/** Cooks of the bench by id. */
const COOKS: Readonly<Record<string, string>> = { ondine: 'Ondine', marit: 'Marit' }

/** A step with nothing but what is said of it. */
export const step = (id: string, changes: Partial<FabricationStep> = {}): FabricationStep => ({
  id,
  title: `Do ${id}`,
  doing: 'With long strokes.',
  check: 'It shines.',
  mistakes: ['short strokes'],
  tool: 'knife',
  pileIds: [],
  cautions: ['knife', 'poultry-dry'],
  isOptional: false,
  gain: null,
  minutes: null,
  cut: null,
  regions: [],
  ...changes,
})

/** Six chickens for supremes, of two piles and two steps. */
export const RECORD = {
  id: 'f',
  currency: 'EUR',
  item: 'Chicken',
  style: 'supremes',
  species: 'poultry',
  purchase: { price: { amount: 3.1, per: 'kg' }, invoiceWeight: 12600 },
  labour: [],
  consumables: [],
  piles: [
    pile('supremes'),
    pile('bones', { class: 'by-product', weighing: 'whole', portions: null, target: null, low: null, high: null }),
  ],
  offers: [],
  creditPolicy: 'used',
  allocation: 'value',
  confirmed: false,
  date: '2026-11-24',
  itemId: 'i',
  cookId: 'ondine',
  cook: 'Ondine',
  supplierId: null,
  supplier: null,
  lot: null,
  notes: null,
  status: 'open',
  styleId: null,
  units: 6,
  rhythm: 'unit',
  drawing: 'bird',
  steps: [step('dry'), step('supremes', { pileIds: ['supremes'], cut: 'keel', regions: ['breast'] })],
  choices: [],
  causes: [],
  startedAt: '2026-11-24T08:00:00.000Z',
} as unknown as FabricationRecord

interface BenchOptions {
  grams?: number[]
  keptHere?: boolean
  marks?: Mark[]
  checks?: WeighingCheck[]
  changes?: Partial<Bench>
  reading?: ScaleReading | null
}

/** A bench with these weighings on the supremes, recording what is done to it. */
export function benchWith(options: BenchOptions = {}) {
  const { grams = [], keptHere = false, reading = null, marks = [], checks = [], changes = {} } = options
  const standing = grams.map((weight, index) => ({
    kind: 'reading' as const,
    id: String(index),
    order: index + 1,
    fabricationId: 'f',
    pileId: 'supremes',
    grams: weight,
    takenAt: `2026-11-24T08:00:0${index}.000Z`,
    source: 'scale' as const,
    cookId: null,
    pieces: null,
    isKeptHere: keptHere,
    isMine: true,
  }))
  const document = documentOf(RECORD, [...standing, ...marks])
  const done: string[] = []
  const bench: Bench = {
    live: {
      record: RECORD,
      standing,
      ahead: standing,
      isWriting: false,
      document,
      expected: document,
      marks,
      board: { states: {}, plateNumbers: new Map() },
      layOut: () => {},
      numberPlate: () => {},
      cookName: (id) => COOKS[id],
      nowMs: Date.parse('2026-11-24T08:26:00.000Z'),
      take: async () => true,
      withdraw: async () => true,
      move: async () => true,
      count: async () => true,
      lastAct: null,
      lastUndone: null,
      undo: async () => true,
      redo: async () => true,
      mark: async (_words, mark) => {
        done.push(`mark ${mark.mark} ${mark.cookId ?? mark.step ?? ''}`.trim())
        return true
      },
    },
    scale: {
      viewWith: (grams) => viewOf(reading, null, grams),
      reading,
      isConnected: reading !== null,
      isFound: false,
      markTaken: () => {},
      forgetTaken: () => {},
    },
    settings: { takesItself: false, sound: false, voice: false, cookId: null, change: () => {} },
    view: viewOf(reading, null),
    containers: { containers: [], of: () => null, choose: () => {} },
    checks: { open: checks, confirm: (check) => done.push(`confirm ${check.code}`) },
    progress: progressOf(RECORD, standing),
    unit: 1,
    unitOnBoard: 'Bird 1 of 6',
    stepAt: 1,
    goToStep: (at) => done.push(`step ${at}`),
    nextStep: () => done.push('next'),
    pileInTurn: RECORD.piles[0] as PlannedPile,
    activePile: RECORD.piles[0] as PlannedPile,
    likeness: null,
    said: '',
    picked: null,
    pick: (id) => done.push(`pick ${id}`),
    touchPile: (id) => done.push(`touch ${id}`),
    takeSettled: () => done.push('take'),
    takeTyped: (typed, pieces) => done.push(`typed ${typed}${pieces === null ? '' : ` for ${pieces}`}`),
    tare: () => done.push('tare'),
    undo: () => done.push('undo'),
    redo: () => done.push('redo'),
    countPieces: (id, pieces) => done.push(`count ${id} ${pieces}`),
    withdraw: (id) => done.push(`withdraw ${id}`),
    ...changes,
  }
  return { bench, document, done }
}

/** What the scale shows. */
export const shown = (grams: number, state: ScaleReading['state'] = 'stable', simulated = false): ScaleReading => ({
  grams,
  state,
  tareGrams: 0,
  device: 'b',
  simulated,
})
