import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { PlannedPile } from '@fleam/core/fabrication'
import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { forgetBoard, useBoardFacts } from '../../../../test/board-facts.ts'
import { renderPart, touch } from '../../../../test/render.tsx'
import type { LiveFabrication, StandingReading } from '../state/use-live-fabrication.ts'
import { PlatesLine } from './plates-line.tsx'
import { usePlates } from './use-plates.ts'

jest.mock('../../../workers/core-client.ts', () => ({
  workAside: jest.requireActual('../../../../test/compute.ts').workAtOnce,
}))

const MEDALLIONS = {
  id: 'm',
  name: 'medallions',
  class: 'primary',
  weighing: 'pieces',
  target: 103,
  low: 90,
  high: 116,
} as PlannedPile
const TIPS = { ...MEDALLIONS, id: 't', name: 'tips', class: 'by-product', weighing: 'whole', target: null }
const RECORD = { id: 'f', status: 'open', piles: [MEDALLIONS, TIPS] } as unknown as FabricationRecord

let weigh: (...grams: number[]) => void

function AtTheBench({ record = RECORD }: { record?: FabricationRecord }) {
  const [standing, setStanding] = useState<StandingReading[]>([])
  weigh = (...grams) =>
    setStanding((before) => [
      ...before,
      ...grams.map((weight, index) => ({
        ...({ pileId: 'm', isMine: true } as StandingReading),
        id: `r${before.length + index}`,
        grams: weight,
      })),
    ])
  const board = useBoardFacts()
  const plates = usePlates({ record, standing, ...board } as LiveFabrication)
  if (!plates) return null
  return (
    <>
      <PlatesLine plates={plates} fabricationId="f" />
      <ol>
        {standing.map(({ id }) => (
          <li key={id}>{plates.numberOf(id) ?? 'none'}</li>
        ))}
      </ol>
    </>
  )
}

beforeEach(() => {
  localStorage.clear()
  forgetBoard()
})

const numbers = () => screen.getAllByRole('listitem').map((element) => element.textContent)
const begin = () => touch(screen.getByRole('button', { name: 'Number the plates' }))

test('each piece gets its plate as it is weighed, and keeps it', async () => {
  renderPart(<AtTheBench />)
  await begin()
  await act(async () => weigh(112))
  expect(screen.getByRole('status').textContent).toBe('plate 1')
  await act(async () => weigh(94, 90))
  expect(numbers()).toEqual(['1', '1', '2'])
  await act(async () => weigh(115))
  expect(numbers()).toEqual(['1', '1', '2', '2'])
  expect(screen.getByRole('region', { name: 'Plates' }).textContent).toMatch(
    /2 whole of 2 medallions, the heaviest 1.005/,
  )
})

test('the numbers are the same after the page was closed', async () => {
  const { unmount } = renderPart(<AtTheBench />)
  await begin()
  await act(async () => weigh(112, 70))
  expect(numbers()).toEqual(['1', '1'])
  unmount()
  renderPart(<AtTheBench />)
  expect(screen.getByRole('region', { name: 'Plates' })).toBeTruthy()
  // The first piece keeps its plate, though it would now begin another one.
  await act(async () => weigh(112, 70))
  expect(numbers()).toEqual(['1', '1'])
})

test('numbered at the end, none has a number until all are matched', async () => {
  renderPart(<AtTheBench />)
  await begin()
  await touch(screen.getByRole('button', { name: 'Change' }))
  fireEvent.change(screen.getByLabelText('A piece gets its number'), { target: { value: 'at-the-end' } })
  await act(async () => weigh(112, 100, 94, 106))
  expect(numbers()).toEqual(['none', 'none', 'none', 'none'])
  await touch(screen.getByRole('button', { name: 'Match all 4 now' }))
  await waitFor(() => expect(numbers()).not.toContain('none'))
  expect(numbers()[0]).toBe(numbers()[2])
  expect(numbers()[1]).toBe(numbers()[3])
  expect(screen.getByRole('region', { name: 'Plates' }).textContent).toMatch(/2 whole/)
})

test('another plate numbers all anew, and plates can be left', async () => {
  renderPart(<AtTheBench />)
  await begin()
  await act(async () => weigh(112, 94))
  await touch(screen.getByRole('button', { name: 'Change' }))
  fireEvent.change(screen.getByLabelText('medallions on a plate'), { target: { value: '1' } })
  expect(screen.getByRole('region', { name: 'Plates' }).textContent).toMatch(/0 whole of 1 medallions/)
  await touch(screen.getByRole('button', { name: 'No plates' }))
  expect(screen.getByRole('button', { name: 'Number the plates' })).toBeTruthy()
})

test('where nothing is portioned piece by piece there are no plates', () => {
  renderPart(<AtTheBench record={{ ...RECORD, piles: [TIPS] } as unknown as FabricationRecord} />)
  expect(screen.queryByRole('button')).toBeNull()
})
