import { fireEvent, screen } from '@testing-library/react'
import { benchWith, RECORD } from '../../../../test/bench.ts'
import { LARCH_HALT, renderPart, touch } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import { newPile } from '../../../parts/new-pile.ts'
import PileDialog from './pile-dialog.tsx'

const PUT = `PUT /api/kitchens/${LARCH_HALT.id}/fabrications/${RECORD.id}`
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })

test('a pile that nobody planned is added to the others, with its kind and its worth', async () => {
  const asked = answerWith({ [PUT]: { body: { record: RECORD, facts: [] } } } as never)
  const { bench } = benchWith()
  renderPart(<PileDialog live={bench.live} pile={newPile('new')} isNew onClose={() => {}} />)
  await touch(screen.getByRole('button', { name: 'Add' }))
  expect(screen.getByText('A pile needs a name.')).toBeTruthy()
  type('Name', RECORD.piles[0]?.name as string)
  await touch(screen.getByRole('button', { name: 'Add' }))
  expect(screen.getByText('There is a pile of this name already.')).toBeTruthy()
  expect(asked).toEqual([])
  type('Name', 'for staff')
  type('Worth per kilo', '4')
  type('Share used, %', '100')
  await touch(screen.getByRole('button', { name: 'Add' }))
  const [{ piles }] = asked.map(({ body }) => body) as [{ piles: object[] }]
  expect(piles).toHaveLength(RECORD.piles.length + 1)
  expect(piles.at(-1)).toMatchObject({ id: 'new', name: 'for staff', class: 'by-product', valuePerKg: 4, usedShare: 1 })
})

test('what a portion may weigh is changed for this run, and contradictions are said', async () => {
  const asked = answerWith({ [PUT]: { body: { record: RECORD, facts: [] } } } as never)
  const { bench } = benchWith()
  const [pile] = RECORD.piles
  renderPart(<PileDialog live={bench.live} pile={pile as never} onClose={() => {}} />)
  type('Target of one', '500')
  await touch(screen.getByRole('button', { name: 'Save' }))
  expect(screen.getByText('The target lies between the lightest and the heaviest.')).toBeTruthy()
  type('Target of one', '250')
  type('Portions that one piece is', '0.5')
  await touch(screen.getByRole('button', { name: 'Save' }))
  const [{ piles }] = asked.map(({ body }) => body) as [{ piles: object[] }]
  expect(piles[0]).toMatchObject({ id: pile?.id, target: 250, portionsPerPiece: 0.5 })
})
