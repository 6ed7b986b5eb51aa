import { act, screen } from '@testing-library/react'
import { reading } from '../../../core/test/facts.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../test/render.tsx'
import { answerWith, problemOf } from '../../test/server.ts'
import { DiskFull } from '../parts/disk-full.tsx'
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
  await touch(screen.getByRole('button', { name: 'Delete it' }))
  await answered()
  expect(screen.queryByRole('alert')).toBeNull()
})

test('a full disk of the server is said on every device, with how much waits here', async () => {
  answerWith({
    'GET /api/health': { body: { status: 'ready', database: 'up', disk: 'full' } },
    [`POST /api/kitchens/${LARCH_HALT.id}/facts`]: problemOf('disk-full', 503),
  })
  await act(async () => void renderPart(<DiskFull />))
  await answered()
  expect(screen.getByRole('alert').textContent).toContain('stays on this device and is sent')
  await act(async () => {
    await outbox.keep(LARCH_HALT.id, reading('s', 'p', 281))
  })
  await answered()
  expect(screen.getByRole('alert').textContent).toContain('stays on this device (1 so far)')
})
