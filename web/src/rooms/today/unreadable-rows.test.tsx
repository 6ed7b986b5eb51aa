import { act, fireEvent, screen } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { UnreadableRows } from './unreadable-rows.tsx'

const PATH = `/api/kitchens/${LARCH_HALT.id}/unreadable`

async function show(rows: object[]) {
  answerWith({ [`GET ${PATH}`]: { body: rows }, [`DELETE ${PATH}/schedule/p`]: { body: [] } } as never)
  await act(async () => {
    renderPart(<UnreadableRows />)
  })
  await answered()
}

test('what cannot be read is named, and deleted once that was said twice', async () => {
  await show([{ kind: 'schedule', id: 'p', name: 'The week' }])
  expect(screen.getByRole('listitem').textContent).toContain('The schedule of The week')
  fireEvent.click(screen.getByRole('button', { name: 'Delete …' }))
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Delete' }))
  })
  await answered()
  expect(screen.queryByRole('region')).toBeNull()
})

test('where all can be read nothing is said', async () => {
  await show([])
  expect(screen.queryByRole('region')).toBeNull()
})
