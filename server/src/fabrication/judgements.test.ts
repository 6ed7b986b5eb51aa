import { setTimeout as sleep } from 'node:timers/promises'
import { editOf } from '@fleam/contract/fabrication/edit'
import type { KeptJudgement } from '@fleam/contract/fabrication/judgement'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { appraise, FORMULAS, judgementOf } from '@fleam/core/appraisal'
import { documentOf } from '@fleam/core/fabrication'
import {
  openTestApp,
  send,
  sendFacts,
  setUpKitchen,
  startSixChickens,
  type TestApp,
  weighing,
} from '../../test/harness.ts'
import { recountStale } from './index.ts'

let test_: TestApp
let kitchen: Kitchen
beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

const path = (rest: string) => `/api/kitchens/${kitchen.id}/fabrications/${rest}`
const judgement = async (id: string): Promise<KeptJudgement | null> =>
  (await send(test_, 'GET', path(`${id}/judgement`))).body

async function closed(): Promise<FabricationState> {
  const state = await startSixChickens(test_, kitchen)
  for (const [at, pile] of state.record.piles.entries())
    await sendFacts(test_, kitchen, weighing(state.record.id, pile.id, 900 + at, at + 1))
  const edit = editOf(state.record, { status: 'closed' })
  return (await send(test_, 'PUT', path(state.record.id), edit)).body
}

test('a closed record keeps what it was judged at, and by which formulas; one that is open again does not', async () => {
  const { record, facts } = await closed()
  const expected = { formulas: FORMULAS, isKept: true, ...judgementOf(appraise(documentOf(record, facts))) }
  expect(await judgement(record.id)).toEqual(expected)
  expect(expected.costPerPortion).not.toBeNull()
  await send(test_, 'PUT', path(record.id), editOf(record, { status: 'open' }))
  expect(await judgement(record.id)).toBeNull()
})

test('an answer of earlier formulas stands when figures are made anew; one that was never kept stays unknown', async () => {
  const [kept, unknown] = [(await closed()).record.id, (await closed()).record.id]
  const { sequelize } = test_.database
  // What was weighed just before is counted beside.
  await sleep(600)
  await sequelize.query(
    'UPDATE judgements SET formulas = 1, cost_per_portion = 99, verdict = "buy" WHERE fabrication_id = :kept',
    {
      replacements: { kept },
    },
  )
  await sequelize.query(
    'UPDATE judgements SET formulas = 1, is_kept = 0, cost_per_portion = NULL WHERE fabrication_id = :unknown',
    {
      replacements: { unknown },
    },
  )
  await sequelize.query('UPDATE fabrication_figures SET formulas = 0')
  expect(await recountStale(test_.database, { now: () => new Date() })).toBe(2)
  expect(await judgement(kept)).toMatchObject({ formulas: 1, isKept: true, verdict: 'buy', costPerPortion: 99 })
  expect(await judgement(unknown)).toMatchObject({ formulas: 1, isKept: false, costPerPortion: null })
  // A correction is judged by the formulas of the day on which it was made.
  const { body } = await send(test_, 'GET', path(kept))
  await send(test_, 'PUT', path(kept), editOf(body.record, { notes: 'weighed again' }))
  expect(await judgement(kept)).toMatchObject({ formulas: FORMULAS, isKept: true })
})

test('a record of before 2000 is read as it is, and told to nobody as odd', async () => {
  const { record } = await closed()
  await test_.database.sequelize.query('UPDATE fabrications SET date = "1998-03-04" WHERE id = :id', {
    replacements: { id: record.id },
  })
  // Here an answer that is not as its schema says is a fault.
  expect((await send(test_, 'GET', path(record.id))).body.record.date).toBe('1998-03-04')
})
