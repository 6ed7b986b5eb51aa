import { act, fireEvent, screen, within } from '@testing-library/react'
import { reading } from '../../../../core/test/facts.ts'
import { LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { fakeDrawing, fill, settle, showSettled } from '../../../test/settled.tsx'
import { Component as Bonded } from './bonded.tsx'
import { Component as Piece } from './piece.tsx'
import { Component as Plates } from './plates.tsx'
import { Component as Racks } from './racks.tsx'

jest.mock('../../workers/core-client.ts', () => ({
  workAside: jest.requireActual('../../../test/compute.ts').workAtOnce,
}))

beforeEach(() => {
  localStorage.clear()
  answerWith({})
  fakeDrawing()
})

const onTheBoard = () => screen.getByRole('row', { name: /^on the board/ }).textContent
const knifeLines = () => screen.getAllByRole('slider', { name: 'Knife line' })
const off = () => screen.getByText(/a portion may be off by/).textContent as string
const placeOf = (line: HTMLElement | undefined) => Number(line?.getAttribute('aria-valuenow'))

test('a piece known by weight and length alone is planned at once, with plans beside it', async () => {
  await showSettled(<Piece />)
  expect(knifeLines().length).toBeGreaterThan(5)
  expect(onTheBoard()).toBe(
    screen
      .getByRole('row', { name: /^most money/ })
      .textContent?.replace('most money, numbers kept', 'on the board')
      .replace('Lay it out', ''),
  )
  expect(off()).toMatch(/off by 12.0.%, assumed/)
})

test('a line that is moved makes other portions, says why something is none, and stays on the device', async () => {
  const { unmount } = await showSettled(<Piece />)
  const before = onTheBoard()
  const [first] = knifeLines()
  const place = placeOf(first)
  for (let step = 0; step < 12; step++) fireEvent.keyDown(first as HTMLElement, { key: 'ArrowRight' })
  expect(placeOf(knifeLines()[0])).toBe(place + 12)
  expect(onTheBoard()).not.toBe(before)
  expect(screen.getAllByText(/too heavy|too light/).length).toBeGreaterThan(0)
  unmount()
  await showSettled(<Piece />)
  expect(placeOf(knifeLines()[0])).toBe(place + 12)
})

test('Delete takes a line away, and another plan can be laid out', async () => {
  await showSettled(<Piece />)
  const count = knifeLines().length
  fireEvent.keyDown(knifeLines()[0] as HTMLElement, { key: 'Delete' })
  expect(knifeLines()).toHaveLength(count - 1)
  await touch(screen.getByRole('button', { name: 'Lay out head roast and centre steak' }))
  expect(onTheBoard()).toContain('1 head roast')
})

test('a cut that was weighed is off the piece, and the rest is planned anew', async () => {
  await showSettled(<Piece />)
  const next = () =>
    Number(screen.getByRole('heading', { name: 'Next cut' }).parentElement?.querySelector('strong')?.textContent)
  const first = next()
  expect(first).toBeGreaterThan(10)
  fill(/^It weighs/, '230', 1)
  await touch(screen.getByRole('button', { name: 'Cut, and plan the rest' }))
  await settle()
  await settle()
  expect(screen.getByText(/planned \d+/)).toBeTruthy()
  expect(next()).not.toBe(first)
  await touch(screen.getByRole('button', { name: 'Take the last one back' }))
  await settle()
  expect(next()).toBe(first)
})

const OWN_AT_30 = Math.cos(Math.PI / 6)

test('at a slant the loop asks for the portion’s own thickness, and names the angle', async () => {
  await showSettled(<Piece />)
  fill(/^Slant/, '30')
  await settle()
  await settle()
  const heading = screen.getByRole('heading', { name: 'Next cut' }).parentElement as HTMLElement
  expect(heading.textContent).toMatch(/along, at 30°/)
  const along = Number(heading.querySelector('strong')?.textContent)
  expect(heading.textContent).toContain(`${Math.round(along * OWN_AT_30)}\u00a0mm thick`)
  const length = () => placeOf(knifeLines().at(-1))
  const before = length()
  fill(/^It weighs/, '230', 1)
  fill(/^It came out thick/, String(along))
  await touch(screen.getByRole('button', { name: 'Cut, and plan the rest' }))
  await settle()
  await settle()
  const [line] = knifeLines()
  expect(Number(line?.getAttribute('aria-valuemax'))).toBe(Math.round(480 - along / OWN_AT_30))
  expect(length()).toBeLessThan(before)
})

test('a product that is left out takes its own measures with it, and the others keep theirs', async () => {
  await showSettled(<Piece />)
  await touch(screen.getByRole('button', { name: 'Leave out head roast' }))
  await settle()
  expect((screen.getByLabelText('Target of medallion') as HTMLInputElement).value).toMatch(/^90/)
  expect(screen.queryByLabelText('Target of head roast')).toBeNull()
})

test('a file that is no piece is refused by field, and one that is takes its place', async () => {
  await showSettled(<Piece />)
  const link = screen.getByRole('link', { name: 'Save as JSON' }) as HTMLAnchorElement
  const saved = JSON.parse(decodeURIComponent(link.href.split(',').slice(1).join(',')))
  const load = async (content: unknown) => {
    const file = new File([JSON.stringify(content)], 'piece.json', { type: 'application/json' })
    Object.assign(file, { text: async () => JSON.stringify(content) })
    await act(
      async () =>
        void fireEvent.change(screen.getByLabelText('Knife lines', { selector: 'input' }), {
          target: { files: [file] },
        }),
    )
    await settle()
  }
  await load({ ...saved, kerf: -1 })
  expect(screen.getByRole('alert').textContent).toContain('kerf')
  await load({ ...saved, weight: 1800, lines: [] })
  await settle()
  expect((screen.getAllByLabelText(/^It weighs/)[0] as HTMLInputElement).value).toMatch(/1,800/)
})

test('a rack shows its portions, what spreads, and its cuts at an angle', async () => {
  await showSettled(<Racks />)
  expect(screen.getByText(/heaviest less lightest/).textContent).toMatch(
    /4 portions, 4 within.*lightest 22.g, cut straight 52/,
  )
  expect(screen.getByRole('img', { name: 'Rack 1 with 3 cuts' })).toBeTruthy()
  const blade = () => screen.getByText(/^after rib 4:/).textContent
  expect(blade()).toMatch(/out 10.0.mm towards the loin end/)
  fill('It is long, mm', '160')
  await settle()
  expect(blade()).toMatch(/out 8.0.mm towards/)
  fireEvent.change(screen.getByLabelText('Ribs in it'), { target: { value: '3' } })
  await settle()
  expect(screen.getByText(/Left over: 7, 8/)).toBeTruthy()
  await touch(screen.getByRole('button', { name: 'Lay another rack beside it' }))
  await settle()
  expect(screen.getAllByRole('img')).toHaveLength(2)
})

test('pieces are weighed one after the other, and each gets the number of its plate', async () => {
  await showSettled(<Plates />)
  for (const weight of ['92', '118', '101', '108']) {
    fill('It weighs', weight)
    await act(
      async () =>
        void fireEvent.submit(screen.getByRole('button', { name: /^Take it/ }).closest('form') as HTMLFormElement),
    )
    await settle()
  }
  expect(screen.getByText(/No better way is possible/)).toBeTruthy()
  const list = screen.getByRole('heading', { name: '4 weighed' }).parentElement as HTMLElement
  expect(within(list).getAllByText(/^plate [12]$/)).toHaveLength(4)
  await touch(screen.getByRole('button', { name: 'Take no. 2 away' }))
  await settle()
  expect(screen.getByText('left over')).toBeTruthy()
})

test('numbered as it is weighed, a piece keeps its plate when another is taken away', async () => {
  await showSettled(<Plates />)
  fireEvent.change(screen.getByLabelText('A piece gets its plate'), { target: { value: 'as-weighed' } })
  for (const weight of ['120', '95', '86', '110']) {
    fill('It weighs', weight)
    await act(
      async () =>
        void fireEvent.submit(screen.getByRole('button', { name: /^Take it/ }).closest('form') as HTMLFormElement),
    )
  }
  const pieces = () => {
    const list = screen.getByRole('heading', { name: /weighed$/ }).parentElement as HTMLElement
    return within(list)
      .getAllByRole('listitem')
      .map((element) => /plate \d/.exec(element.textContent ?? '')?.[0])
  }
  expect(pieces()).toEqual(['plate 1', 'plate 1', 'plate 2', 'plate 2'])
  await touch(screen.getByRole('button', { name: 'Take no. 1 away' }))
  expect(pieces()).toEqual(['plate 1', 'plate 2', 'plate 2'])
  expect(screen.getByText(/1 wait for their like/)).toBeTruthy()
})

test('a piece that was called the wrong kind is called another without weighing it again', async () => {
  await showSettled(<Plates />)
  fireEvent.change(screen.getByLabelText('Kind 1'), { target: { value: 'breast' } })
  fill(/^Count 1/, '1')
  await touch(screen.getByRole('button', { name: 'And another kind' }))
  fireEvent.change(screen.getByLabelText('Kind 2'), { target: { value: 'leg' } })
  for (const weight of ['92', '118']) {
    fill('It weighs', weight)
    await act(
      async () =>
        void fireEvent.submit(screen.getByRole('button', { name: /^Take it/ }).closest('form') as HTMLFormElement),
    )
    await settle()
  }
  expect(screen.getAllByText('left over')).toHaveLength(2)
  fireEvent.change(screen.getByLabelText('Kind of no. 2'), { target: { value: 'leg' } })
  await settle()
  expect(screen.getAllByText('plate 1')).toHaveLength(2)
})

test('a bonded log stands beside both pieces alone, with its cautions and its money', async () => {
  await showSettled(<Bonded />)
  expect(screen.getByText(/overlapping by/).textContent).toMatch(/bonding keeps|worth less than both alone/)
  expect(screen.getByLabelText('Cautions').textContent).toMatch(/non-intact/)
  expect(screen.getByRole('row', { name: /^two alone/ })).toBeTruthy()
})

test('what is bonded may be another thing, and what it costs is kept on the device', async () => {
  const { unmount } = await showSettled(<Bonded />)
  fireEvent.change(screen.getByLabelText('What they are'), { target: { value: 'white-fillet' } })
  fill(/^Sets, hours/, '10')
  expect(screen.getByText(/Bonding pays as long as|Bonding does not pay/)).toBeTruthy()
  fill(/^A formed portion is worth/, '1')
  await settle()
  expect(screen.getByText(/worth less than both alone/)).toBeTruthy()
  fill(/^A formed portion is worth/, '100')
  await settle()
  expect(screen.getByText(/It sets for 10 hours/)).toBeTruthy()
  expect(screen.getByRole('row', { name: /^one log/ }).textContent).toMatch(/\d+ portion/)
  unmount()
  await showSettled(<Bonded />)
  expect((screen.getByLabelText('What they are') as HTMLSelectElement).value).toBe('white-fillet')
  expect(screen.queryByRole('option', { name: /on the bone/ })).toBeNull()
})

test('portions that were weighed teach how far off a plan is, also for the next piece', async () => {
  await showSettled(<Piece />)
  for (let cut = 0; cut < 2; cut++) {
    const planned = /about ([\d,]+)/.exec(screen.getByText(/, about /).textContent as string)?.[1]
    fill(/^It weighs/, String(planned), 1)
    await touch(screen.getByRole('button', { name: 'Cut, and plan the rest' }))
    await settle()
  }
  await touch(screen.getByRole('button', { name: 'Begin a new piece' }))
  await settle()
  expect(Number(/by ([\d.]+)/.exec(off())?.[1])).toBeLessThan(12)
})

test('pieces of a fabrication are laid out by their piles', async () => {
  const record = {
    id: 'f',
    item: 'Beef tenderloin',
    offers: [],
    piles: [planned('p', 'steaks'), planned('q', 'tips', 'whole')],
  }
  const readings = [reading('1', 'p', 205), reading('2', 'p', 198), reading('3', 'q', 400)]
  answerWith({
    [`GET /api/kitchens/${LARCH_HALT.id}/fabrications/f`]: {
      body: { record, facts: readings },
    },
  })
  renderPart(<Plates />, { path: '/knife/plates?of=f' })
  await settle()
  await touch(await screen.findByRole('button', { name: /Lay out the 2 pieces of beef tenderloin/ }))
  expect(screen.getByRole('heading', { name: '2 weighed' })).toBeTruthy()
})

const planned = (id: string, name: string, weighing = 'pieces') => ({
  id,
  name,
  class: 'primary',
  weighing,
  expectedShare: null,
  portions: null,
  target: null,
  low: null,
  high: null,
  valuePerKg: null,
  usedShare: null,
  processingPerKg: null,
})
