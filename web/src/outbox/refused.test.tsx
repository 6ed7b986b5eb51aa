import { act, screen } from '@testing-library/react'
import { LARCH_HALT, renderPart, touch } from '../../test/render.tsx'
import { answerWith, problemOf } from '../../test/server.ts'
import { outbox } from './page-outbox.ts'
import { Refused } from './refused.tsx'

test('a weighing that the server refuses is said with its reason, and stays until it is let go', async () => {
  answerWith({ [`POST /api/kitchens/${LARCH_HALT.id}/fabrications/f/readings`]: problemOf('pile-unknown', 422) })
  renderPart(<Refused />)
  expect(screen.queryByRole('alert')).toBeNull()
  const reading = {
    id: 'r',
    pileId: 'p',
    grams: 281,
    takenAt: '2026-11-24T08:00:00.000Z',
    source: 'scale' as const,
    cook: null,
  }
  await act(async () => {
    await outbox.keep({ kitchenId: LARCH_HALT.id, fabricationId: 'f', kind: 'reading', id: 'r', reading })
  })
  const alert = await screen.findByRole('alert')
  expect(alert.textContent).toContain('281\u00a0g was not taken: because It is kept here.')
  await touch(screen.getByRole('button', { name: 'Let it go' }))
  await act(() => new Promise((resolve) => setTimeout(resolve, 30)))
  expect(screen.queryByRole('alert')).toBeNull()
})
