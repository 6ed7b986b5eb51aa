import { fireEvent, screen, within } from '@testing-library/react'
import { touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { fakeDrawing, fill, settle, showSettled } from '../../../test/settled.tsx'
import { Component as Piece } from './piece.tsx'

jest.mock('../../workers/core-client.ts', () => ({
  workAside: jest.requireActual('../../../test/compute.ts').workAtOnce,
}))

beforeEach(() => {
  localStorage.clear()
  answerWith({})
  fakeDrawing()
})

const onTheBoard = () => screen.getByRole('row', { name: /^on the board/ }).textContent
const off = () => screen.getByText(/a portion may be off by/).textContent as string
const choose = async (label: string, value: string) => {
  fireEvent.change(screen.getByLabelText(label), { target: { value } })
  await settle()
  await settle()
}

test('measures that cannot be are refused in words, and nothing is planned', async () => {
  await showSettled(<Piece />)
  fill(/^It weighs/, '90 kg')
  await settle()
  expect(screen.getByRole('alert').textContent).toMatch(/weight does not go with the measures/)
  expect(screen.queryByRole('heading', { name: 'Next cut' })).toBeNull()
})

test('girths by tape stand where the tape lies, and make another plan', async () => {
  await showSettled(<Piece />)
  const before = onTheBoard()
  fireEvent.change(screen.getByLabelText('Its shape is known'), { target: { value: 'girths' } })
  await settle()
  fill('Girth at 480 mm', '200')
  await settle()
  await settle()
  expect(onTheBoard()).not.toBe(before)
  expect(off()).toMatch(/off by 5.0.%, assumed/)
})

test('a tape is added, moved along the piece and taken away again; three stay', async () => {
  await showSettled(<Piece />)
  await choose('Its shape is known', 'girths')
  const places = () => screen.getAllByLabelText(/^Girth at/).map((field) => field.closest('div')?.textContent)
  expect(places()).toEqual([
    'Girth at 0\u00a0mm',
    'Girth at 120\u00a0mm',
    'Girth at 240\u00a0mm',
    'Girth at 360\u00a0mm',
    'Girth at 480\u00a0mm',
  ])
  await touch(screen.getByRole('button', { name: 'Measure one more' }))
  expect(places()[1]).toBe('Girth at 60\u00a0mm')
  expect((screen.getByRole('button', { name: 'Measure one more' }) as HTMLButtonElement).disabled).toBe(true)
  const tape = (which: number) => screen.getByRole('slider', { name: `Tape ${which}` })
  fireEvent.keyDown(tape(2), { key: 'PageUp' })
  fireEvent.keyDown(tape(2), { key: 'ArrowLeft' })
  expect(places()[1]).toBe('Girth at 69\u00a0mm')
  fireEvent.doubleClick(tape(2))
  fireEvent.keyDown(tape(2), { key: 'Delete' })
  fireEvent.keyDown(tape(2), { key: 'Delete' })
  fireEvent.keyDown(tape(2), { key: 'Delete' })
  expect(places()).toEqual(['Girth at 0\u00a0mm', 'Girth at 360\u00a0mm', 'Girth at 480\u00a0mm'])
})

test('lines stay where they lay until a piece that was measured anew is planned', async () => {
  await showSettled(<Piece />)
  await choose('Its shape is known', 'girths')
  const lines = screen.getAllByRole('slider', { name: 'Knife line' }).length
  fill('Girth at 240 mm', '250')
  expect(screen.getAllByRole('slider', { name: 'Knife line' })).toHaveLength(lines)
})

test('a fillet may lose its belly and a notch first, and says what they weigh', async () => {
  await showSettled(<Piece />)
  fireEvent.change(screen.getByLabelText('What it is'), { target: { value: 'char-fillet' } })
  await settle()
  await settle()
  const before = onTheBoard()
  fill(/Belly that comes off/, '15')
  fill(/Notch along the pin bones/, '14')
  await settle()
  await settle()
  expect(screen.getByText(/of belly, a product of its own/)).toBeTruthy()
  expect(screen.getByText(/of scrap$/)).toBeTruthy()
  expect(onTheBoard()).not.toBe(before)
  fill(/A kilo of belly is worth/, '20')
  await settle()
  const belly = screen.getByRole('row', { name: /^along it belly/ })
  const [weight, worth] = within(belly).getAllByRole('button') as [HTMLElement, HTMLElement]
  await touch(weight)
  expect(screen.getByRole('tooltip').textContent).toMatch(/Weight of the belly.*the belly measures/)
  await touch(weight)
  await touch(worth)
  expect(screen.getByRole('tooltip').textContent).toMatch(/Worth of the belly.*20.00/)
})

test('places along a fillet go with its length, and a product is folded or not', async () => {
  await showSettled(<Piece />)
  await choose('What it is', 'char-fillet')
  const value = (label: string) => (screen.getByLabelText(label) as HTMLInputElement).value
  expect(value('Only from, of tail, folded')).toBe('190')
  fill(/^It is long/, '400')
  await settle()
  expect([value('Only from, of tail, folded'), value('Only to, of tail, folded')]).toEqual(['200', '400'])
  expect(onTheBoard()).toContain('1 tail, folded')
  // Folded it is half as thick along the piece as it lies there: unfolded it is too thick.
  fill('Greatest thickness of tail, folded', '55')
  await settle()
  await settle()
  expect(onTheBoard()).toContain('1 tail, folded')
  fireEvent.click(screen.getByLabelText('tail, folded is folded'))
  await settle()
  await settle()
  expect(onTheBoard()).not.toContain('tail, folded')
})

test('bounds that cross are refused with the product and the field, and the board waits', async () => {
  await showSettled(<Piece />)
  const before = onTheBoard()
  fill('Least weight of medallion', '300')
  await settle()
  expect(screen.getByRole('alert').textContent).toMatch(/medallion: low must not be above high/)
  expect(screen.queryByRole('row', { name: /^on the board/ })).toBeNull()
  fill('Least weight of medallion', '80')
  await settle()
  await settle()
  expect(onTheBoard()).toBe(before)
})

test('below the board it says why a part is no portion', async () => {
  await showSettled(<Piece />)
  const [first] = screen.getAllByRole('slider', { name: 'Knife line' })
  for (let step = 0; step < 2; step++) fireEvent.keyDown(first as HTMLElement, { key: 'PageUp' })
  expect(screen.getByText(/mm is scrap, as/).textContent).toMatch(
    /\d+ to \d+.mm is scrap, as [a-z ]+: too (heavy|light)/,
  )
})
