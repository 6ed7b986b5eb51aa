import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { LOGBOOK_FORMAT } from '@fleam/contract/logbook/schemas'
import { logbookImportOperations } from '@fleam/contract/new-records/operations'
import { supplierOperations } from '@fleam/contract/supplier/operations'
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
    yield Array.from({ length: A_FILE }, (_, index) => {
      const { document } = months[(from + index) % months.length] as (typeof months)[number]
      const date = addDays(document.meta?.date ?? today, -Math.floor((from + index) / months.length) * 20)
      return { id: newId(), document: { ...document, meta: { ...document.meta, date } } }
    })
  }
}

interface FilledLogbook {
  id: string
  cookId: string
  /** Milliseconds that each file took to be imported. */
  imports: number[]
}

/** A kitchen with twenty thousand closed records, over years. */
export async function fillLogbook(url: string): Promise<FilledLogbook> {
  const call = callAt(url)
  const kitchenId = newId()
  const setUp = { currency: 'EUR', units: 'metric' as const, timeZone: 'Europe/Vienna', wagePerHour: 21.4 }
  await call(kitchenOperations.setUpKitchen, { body: { id: kitchenId, name: 'Twenty thousand', ...setUp } })
  const marit = newId()
  for (const name of ['Marit', 'Ondine', 'Casimir', 'Thessaly', 'Bruno']) {
    const id = name === 'Marit' ? marit : newId()
    await call(kitchenOperations.createCook, { kitchenId, body: { id, name, wagePerHour: 21.4 } })
  }
  for (const name of ['Ostravale Poultry Yard', 'Brindlemere Meats', 'Skerrow Quay Fish']) {
    await call(supplierOperations.updateSupplier, { kitchenId, body: { id: newId(), name } })
  }
  const imports: number[] = []
  for (const records of files()) {
    const start = performance.now()
    await call(logbookImportOperations.importLogbook, {
      kitchenId,
      body: { format: LOGBOOK_FORMAT, version: 1, records },
    })
    imports.push(performance.now() - start)
  }
  return { id: kitchenId, cookId: marit, imports }
}

/** A file of records that no kitchen has yet. */
export const oneFile = () => ({ format: LOGBOOK_FORMAT, version: 1, records: files().next().value })
