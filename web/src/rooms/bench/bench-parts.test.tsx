import type { FabricationRecord, ScaleReading } from '@fleam/contract'
import { documentOf, type PlannedPile } from '@fleam/core'
import { fireEvent, screen } from '@testing-library/react'
import { renderPart, touch } from '../../../test/render.tsx'
import { BenchCautions } from './cautions.tsx'
import { PieceList } from './piece-list.tsx'
import { PileTiles } from './pile-tiles.tsx'
import { ScalePanel } from './scale-panel.tsx'
import { StandIn } from './stand-in.tsx'
import { viewOf } from './take.ts'
import type { Bench } from './use-bench.ts'

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

const RECORD = {
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
  cook: null,
  supplier: null,
  lot: null,
  notes: null,
} as unknown as FabricationRecord

interface BenchOptions {
  grams?: number[]
  keptHere?: boolean
  reading?: ScaleReading | null
}

/** A bench with these weighings on the supremes, recording what is done to it. */
function benchWith({ grams = [], keptHere = false, reading = null }: BenchOptions = {}) {
  const standing = grams.map((each, at) => ({
    id: String(at),
    pileId: 'supremes',
    grams: each,
    takenAt: `2026-11-24T08:00:0${at}.000Z`,
    source: 'scale' as const,
    isKeptHere: keptHere,
  }))
  const document = documentOf(RECORD, standing, [])
  const done: string[] = []
  const bench: Bench = {
    live: {
      record: RECORD,
      standing,
      document,
      expected: document,
      take: async () => standing[0] as never,
      withdraw: async () => {},
    },
    scale: {
      view: viewOf(reading, null),
      reading,
      isConnected: reading !== null,
      markTaken: () => {},
      forgetTaken: () => {},
    },
    activePile: RECORD.piles[0] as PlannedPile,
    said: '',
    touchPile: (id) => done.push(`touch ${id}`),
    takeSettled: () => done.push('take'),
    takeTyped: (typed) => done.push(`typed ${typed}`),
    undo: () => done.push('undo'),
    nextPile: () => done.push('next'),
    withdraw: (id) => done.push(`withdraw ${id}`),
  }
  return { bench, document, done }
}

const shown = (grams: number, state: ScaleReading['state'] = 'stable', simulated = false): ScaleReading => ({
  grams,
  state,
  tareGrams: 0,
  device: 'b',
  simulated,
})

describe('the tiles', () => {
  test('say what is there, what is expected, and how many pieces', async () => {
    const { bench, document, done } = benchWith({ grams: [281, 276] })
    renderPart(<PileTiles bench={bench} />, { document })
    const tile = screen.getByRole('button', { name: /supremes/ })
    expect(tile.textContent).toContain('557\u00a0g')
    expect(tile.textContent).toContain('of about 3,402\u00a0g · 2 of 12 pieces')
    expect(tile.getAttribute('aria-pressed')).toBe('true')
    await touch(screen.getByRole('button', { name: /bones/ }))
    expect(done).toEqual(['touch bones'])
  })

  test('mark what this device alone has', () => {
    const { bench, document } = benchWith({ grams: [281], keptHere: true })
    renderPart(<PileTiles bench={bench} />, { document })
    expect(screen.getByRole('button', { name: /supremes/ }).textContent).toContain('kept here')
    expect(screen.getByRole('button', { name: /bones/ }).textContent).not.toContain('kept here')
  })
})

describe('the pieces', () => {
  test('are newest first, and tell light from heavy without hue', () => {
    const { bench, document } = benchWith({ grams: [281, 230, 320] })
    renderPart(<PieceList bench={bench} />, { document })
    const words = screen.getAllByRole('listitem').map((each) => each.textContent)
    expect(words[0]).toContain('320\u00a0g, too heavy')
    expect(words[1]).toContain('230\u00a0g, too light')
    expect(words[2]).not.toContain('too')
    expect(screen.getByText(/1 in bounds, 1 too light, 1 too heavy/)).toBeTruthy()
  })

  test('can each be taken back', async () => {
    const { bench, document, done } = benchWith({ grams: [281, 276] })
    renderPart(<PieceList bench={bench} />, { document })
    await touch(screen.getByRole('button', { name: /276/ }))
    expect(done).toEqual(['withdraw 1'])
  })

  test('that are not there yet are said to be missing', () => {
    const { bench, document } = benchWith()
    renderPart(<PieceList bench={bench} />, { document })
    expect(screen.getByText('Nothing weighed onto it yet.')).toBeTruthy()
  })
})

describe('the scale', () => {
  test('shows the weight, and the one thing to do when it has settled', async () => {
    const { bench, document, done } = benchWith({ reading: shown(281) })
    renderPart(<ScalePanel bench={bench} />, { document })
    expect(screen.getByRole('status').textContent).toBe('281\u00a0g')
    const take = screen.getByRole('button', { name: /Take 281/ })
    expect(take.getAttribute('aria-disabled')).toBe('false')
    await touch(take)
    expect(done).toEqual(['take'])
  })

  for (const [what, reading, words] of [
    ['moving', shown(150, 'moving'), 'settling …'],
    ['empty', shown(0), 'empty'],
    ['overloaded', shown(16000, 'over'), 'out of range'],
    ['missing', null, 'no scale: type the weight'],
  ] as const) {
    test(`when it is ${what} there is nothing to take`, () => {
      const { bench, document } = benchWith({ reading })
      renderPart(<ScalePanel bench={bench} />, { document })
      expect(screen.getByText(words)).toBeTruthy()
      expect(screen.getByRole('button', { name: /^Take/ }).getAttribute('aria-disabled')).toBe('true')
    })
  }

  test('a weight can be typed as cooks write it, and nonsense is refused and kept in the field', () => {
    const { bench, document, done } = benchWith()
    renderPart(<ScalePanel bench={bench} />, { document })
    const field = screen.getByLabelText('Weight typed by hand') as HTMLInputElement
    const add = (text: string) => {
      fireEvent.change(field, { target: { value: text } })
      fireEvent.submit(field.closest('form') as HTMLFormElement)
    }
    add('1,2 kg')
    expect(field.value).toBe('')
    for (const text of ['much', '-5', '0', '']) {
      add(text)
      expect(field.value).toBe(text)
      expect(screen.getByRole('alert').textContent).not.toBe('')
    }
    expect(done).toEqual(['typed 1200'])
  })
})

test('hands for the scale are there for a simulated one alone', () => {
  const stand = (reading: ScaleReading | null) =>
    renderPart(<StandIn reading={reading} pile={RECORD.piles[0] as PlannedPile} ap={12600} />)
  stand(shown(0))
  stand(null)
  expect(screen.queryByText(/Stand-in/)).toBeNull()
  stand(shown(0, 'stable', true))
  expect(screen.getByText('Stand-in: this scale is simulated')).toBeTruthy()
})

test('cautions stand at the board and defer to the local code', () => {
  renderPart(<BenchCautions species="poultry" />)
  const cautions = screen.getByRole('complementary', { name: 'Cautions' })
  expect(cautions.textContent).toContain('5 °C (41 °F)')
  expect(cautions.textContent).toContain('Do not rinse it')
  expect(cautions.textContent).toContain('Your local code')
})
