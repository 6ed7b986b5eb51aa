import type { AddressInfo } from 'node:net'
import { readTable } from '@fleam/core/price-lists'
import { startFeedServer } from './feed-server.ts'
import { listOfDay } from './price-feed.ts'

test('a day’s list is the same whenever it is asked for, and another one tomorrow', () => {
  expect(listOfDay('2026-11-24')).toBe(listOfDay('2026-11-24'))
  expect(listOfDay('2026-11-25')).not.toBe(listOfDay('2026-11-24'))
})

test('prices stay near what is usual, and each list begins on its day', () => {
  const days = Array.from({ length: 28 }, (_, index) => `2026-02-${String(index + 1).padStart(2, '0')}`)
  const amounts = days.map((day) => {
    const { headers, rows } = readTable(listOfDay(day))
    expect(rows.filter((row) => row.length > 1).every((row) => row[headers.indexOf('valid from')] === day)).toBe(true)
    return Number(rows[0]?.[headers.indexOf('price')])
  })
  expect(Math.min(...amounts)).toBeGreaterThan(8)
  expect(Math.max(...amounts)).toBeLessThan(10.5)
  expect(new Set(amounts).size).toBeGreaterThan(5)
})

test('answers over HTTP: today, a day, and nothing else', async () => {
  const server = await startFeedServer(0, () => new Date('2026-11-24T12:00:00Z'))
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  expect(await (await fetch(`${url}/prices.csv`)).text()).toBe(listOfDay('2026-11-24'))
  expect(await (await fetch(`${url}/prices.csv?day=2026-01-02`)).text()).toBe(listOfDay('2026-01-02'))
  const statuses = await Promise.all(
    ['/other', '/prices.csv?day=soon', '/prices.csv?day=2026-99-99'].map(
      async (path) => (await fetch(url + path)).status,
    ),
  )
  expect(statuses).toEqual([404, 400, 400])
  server.close()
})
