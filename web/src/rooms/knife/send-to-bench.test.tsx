import type { KnifeLines } from '@fleam/core/portioning'
import { act, screen } from '@testing-library/react'
import { RECORD } from '../../../test/bench.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { allWritten } from '../../../test/written.ts'
import { outbox } from '../../outbox/page-outbox.ts'
import { shapeById } from '../../parts/measured-piece.ts'
import { freshDraft, restPiece } from './draft.ts'
import { SendToBench } from './send-to-bench.tsx'

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const draft: KnifeLines = freshDraft(shapeById('tenderloin'))
const row = (id: string, itemId: string) => ({
  id,
  status: 'open',
  itemId,
  document: { item: 'Beef tenderloin', style: 'Centre steaks' },
})

async function show(rows: unknown[]) {
  const asked = answerWith({
    [`GET ${BASE}/items`]: { body: [{ id: 'i', shape: 'tenderloin' }] },
    [`GET ${BASE}/fabrications`]: { body: rows },
    [`GET ${BASE}/fabrications/f`]: { body: { record: RECORD, facts: [] } },
    [`PUT ${BASE}/fabrications/f`]: { body: { record: RECORD, facts: [] } },
  } as never)
  const rest = restPiece(draft)
  if (!rest) throw new Error('a whole piece')
  await act(async () => void renderPart(<SendToBench draft={draft} rest={rest} />))
  await answered()
  return asked
}

test('a plan goes to the bench with its products: those that nobody planned there become piles', async () => {
  const asked = await show([row('f', 'i'), row('g', 'another')])
  await touch(screen.getByRole('button', { name: /Send to the bench: Beef tenderloin, centre steaks/ }))
  await act(allWritten)
  const put = asked.find(({ method }) => method === 'PUT')?.body as { piles: { name: string; weighing: string }[] }
  const names = put.piles.map(({ name }) => name)
  expect(names).toEqual([...RECORD.piles.map(({ name }) => name), ...draft.products.map(({ name }) => name)])
  const { waiting, stored, refused } = outbox.state()
  const kept = [...waiting, ...stored, ...refused.map(({ entry }) => entry)].map(({ fact }) => fact)
  const board = kept.find((fact) => fact.kind === 'board')
  expect(board).toMatchObject({
    fabricationId: 'f',
    part: 'next-cut',
    state: { weight: draft.weight, length: draft.length, products: draft.products, cuts: [] },
  })
})

test('without such a piece on a board there is nowhere to send it', async () => {
  await show([row('g', 'another')])
  expect(screen.queryByRole('button')).toBeNull()
})
