import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { buyingOperations, priceListOperations } from './buying/operations.ts'
import { addressOf, keyOf, requestOf, requireAnswer } from './client.ts'
import { fabricationOperations } from './fabrication/operations.ts'
import { callAt, RefusedCall } from './fetch-client.ts'
import { kitchenOperations } from './kitchen/operations.ts'
import { logbookOperations } from './logbook/operations.ts'
import { paramsOf } from './operation.ts'
import { PROBLEMS, type Problem, type ProblemCode } from './problem.ts'
import { unreadableOperations } from './unreadable/operations.ts'

const KITCHEN = '019b76da-a861-7000-8000-000000000001'
const of = { kitchenId: KITCHEN, fabricationId: 'a b/c' }

test('an address has the parameters of the path and of the query; nothing and null are left out, lists are repeated', () => {
  expect(addressOf(fabricationOperations.exportPiles, of)).toBe(
    `/api/kitchens/${KITCHEN}/fabrications/a%20b%2Fc/piles.csv`,
  )
  const query = { words: '', id: ['one', 'two'], counted: 'all' as const, cursor: undefined }
  expect(addressOf(logbookOperations.exportLogbook, { kitchenId: KITCHEN, query })).toBe(
    `/api/kitchens/${KITCHEN}/logbook/records.json?id=one&id=two&counted=all`,
  )
  expect(addressOf(kitchenOperations.listKitchens, {})).toBe('/api/kitchens')
})

test('a key begins with the kitchen and the capability, and less of an input stands for all that begin so', () => {
  const whole = keyOf(buyingOperations.listForms, { kitchenId: KITCHEN, query: { item: 'x' } })
  expect(whole).toEqual(['kitchen', KITCHEN, 'buying', 'listForms', { item: 'x' }])
  expect(whole.slice(0, 4)).toEqual(keyOf(buyingOperations.listForms, { kitchenId: KITCHEN }))
  expect(keyOf(kitchenOperations.listKitchens, {})).toEqual(['kitchen', 'listKitchens'])
  expect(keyOf(fabricationOperations.readFabrication, of)).not.toEqual(keyOf(fabricationOperations.listVersions, of))
})

test('parameters of a path are ids, but those that say otherwise', () => {
  const params = paramsOf(unreadableOperations.strikeUnreadable)
  expect(params?.safeParse({ kitchenId: KITCHEN, rowId: KITCHEN, kind: 'plan' }).success).toBe(true)
  expect(params?.safeParse({ kitchenId: KITCHEN, rowId: KITCHEN, kind: 'a wish' }).success).toBe(false)
  expect(params?.safeParse({ kitchenId: 'x', rowId: KITCHEN, kind: 'plan' }).success).toBe(false)
  expect(paramsOf(kitchenOperations.listKitchens)).toBeUndefined()
})

test('an answer that is not as its operation says is found out', () => {
  expect(requireAnswer(kitchenOperations.listKitchens, [])).toEqual([])
  expect(() => requireAnswer(kitchenOperations.listKitchens, [{ id: 3 }])).toThrow('listKitchens does not answer as it')
})

const problemOf = (code: ProblemCode): Problem => {
  const { status, title } = PROBLEMS[code]
  return { type: `/problems/${code}`, title, status, code, detail: 'because', issues: [], kept: 'Nothing was changed.' }
}

describe('a client of a running Fleam', () => {
  const answers: Record<string, { status?: number; text: string }> = {}
  const asked: string[] = []
  const server = createServer((request, response) => {
    asked.push(`${request.method} ${request.url}`)
    const { status = 200, text } = answers[request.url ?? ''] ?? { status: 502, text: 'a proxy says no' }
    response.writeHead(status).end(text)
  })
  let call: ReturnType<typeof callAt>
  beforeAll(async () => {
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
    call = callAt(`http://127.0.0.1:${(server.address() as AddressInfo).port}`)
  })
  afterAll(() => void server.close())

  test('has files as text, the last line of steps, and the problem of a refusal', async () => {
    const path = `/api/kitchens/${KITCHEN}`
    answers[`${path}/price-list.csv`] = { text: 'supplier;price' }
    expect(await call(buyingOperations.exportPriceList, { kitchenId: KITCHEN })).toBe('supplier;price')
    answers[`${path}/logbook/recount`] = { text: '{"progress":{"done":1,"of":2}}\n{"result":{"records":2}}\n' }
    expect(await call(logbookOperations.recountLogbook, { kitchenId: KITCHEN })).toEqual({ records: 2 })
    answers[`${path}/logbook/recount`] = {
      text: `{"progress":{}}\n${JSON.stringify({ problem: problemOf('cancelled') })}`,
    }
    const broken = await call(logbookOperations.recountLogbook, { kitchenId: KITCHEN }).catch((error) => error)
    expect(broken).toBeInstanceOf(RefusedCall)
    expect(broken).toMatchObject({ status: 409, problem: { code: 'cancelled' } })
    answers[path] = { status: 404, text: JSON.stringify(problemOf('not-found')) }
    expect(await call(kitchenOperations.readKitchen, { kitchenId: KITCHEN }).catch((error) => error)).toMatchObject({
      problem: { code: 'not-found' },
    })
  })

  test('says so where somebody else answers, or Fleam not as it says', async () => {
    const proxy = await call(priceListOperations.readPriceFeed, {}).catch((error) => error)
    expect(proxy).toMatchObject({ status: 502, problem: null })
    answers['/api/price-feed'] = { status: 500, text: '{half a word' }
    expect(await call(priceListOperations.readPriceFeed, {}).catch((error) => error)).toMatchObject({ problem: null })
    answers['/api/price-feed'] = { text: '{"address":3}' }
    await expect(call(priceListOperations.readPriceFeed, {})).rejects.toThrow(
      'readPriceFeed does not answer as it says',
    )
    expect(asked).toContain('GET /api/price-feed')
  })

  test('sends what an operation takes by its method', () => {
    expect(requestOf(kitchenOperations.updateKitchen, { kitchenId: KITCHEN, body: { name: 'x' } as never })).toEqual({
      method: 'PUT',
      address: `/api/kitchens/${KITCHEN}`,
      body: { name: 'x' },
    })
  })
})
