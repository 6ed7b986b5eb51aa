import { openTestApp, type TestApp } from '../harness.ts'
import { assault, wordsOf } from './assault.ts'

let test_: TestApp

beforeAll(async () => {
  test_ = await openTestApp()
})
afterAll(() => test_.close())

test('nothing that is sent breaks it, every refusal names its field, and whatever was accepted can be read', async () => {
  const { FLEAM_HOSTILE_REQUESTS: requests = '1500', FLEAM_HOSTILE_SEED: seed = '13' } = process.env
  const found = await assault(test_, {
    requests: Number(requests),
    seed: Number(seed),
    onProgress: (done, of) => process.stderr.write(`${done} of ${of} requests\n`),
  })
  expect(found.faults.length === 0 ? '' : wordsOf(found)).toBe('')
  // It came through to what it is about.
  expect(found.accepted).toBeGreaterThan(found.requests / 20)
  expect(found.refused).toBeGreaterThan(found.requests / 4)
}, 3_600_000)
