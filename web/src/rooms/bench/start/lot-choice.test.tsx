import type { Item } from '@fleam/core/style'
import { screen } from '@testing-library/react'
import { lotRow } from '../../../../test/lots.ts'
import { LARCH_HALT, renderPart } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import { LotChoice } from './lot-choice.tsx'

const item = { id: 'chicken', name: 'Chicken', species: 'poultry' } as unknown as Item
test('offers what is in the cold, what must go first at the top, and no lot; nothing that was sent back', async () => {
  const lots = [
    lotRow('late', 'chicken', '2199-12-09'),
    lotRow('early', 'chicken', '2199-12-02', 'quarantined'),
    lotRow('gone', 'chicken', '2199-12-01', 'refused'),
  ]
  answerWith({ [`GET /api/kitchens/${LARCH_HALT.id}/lots`]: { body: lots } })
  renderPart(<LotChoice item={item} lotId={null} />)
  const field = await screen.findByLabelText('From the cold')
  expect([...field.children].map((option) => option.textContent?.split(',')[0])).toEqual([
    'no lot: what is cut is taken from none',
    'lot early',
    'lot late',
  ])
  expect(field.children[1]?.textContent).toContain('in quarantine')
})
