import { v7 as newId } from 'uuid'
import { openTestApp, type TestApp } from '../../test/harness.ts'

let test_: TestApp

beforeAll(async () => {
  test_ = await openTestApp(null, { names: ['fleam.kitchen'] })
})
afterAll(() => test_.close())

const kitchen = () => ({
  id: newId(),
  name: 'Reached',
  currency: 'EUR',
  units: 'metric',
  timeZone: 'Europe/Vienna',
  wagePerHour: 20,
})
const read = async (host: string) => (await test_.app.inject({ url: '/api/kitchens', headers: { host } })).statusCode
const change = async (headers: Record<string, string>, method: 'POST' | 'DELETE' = 'POST') => {
  const answer = await test_.app.inject({ method, url: '/api/kitchens', headers, payload: kitchen() })
  return [answer.statusCode, answer.json().code]
}

test('addresses and names that were set are answered, other names are not', async () => {
  for (const host of ['127.0.0.1:4173', 'localhost', 'LOCALHOST:80', '192.168.7.2:4173', '[::1]:4173', 'fleam.kitchen'])
    expect([host, await read(host)]).toEqual([host, 200])
  for (const host of ['elsewhere.example', 'fleam.kitchen.example', '127.0.0.1.example', 'a b', 'x@127.0.0.1.example'])
    expect([host, await read(host)]).toEqual([host, 421])
})

test('a page of another site changes nothing, whatever it sends', async () => {
  const host = '127.0.0.1:4173'
  for (const headers of [
    { host, origin: 'http://elsewhere.example' },
    { host, origin: 'http://127.0.0.1:5000' },
    { host, origin: 'null' },
    { host, 'sec-fetch-site': 'cross-site' },
    { host, 'sec-fetch-site': 'same-site' },
  ])
    expect([headers, await change(headers)]).toEqual([headers, [403, 'other-site']])
  const tare = { method: 'POST' as const, url: '/api/scale/stand-in', payload: { grams: 1 } }
  const strange = await test_.app.inject({ ...tare, headers: { host, 'sec-fetch-site': 'cross-site' } })
  expect(strange.statusCode).toBe(403)
})

test('its own pages and programs change what they may', async () => {
  const host = '127.0.0.1:4173'
  for (const headers of [
    { host },
    { host, origin: `http://${host}`, 'sec-fetch-site': 'same-origin' },
    { host: 'fleam.kitchen', origin: 'http://fleam.kitchen' },
  ])
    expect((await change(headers))[0]).toBe(201)
})
