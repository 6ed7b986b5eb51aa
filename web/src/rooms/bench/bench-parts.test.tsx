import type { FabricationRecord, FabricationStep, KeptMark, ScaleReading } from '@fleam/contract'
import { documentOf, type PlannedPile, type WeighingCheck } from '@fleam/core'
import { fireEvent, screen } from '@testing-library/react'
import { renderPart, touch } from '../../../test/render.tsx'
import { BenchCautions } from './cautions.tsx'
import { ChecksLine } from './checks-line.tsx'
import { Clocks } from './clocks.tsx'
import { PieceList } from './piece-list.tsx'
import { PileTiles } from './pile-tiles.tsx'
import { progressOf } from './progress.ts'
import { ScalePanel } from './scale-panel.tsx'
import { StandIn } from './stand-in.tsx'
import { StepCard } from './step-card.tsx'
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

const step = (id: string, changes: Partial<FabricationStep> = {}): FabricationStep => ({
  id,
  title: `Do ${id}`,
  doing: 'With long strokes.',
  check: 'It shines.',
  mistakes: ['short strokes'],
  tool: 'knife',
  piles: [],
  cautions: ['knife', 'poultry-dry'],
  isOptional: false,
  gain: null,
  cut: null,
  regions: [],
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
  cook: 'Ondine',
  supplier: null,
  lot: null,
  notes: null,
  status: 'open',
  styleId: null,
  units: 6,
  rhythm: 'unit',
  drawing: 'bird',
  steps: [step('dry'), step('supremes', { piles: ['supremes'], cut: 'keel', regions: ['breast'] })],
  choices: [],
  causes: [],
  startedAt: '2026-11-24T08:00:00.000Z',
} as unknown as FabricationRecord

interface BenchOptions {
  grams?: number[]
  keptHere?: boolean
  marks?: KeptMark[]
  checks?: WeighingCheck[]
  changes?: Partial<Bench>
  reading?: ScaleReading | null
}

/** A bench with these weighings on the supremes, recording what is done to it. */
function benchWith(options: BenchOptions = {}) {
  const { grams = [], keptHere = false, reading = null, marks = [], checks = [], changes = {} } = options
  const standing = grams.map((each, at) => ({
    id: String(at),
    pileId: 'supremes',
    grams: each,
    takenAt: `2026-11-24T08:00:0${at}.000Z`,
    source: 'scale' as const,
    cook: null,
    isKeptHere: keptHere,
    isMine: true,
  }))
  const document = documentOf(RECORD, { readings: standing, voids: [], moves: [], marks })
  const done: string[] = []
  const bench: Bench = {
    live: {
      record: RECORD,
      standing,
      document,
      expected: document,
      marks,
      nowMs: Date.parse('2026-11-24T08:26:00.000Z'),
      take: async () => standing[0] as never,
      withdraw: async () => {},
      move: async () => {},
      mark: async (mark) => {
        done.push(`mark ${mark.kind} ${mark.cook ?? mark.step ?? ''}`.trim())
      },
    },
    scale: {
      view: viewOf(reading, null),
      reading,
      isConnected: reading !== null,
      markTaken: () => {},
      forgetTaken: () => {},
    },
    settings: { takesItself: false, sound: false, voice: false, cook: null, change: () => {} },
    container: { containers: [], container: null, choose: () => {} },
    checks: { open: checks, confirm: (check) => done.push(`confirm ${check.code}`) },
    progress: progressOf(RECORD, standing),
    unit: 1,
    stepAt: 1,
    goToStep: (at) => done.push(`step ${at}`),
    nextStep: () => done.push('next'),
    activePile: RECORD.piles[0] as PlannedPile,
    likeness: null,
    said: '',
    picked: null,
    pick: (id) => done.push(`pick ${id}`),
    touchPile: (id) => done.push(`touch ${id}`),
    takeSettled: () => done.push('take'),
    takeTyped: (typed) => done.push(`typed ${typed}`),
    undo: () => done.push('undo'),
    withdraw: (id) => done.push(`withdraw ${id}`),
    ...changes,
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

  test('can each be picked, and then taken back or left', async () => {
    const { bench, document, done } = benchWith({ grams: [281, 276] })
    const { rerender } = renderPart(<PieceList bench={bench} />, { document })
    await touch(screen.getByRole('button', { name: /276/ }))
    expect(done).toEqual(['pick 1'])
    rerender(<div />)
    const picked = { ...bench, picked: bench.live.standing[1] ?? null }
    renderPart(<PieceList bench={picked} />, { document })
    await touch(screen.getByRole('button', { name: 'Take it back' }))
    await touch(screen.getByRole('button', { name: 'Leave it' }))
    expect(done.slice(1)).toEqual(['withdraw 1', 'pick null'])
  })

  test('of a large batch are counted, and the newest shown', () => {
    const { bench, document } = benchWith({ grams: Array.from({ length: 60 }, () => 281) })
    renderPart(<PieceList bench={bench} />, { document })
    expect(screen.getAllByRole('listitem')).toHaveLength(48)
    expect(screen.getByText('and 12 earlier ones')).toBeTruthy()
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
  expect(cautions.textContent).toContain('Poultry is cut last')
  expect(cautions.textContent).toContain('Your local code')
})

describe('the step', () => {
  test('says what to do, how to tell that it is right, what not, and its cautions', () => {
    const { bench, document } = benchWith()
    renderPart(<StepCard bench={bench} />, { document })
    const card = screen.getByRole('region', { name: 'Step' })
    for (const words of [
      'Step 2 of 2 · 1 of 6 on the board',
      'With long strokes.',
      'Right when: It shines.',
      'Not: short strokes.',
    ]) {
      expect(card.textContent).toContain(words)
    }
    expect(screen.getByRole('list', { name: 'Cautions of this step' }).textContent).toContain('Do not rinse poultry')
    expect(card.querySelectorAll('.region.lit').length).toBeGreaterThan(0)
    expect(card.querySelectorAll('.cut').length).toBeGreaterThan(0)
  })

  test('goes on, back, and to any other', async () => {
    const { bench, document, done } = benchWith()
    renderPart(<StepCard bench={bench} />, { document })
    await touch(screen.getByRole('button', { name: /Checked: next step/ }))
    await touch(screen.getByRole('button', { name: 'Back' }))
    await touch(screen.getByRole('button', { name: 'All steps' }))
    await touch(screen.getByRole('button', { name: /1. Do dry/ }))
    expect(done).toEqual(['next', 'step 0', 'step 0'])
  })

  test('that is optional says what it is worth, with its numbers', () => {
    const { bench, document } = benchWith({ changes: { stepAt: 0 } })
    const gain = { pile: 'supremes', grams: 6, seconds: 30 }
    const steps = [step('wishbone', { isOptional: true, gain })]
    const own = { ...bench, live: { ...bench.live, record: { ...RECORD, steps } } }
    renderPart(<StepCard bench={own} />, { document })
    const card = screen.getByRole('region', { name: 'Step' })
    expect(card.textContent).toContain('optional')
    expect(card.textContent).toContain('Costs €0.10 more than it brings, assumed')
  })
})

describe('the clocks', () => {
  const mark = (kind: KeptMark['kind'], minute: number, cook: string | null = null): KeptMark => ({
    id: `${kind} ${minute}`,
    kind,
    cook,
    ratePerHour: null,
    step: null,
    takenAt: `2026-11-24T08:${String(minute).padStart(2, '0')}:00.000Z`,
  })

  test('say how long it has been on the board, and turn amber before the limit', async () => {
    const { bench, document, done } = benchWith()
    renderPart(<Clocks bench={bench} />, { document })
    const cold = screen.getByRole('timer')
    expect(cold.textContent).toContain('On the board 26 min')
    expect(cold.className).toContain('amber')
    await touch(screen.getByRole('button', { name: /Back in/ }))
    expect(done).toEqual(['mark cold-in'])
  })

  test('of the cooks start and pause, each by itself', async () => {
    const { bench, document, done } = benchWith({ marks: [mark('labour-start', 6, 'Marit')] })
    renderPart(<Clocks bench={bench} />, { document })
    expect(screen.getByRole('button', { name: /Marit/ }).textContent).toContain('20 min')
    await touch(screen.getByRole('button', { name: /Marit/ }))
    await touch(screen.getByRole('button', { name: /Ondine/ }))
    expect(done).toEqual(['mark labour-pause Marit', 'mark labour-start Ondine'])
  })
})

describe('a question', () => {
  const ask = (check: WeighingCheck) => {
    const { bench, document, done } = benchWith({ checks: [check] })
    renderPart(<ChecksLine bench={bench} />, { document })
    return done
  }

  test('about a reading can be confirmed or the reading taken back', async () => {
    const done = ask({ code: 'wrong-unit', readingId: '7', pileId: 'supremes', grams: 617, against: 280 })
    expect(screen.getByRole('status', { name: 'Question' }).textContent).toContain(
      '617\u00a0g of supremes, about 280\u00a0g expected: pounds for kilos?',
    )
    await touch(screen.getByRole('button', { name: 'It is right' }))
    await touch(screen.getByRole('button', { name: 'Take it back' }))
    expect(done).toEqual(['confirm wrong-unit', 'withdraw 7'])
  })

  for (const [code, words] of [
    ['heavier-than-whole', 'is more than the whole'],
    ['taken-twice', 'twice within a second'],
    ['far-from-expected', 'The mean of supremes'],
    ['balance-over', 'came out of'],
    ['balance-lost', 'not weighed'],
  ] as const) {
    test(`${code} is one line`, () => {
      ask({ code, readingId: null, pileId: 'supremes', grams: 500, against: 400 })
      expect(screen.getByRole('status', { name: 'Question' }).textContent).toContain(words)
      expect(screen.queryByRole('button', { name: 'Take it back' })).toBeNull()
    })
  }
})
