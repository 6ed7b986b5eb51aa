import { LOGBOOK_FORMAT } from '@fleam/contract/logbook'
import { addDays } from '@fleam/core/calendar'
import { pastRecords } from '@fleam/demo'
import { v7 as newId } from 'uuid'

export const RECORDS = 20_000
export const A_FILE = 2_000

/** So many records of a kitchen, over years, from the months of the demo. */
function* files(): Generator<{ id: string; document: ReturnType<typeof pastRecords>[number]['document'] }[]> {
  const today = new Date().toISOString().slice(0, 10)
  const months = pastRecords(today)
  for (let from = 0; from < RECORDS; from += A_FILE) {
    yield Array.from({ length: A_FILE }, (_, at) => {
      const { document } = months[(from + at) % months.length] as (typeof months)[number]
      const date = addDays(document.meta?.date ?? today, -Math.floor((from + at) / months.length) * 20)
      return { id: newId(), document: { ...document, meta: { ...document.meta, date } } }
    })
  }
}

export async function send(url: string, method: string, body?: unknown): Promise<string> {
  const response = await fetch(url, {
    method,
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  })
  const text = await response.text()
  if (!response.ok || text.includes('"problem"')) throw new Error(text.slice(0, 500))
  return text
}

interface FilledLogbook {
  id: string
  cookId: string
  /** Milliseconds that each file took to be imported. */
  imports: number[]
}

/** A kitchen with twenty thousand closed records, over years. */
export async function fillLogbook(url: string): Promise<FilledLogbook> {
  const id = newId()
  const kitchen = `${url}/api/kitchens/${id}`
  const said = { currency: 'EUR', units: 'metric', timeZone: 'Europe/Vienna', wagePerHour: 21.4 }
  await send(`${url}/api/kitchens`, 'POST', { id, name: 'Twenty thousand', ...said })
  const marit = newId()
  for (const name of ['Marit', 'Ondine', 'Casimir', 'Thessaly', 'Bruno']) {
    const cook = name === 'Marit' ? marit : newId()
    await send(`${kitchen}/cooks`, 'POST', { id: cook, name, wagePerHour: 21.4 })
  }
  for (const name of ['Ostravale Poultry Yard', 'Brindlemere Meats', 'Skerrow Quay Fish']) {
    await send(`${kitchen}/suppliers`, 'PUT', { id: newId(), name })
  }
  const imports: number[] = []
  for (const records of files()) {
    const start = performance.now()
    await send(`${kitchen}/logbook/import`, 'POST', { format: LOGBOOK_FORMAT, version: 1, records })
    imports.push(performance.now() - start)
  }
  return { id, cookId: marit, imports }
}

/** A file of records that no kitchen has yet. */
export const oneFile = (): string =>
  JSON.stringify({ format: LOGBOOK_FORMAT, version: 1, records: files().next().value })
