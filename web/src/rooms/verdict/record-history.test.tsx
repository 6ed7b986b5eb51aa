import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { act, screen, within } from '@testing-library/react'
import { RECORD } from '../../../test/bench.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith, problemOf } from '../../../test/server.ts'
import { RecordHistory } from './record-history.tsx'

const PATH = `/api/kitchens/${LARCH_HALT.id}/fabrications/f`
const record = { ...RECORD, version: 3, status: 'closed', units: 6 } as unknown as FabricationRecord
const version = (number: number, said: Record<string, unknown>) => ({
  version: number,
  replacedAt: '2026-11-24T10:00:00Z',
  actor: 'office',
  record: { status: 'closed', ...said },
})

async function show(versions: unknown[], put: unknown = { body: { record, facts: [] } }) {
  const asked = answerWith({ [`GET ${PATH}/versions`]: { body: versions }, [`PUT ${PATH}`]: put } as never)
  await act(async () => void renderPart(<RecordHistory record={record} />))
  await answered()
  return asked
}

test('the last change can be taken back: what the record said before is sent as it was', async () => {
  const asked = await show([version(2, { units: 8, notes: 'eight of them' }), version(1, { units: 7 })])
  const changes = within(screen.getByRole('list', { name: 'Changes of this record' })).getAllByRole('listitem')
  expect(changes[0]?.textContent).toContain('number cut 6, not 8')
  await touch(screen.getByRole('button', { name: 'Undo this change' }))
  await answered()
  const sent = asked.find(({ method }) => method === 'PUT')?.body
  expect(sent).toMatchObject({ units: 8, notes: 'eight of them', version: 3, status: 'closed' })
})

test('what was closed is not opened by it, and a refusal is told', async () => {
  await show([version(2, { status: 'open', units: 8 })])
  expect(screen.queryByRole('button', { name: 'Undo this change' })).toBeNull()
  await show([version(2, { units: 8 })], problemOf('invalid-input', 400))
  await touch(screen.getByRole('button', { name: 'Undo this change' }))
  await answered()
  expect(screen.getByRole('alert')).toBeTruthy()
})

test('causes and doubts that changed are told as changed', async () => {
  await show([
    version(2, { causes: [{ pileId: 'supremes', cause: 'skin-torn', isLasting: false }], settled: ['price'] }),
  ])
  const words = screen.getByRole('listitem').textContent
  expect(words).toContain('causes of loss changed')
  expect(words).toContain('doubts that are stood by changed')
})
