import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { PlannedPile } from '@fleam/core/fabrication'
import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { reading } from '../../../../../core/test/facts.ts'
import { forgetBoard, useBoardFacts } from '../../../../test/board-facts.ts'
import { renderPart, touch } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import { outbox } from '../../../outbox/page-outbox.ts'
import { keepKnifeLines, shapeById } from '../../../parts/measured-piece.ts'
import { freshDraft } from '../../knife/draft.ts'
import type { LiveFabrication, StandingReading } from '../state/use-live-fabrication.ts'
import NextCut from './next-cut.tsx'

jest.mock('../../../workers/core-client.ts', () => ({
  workAside: jest.requireActual('../../../../test/compute.ts').workAtOnce,
}))

const pile = (id: string, changes: Partial<PlannedPile> = {}): PlannedPile => ({
  id,
  name: id,
  class: 'primary',
  weighing: 'pieces',
  expectedShare: null,
  portions: 7,
  target: 212,
  low: 190,
  high: 235,
  valuePerKg: null,
  usedShare: null,
  processingPerKg: null,
  ...changes,
})

let mockReading: { grams: number; state: string } | null = null
jest.mock('../../../data/scale.ts', () => ({
  useScale: () => ({ reading: mockReading, connected: mockReading !== null }),
}))

let weigh: (grams: number) => void
let takeBack: () => void

/** A fabrication at the bench, as far as the next cut looks at it. */
function AtTheBench({ record }: { record: Partial<FabricationRecord> }) {
  const [standing, setStanding] = useState<StandingReading[]>([])
  weigh = (grams) =>
    setStanding((before) => [
      ...before,
      {
        ...reading(`r${before.length}`, 'steaks', grams, { order: before.length + 1 }),
        isKeptHere: true,
        isMine: true,
      },
    ])
  takeBack = () => setStanding((before) => before.slice(0, -1))
  const board = useBoardFacts()
  return <NextCut live={{ record, standing, ...board } as LiveFabrication} />
}

const RECORD: Partial<FabricationRecord> = {
  id: 'f',
  status: 'open',
  item: 'Beef tenderloin, peeled, side muscle on',
  shape: 'tenderloin',
  piles: [pile('steaks'), pile('tips', { class: 'by-product', weighing: 'whole', target: null })],
}

beforeEach(() => {
  localStorage.clear()
  forgetBoard()
  answerWith({})
  mockReading = null
  known = new Set()
  known = new Set(learned().map((fact) => fact.id))
})

/** Portions that the device has kept since the test began, whether the server has them or not. */
const learned = () => {
  const { waiting, stored, refused } = outbox.state()
  const kept = [...stored, ...refused.map(({ entry }) => entry), ...waiting].map(({ fact }) => fact)
  return kept.filter((fact) => fact.kind === 'measured-cut' && !known.has(fact.id))
}
let known: ReadonlySet<string>

const region = () => screen.getByRole('region', { name: 'Next cut' })
const next = () => Number(region().querySelector('strong')?.textContent)
const answered = () => waitFor(() => expect(next()).toBeGreaterThan(0), { timeout: 15_000 })
async function lay(record = RECORD) {
  renderPart(<AtTheBench record={record} />)
  await touch(screen.getByRole('button', { name: 'Where to cut?' }))
  await answered()
}

test('a piece that is laid on the board answers with the first cut', async () => {
  await lay()
  expect(region().textContent).toMatch(/\d+ mm steaks about \d+\s?g/)
})

test('a weighed portion was that cut: the rest is planned, and what is heavier makes the next one another', async () => {
  await lay()
  const [first, words] = [next(), region().textContent]
  await act(async () => weigh(232))
  await waitFor(() => expect(region().textContent).not.toBe(words), { timeout: 15_000 })
  await answered()
  const second = region().textContent
  expect(learned()).toMatchObject([{ fabricationId: 'f', readingId: 'r0', weighed: 232, way: 'template' }])
  // Taken back, the piece is whole again and the first cut stands as before.
  await act(async () => takeBack())
  await waitFor(() => expect(region().textContent).toBe(words), { timeout: 15_000 })
  expect(next()).toBe(first)
  expect(second).toMatch(/mm/)
})

