import type { Plan } from '@fleam/core/plans'
import { fireEvent, screen } from '@testing-library/react'
import { draft, goodsOf } from '../../../../../core/test/plan-kitchen.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import { Component as Rest } from './rest.tsx'

const PLAN_ID = '019b76da-a8f2-7000-8003-0000000000a1'
jest.mock('react-router-dom', () => ({
  ...jest.requireActual('react-router-dom'),
  useParams: () => ({ planId: PLAN_ID }),
}))

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const line = (id: string, packs: number) => ({
  ...{ id, planId: PLAN_ID, plan: 'The week', supplierId: 's', supplier: 'Ostravale Poultry Yard', day: '2026-12-03' },
  ...{ kind: 'whole', articleId: 'crate', itemId: 'chicken', name: `Crate ${id}`, packs, units: packs * 6, price: 33 },
  ...{ arrived: null, lots: [] },
})
const plan = {
  ...{ id: PLAN_ID, name: 'The week', draft: draft(), version: 2, schedule: null, told: [] },
  ...{ createdAt: '2026-12-01T09:00:00.000Z', updatedAt: '2026-12-01T09:00:00.000Z' },
  accepted: {
    ...{ at: '2026-12-01T09:00:00.000Z', draft: draft(), goods: goodsOf(), answer: {}, planned: [] },
    expected: [line('a', 4), line('b', 2), { ...line('came', 1), arrived: 1 }],
  },
} as unknown as Plan

test('what is said is there again after the page was closed, and gone once it is planned', async () => {
  const sent = answerWith({
    [`GET ${BASE}/plans/${PLAN_ID}`]: { body: plan },
    [`GET ${BASE}/cooks`]: { body: [] },
    [`POST ${BASE}/plans`]: { status: 201, body: plan },
  })
  const open = async () => {
    const { unmount } = renderPart(<Rest />)
    await answered()
    return unmount
  }
  const close = await open()
  fireEvent.change(screen.getByLabelText('Packs of Crate a that come'), { target: { value: '1' } })
  close()
  const closeAgain = await open()
  expect(screen.getByLabelText<HTMLInputElement>('Packs of Crate a that come').value).toBe('1')
  await touch(screen.getByRole('button', { name: 'Plan what is left' }))
  await answered()
  expect(sent.find(({ method }) => method === 'POST')?.body).toMatchObject({
    draft: { coming: [{ expectedLineId: 'a', packs: 1 }] },
  })
  closeAgain()
  await open()
  expect(screen.getByLabelText<HTMLInputElement>('Packs of Crate a that come').value).toBe('4')
})

test('deliveries that come otherwise are said one by one, and what is left is a plan of its own', async () => {
  const sent = answerWith({
    [`GET ${BASE}/plans/${PLAN_ID}`]: { body: plan },
    [`GET ${BASE}/cooks`]: { body: [] },
    [`POST ${BASE}/plans`]: { status: 201, body: plan },
  })
  renderPart(<Rest />)
  await answered()
  // What has come is no longer on its way.
  expect(screen.getAllByRole('row')).toHaveLength(3)
  fireEvent.change(screen.getByLabelText('Packs of Crate a that come'), { target: { value: '3' } })
  // More than was ordered does not come of it.
  fireEvent.change(screen.getByLabelText('Packs of Crate a that come'), { target: { value: '9' } })
  await touch(screen.getByLabelText(/^Crate b of .* does not come$/))
  await touch(screen.getByRole('button', { name: 'Plan what is left' }))
  await answered()
  expect(sent.find(({ method }) => method === 'POST')?.body).toMatchObject({
    name: expect.stringMatching(/^The week, from /),
    draft: {
      replaces: PLAN_ID,
      coming: [
        { expectedLineId: 'a', day: '2026-12-03', packs: 3 },
        { expectedLineId: 'b', day: null, packs: 2 },
      ],
    },
  })
})
