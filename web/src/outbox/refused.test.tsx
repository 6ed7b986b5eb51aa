import { act, screen } from '@testing-library/react'
import { reading } from '../../../core/test/facts.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../test/render.tsx'
import { answerWith, problemOf } from '../../test/server.ts'
import { Refused } from '../parts/refused.tsx'
import { outbox } from './page-outbox.ts'

test('a weighing that the server refuses is said with its reason, and stays until it is let go', async () => {
  answerWith({ [`POST /api/kitchens/${LARCH_HALT.id}/facts`]: problemOf('pile-unknown', 422) })
  renderPart(<Refused />)
  expect(screen.queryByRole('alert')).toBeNull()
  await act(async () => {
    await outbox.keep(LARCH_HALT.id, reading('r', 'p', 281))
  })
  const alert = await screen.findByRole('alert')
  expect(alert.textContent).toContain('281\u00a0g was not taken: because It is kept here.')
  await touch(screen.getByRole('button', { name: 'Let it go' }))
  await answered()
  expect(screen.queryByRole('alert')).toBeNull()
})