test('a cut that came out thicker than said leaves a shorter piece', async () => {
  await lay()
  const words = region().textContent
  await act(async () => weigh(212))
  await waitFor(() => expect(region().textContent).not.toBe(words), { timeout: 15_000 })
  await answered()
  const last = () => Number(/the last one was (\d+).mm/.exec(region().textContent ?? '')?.[1])
  const before = [last(), region().textContent]
  await touch(screen.getByRole('button', { name: /It came out 1.mm thicker/ }))
  await waitFor(() => expect(last()).toBe((before[0] as number) + 1))
  await answered()
  await touch(screen.getByRole('button', { name: /It came out 1.mm thinner/ }))
  await waitFor(() => expect(region().textContent).toBe(before[1]), { timeout: 15_000 })
})

test('it is exactly where it was left after the page was closed', async () => {
  const { unmount } = renderPart(<AtTheBench record={RECORD} />)
  await touch(screen.getByRole('button', { name: 'Where to cut?' }))
  await answered()
  const words = region().textContent
  unmount()
  renderPart(<AtTheBench record={RECORD} />)
  await answered()
  expect(region().textContent).toBe(words)
})

test('another piece begins with its own weight and length', async () => {
  await lay()
  await touch(screen.getByRole('button', { name: 'Another piece' }))
  fireEvent.change(screen.getByLabelText(/weighs/), { target: { value: '1500' } })
  fireEvent.change(screen.getByLabelText(/is long/), { target: { value: '300' } })
  await touch(screen.getByRole('button', { name: 'Where to cut?' }))
  await answered()
  expect(next()).toBeLessThan(60)
})

test('a piece that lies on the scale need not be typed', async () => {
  mockReading = { grams: 1400, state: 'stable' }
  renderPart(<AtTheBench record={RECORD} />)
  expect(screen.getByText(/on the scale: 1,400/)).toBeTruthy()
  await touch(screen.getByRole('button', { name: 'Where to cut?' }))
  await answered()
  const slender = region().textContent
  mockReading = null
  await touch(screen.getByRole('button', { name: 'Another piece' }))
  await touch(screen.getByRole('button', { name: 'Where to cut?' }))
  await answered()
  // The usual piece is heavier at the same length: it is cut elsewhere.
  expect(region().textContent).not.toBe(slender)
})

test('a bird has no next cut, and a finished fabrication none either', () => {
  renderPart(<AtTheBench record={{ ...RECORD, item: 'Chicken, eviscerated', shape: null }} />)
  renderPart(<AtTheBench record={{ ...RECORD, status: 'closed' }} />)
  renderPart(<AtTheBench record={{ ...RECORD, piles: [pile('steaks', { target: null })] }} />)
  expect(screen.queryByRole('region', { name: 'Next cut' })).toBeNull()
})

test('a piece that was measured by tape in Knife lines is laid as it is, and teaches of the tape', async () => {
  const usual = freshDraft(shapeById('tenderloin'))
  const girths = usual.girths.map((girth) => ({ ...girth, girth: girth.at === 0 ? 300 : girth.girth }))
  keepKnifeLines({ ...usual, way: 'girths', girths, weight: 2050 })
  renderPart(<AtTheBench record={RECORD} />)
  await touch(await screen.findByRole('button', { name: /As measured by tape around it: 2,050.g, 480.mm/ }))
  await answered()
  const [taped, words] = [next(), region().textContent]
  await act(async () => weigh(212))
  await waitFor(() => expect(region().textContent).not.toBe(words), { timeout: 15_000 })
  expect(learned()).toMatchObject([{ way: 'girths' }])
  await touch(screen.getByRole('button', { name: 'Another piece' }))
  await touch(screen.getByRole('button', { name: 'Where to cut?' }))
  await answered()
  // The tape found a thick head: the first steak from it is thinner than a usual one.
  expect(taped).toBeLessThan(next())
})

test('what was measured of another thing is not offered', async () => {
  keepKnifeLines({ ...freshDraft(shapeById('char-fillet')), way: 'girths' })
  renderPart(<AtTheBench record={RECORD} />)
  await act(async () => void (await import('../../../parts/measured-piece.ts')))
  expect(screen.queryByRole('button', { name: /As measured/ })).toBeNull()
  expect(screen.getByRole('link', { name: /Measure it/ }).getAttribute('href')).toBe('/knife?shape=tenderloin')
})
