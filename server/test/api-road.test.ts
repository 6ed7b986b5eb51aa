import { execFileSync } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as newId } from 'uuid'
import { openTestApp, type TestApp } from './harness.ts'

const FOLDER = join(__dirname, 'api-road')
const MADE = join(FOLDER, 'dist')
const run = (...words: string[]) => execFileSync('npx', words, { encoding: 'utf8', stdio: 'pipe' })

let test_: TestApp
let address: string
beforeAll(async () => {
  test_ = await openTestApp()
  address = await test_.app.listen({ port: 0, host: '127.0.0.1' })
  mkdirSync(MADE, { recursive: true })
  writeFileSync(join(MADE, 'openapi.json'), JSON.stringify(test_.app.swagger()))
  const made = ['--path', join(MADE, 'openapi.json'), '--output', MADE, '--name', 'client.ts']
  run('swagger-typescript-api', 'generate', ...made, '--single-http-client', '--silent')
}, 60_000)
afterAll(() => test_.close())

test('a client that is made from the description fits its types, and goes from the invoice to the verdict', async () => {
  expect(run('tsc', '-p', FOLDER)).toBe('')

  // Its client is made above: no check of the whole project can know it.
  const path = './api-road/road.ts'
  const { mainRoad } = await import(path)
  const road = await mainRoad(address, newId)
  expect(road.sent).toBeGreaterThan(5)
  expect(road.kept.kept).toHaveLength(road.sent)
  expect(road.weighed.facts).toHaveLength(road.sent)
  expect(road.appraisal.cost.net).toBeGreaterThan(0)
  expect(road.again).toEqual(road.appraisal)
  expect(road.refusal).toMatchObject({ code: 'not-found', kept: 'Nothing was changed.' })
}, 120_000)
