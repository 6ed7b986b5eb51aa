import type { Item, LotRow } from '@fleam/contract'
import { screen } from '@testing-library/react'
import { LARCH_HALT, renderPart } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import { LotChoice } from './lot-choice.tsx'

const item = { id: 'chicken', name: 'Chicken', species: 'poultry' } as unknown as Item
const row = (id: string, useBy: string, standing = 'accepted') =>
  ({
    lot: {
      ...{ id, itemId: 'chicken', code: id, supplier: 'Ostravale', useBy, openedOn: null, isFinished: false, standing },
      ...{ price: { amount: 3, per: 'kg' }, cases: [{ id, invoiceWeight: 12_600, weighed: null }] },
    },
    usedWeight: 0,
  }) as unknown as LotRow

test('offers what is in the cold, what must go first at the top, and no lot; nothing that was sent back', async () => {
  const lots = [
    row('late', '2199-12-09'),
    row('early', '2199-12-02', 'quarantined'),
    row('gone', '2199-12-01', 'refused'),
  ]
  answerWith({ [`GET /api/kitchens/${LARCH_HALT.id}/lots?words=`]: { body: lots } })
  renderPart(<LotChoice item={item} lotId={null} />)
  const field = await screen.findByLabelText('From the cold')
  expect([...field.children].map((option) => option.textContent?.split(',')[0])).toEqual([
    'no lot: what is cut is taken from none',
    'lot early',
    'lot late',
  ])
  expect(field.children[1]?.textContent).toContain('in quarantine')
})
