import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import type { Operation } from '@fleam/contract/operation'
import { openTestApp, type TestApp } from './harness.ts'

const CONTRACT = join(import.meta.dirname ?? __dirname, '../../contract/src')

/** A table of operations, among what else a capability says of them. */
const isTable = (value: object): value is Readonly<Record<string, Operation>> =>
  Object.values(value).every((entry) => typeof entry?.path === 'string' && typeof entry.method === 'string')

/** Every operation of every capability. */
async function allOperations(): Promise<Operation[]> {
  const capabilities = readdirSync(CONTRACT, { withFileTypes: true }).filter((entry) => entry.isDirectory())
  const modules = await Promise.all(
    capabilities.map(({ name }) => import(`../../contract/src/${name}/operations.ts`) as Promise<object>),
  )
  return modules
    .flatMap((module) => Object.values(module) as object[])
    .filter(isTable)
    .flatMap((table) => Object.values(table))
}

let test_: TestApp
let all: Operation[]
beforeAll(async () => {
  test_ = await openTestApp()
  await test_.app.ready()
  all = await allOperations()
}, 60_000)
afterAll(() => test_.close())

test('every operation is served and described, and nothing else is', () => {
  const described = Object.entries(test_.app.swagger().paths ?? {}).flatMap(([path, methods]) =>
    Object.entries(methods as Record<string, { operationId: string }>).map(
      ([method, { operationId }]) => `${operationId}: ${method.toUpperCase()} ${path}`,
    ),
  )
  const written = all.map(({ id, method, path }) => `${id}: ${method} ${path.replace(/:(\w+)/g, '{$1}')}`)
  expect(described.sort()).toEqual(written.sort())
})

test('an id and an address stand for one operation, and a parameter for one thing', () => {
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length)
  expect(new Set(all.map(({ method, path }) => `${method} ${path}`)).size).toBe(all.length)
  for (const { id, path } of all) {
    const names = [...path.matchAll(/:(\w+)/g)].map(([, name]) => name)
    expect([id, new Set(names).size]).toEqual([id, names.length])
    expect([id, names.includes('id')]).toEqual([id, false])
  }
})
