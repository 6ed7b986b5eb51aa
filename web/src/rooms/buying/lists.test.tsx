import { TextDecoder as NodeDecoder } from 'node:util'
import { goodLines, guessMapping, readPriceList } from '@fleam/core/price-lists'
import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { Component as Lists } from './lists.tsx'

Object.assign(globalThis, { TextDecoder: NodeDecoder })

const sent: { csv: string; mapping: object; takes: string }[] = []
let outcome: () => Promise<unknown>

// The worker and the server have tests of their own.
jest.mock('../../workers/core-client.ts', () => ({
  readPriceListAside: async ({ csv, mapping, context, shown }: Parameters<typeof readAside>[0]) =>
    readAside({ csv, mapping, context, shown }),
}))
jest.mock('../../data/import-price-list.ts', () => ({
  importPriceList: async (request: {
    csv: string
    mapping: object
    takes: string
    onProgress: (done: number, of: number) => void
  }) => {
    sent.push(request)
    request.onProgress(1, 2)
    return outcome()
  },
}))
function readAside({ csv, mapping, context, shown }: { csv: string; mapping: never; context: never; shown: number }) {
  const read = readPriceList(csv, mapping, context)
  const lines = goodLines(read)
  return { rows: lines.length, lines: lines.slice(0, shown), issues: read.issues, isWhole: read.isWhole }
}

/** A loaded machine reads a list more slowly. */
const SLOW = { timeout: 8000 }
jest.setTimeout(20_000)

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const RESULT = { rows: 2, newArticles: 1, changedArticles: 0, newPrices: 2, known: 1, skipped: [] as unknown[] }

async function show(feed: string | null = null, remembered: readonly object[] = []) {
  const asked = answerWith({
    [`GET ${BASE}/items`]: { body: [{ id: 'i', name: 'Duck', isArchived: false, styles: [] }] },
    [`GET ${BASE}/products`]: { body: [] },
    [`GET ${BASE}/price-list-mappings`]: { body: remembered },
    'GET /api/price-feed': { body: { address: feed } },
    [`POST ${BASE}/price-lists/from-feed`]: { body: RESULT },
  } as never)
  await act(async () => {
    renderPart(<Lists />)
  })
  return asked
}
async function choose(content: string | Uint8Array) {
  const bytes = typeof content === 'string' ? new Uint8Array(Buffer.from(content)) : content
  const file = Object.assign(new File([], 'list.csv'), {
    arrayBuffer: async () => bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength),
  })
  await act(async () => {
    fireEvent.change(screen.getByLabelText('A price list'), { target: { files: [file] } })
  })
  await answered()
  await read()
}

/** Waits until the rows are read. */
const read = () => waitFor(() => expect(screen.queryByText(/Fetching the rows/)).toBeNull(), SLOW)
const LIST = 'Vendor;Description;Net price;UOM\nOstravale;Duck;6,90;kg\nOstravale;Goose;8;kg'

beforeEach(() => {
  sent.length = 0
  outcome = async () => RESULT
})

test('what the headers suggest is chosen, the rows are shown, and all of them are taken in', async () => {
  await show()
  await choose(LIST)
  expect(screen.getByText('read as UTF-8')).toBeTruthy()
  expect((screen.getByLabelText('supplier') as HTMLSelectElement).value).toBe('Vendor')
  expect((screen.getByLabelText('price (needed)') as HTMLSelectElement).value).toBe('Net price')
  expect(screen.getByRole('row', { name: /Duck/ }).textContent).toContain('€6.90 a kilo')
  await touch(screen.getByRole('button', { name: 'Import 2 rows' }))
  expect(sent).toMatchObject([{ csv: LIST, mapping: { columns: { supplier: 'Vendor', name: 'Description' } } }])
  expect(await screen.findByText(/2 new prices, 1 new article, 1 row that the book had already/, {}, SLOW)).toBeTruthy()
})

test('a row that is not right is told first, and nothing can be taken in until the columns say otherwise', async () => {
  await show()
  await choose('Vendor;Description;Net price;Per lb;UOM\nOstravale;Duck;none;6,90;kg')
  expect(screen.getByRole('heading', { name: '1 row is not right' })).toBeTruthy()
  expect(screen.getByText('Net price: “none” is no number')).toBeTruthy()
  expect((screen.getByRole('button', { name: 'Import 0 rows' }) as HTMLButtonElement).disabled).toBe(true)
  await act(async () => {
    fireEvent.change(screen.getByLabelText('price (needed)'), { target: { value: 'Per lb' } })
  })
  await answered()
  await waitFor(() => expect(screen.queryByText(/not right/)).toBeNull(), SLOW)
  expect((screen.getByRole('button', { name: 'Import 1 row' }) as HTMLButtonElement).disabled).toBe(false)
})

test('a supplier may be said for every row, where no column says it', async () => {
  await show()
  await choose('Description;Price;Unit\nDuck;6,90;kg')
  expect(screen.getByRole('alert').textContent).toContain('supplier: is needed')
  await act(async () => {
    fireEvent.change(screen.getByLabelText('Supplier of every row'), { target: { value: 'Ostravale' } })
  })
  await answered()
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull(), SLOW)
  expect(screen.getByRole('row', { name: /Duck/ }).textContent).toContain('Ostravale')
})

const THREE = 'Vendor;Description;Net price;UOM\nOstravale;Duck;6,90;kg\nOstravale;Goose;-8;kg\nOstravale;Hen;5;kg'
const overlap = { row: 4, column: 'valid from', code: 'overlap', cell: '2026-11-24' }

test('good rows are taken at once; the others stay, are mended where they stand, and are taken after them', async () => {
  await show()
  await choose(THREE)
  expect(
    (screen.getByLabelText('the good rows now, the others when they are mended') as HTMLInputElement).checked,
  ).toBe(true)
  // A price that contradicts the book is known to the server alone.
  outcome = async () => ({
    ...RESULT,
    skipped: [{ row: 3, column: 'Net price', code: 'negative', cell: '-8' }, overlap],
  })
  await touch(screen.getByRole('button', { name: 'Import 2 good rows' }))
  expect(sent.map(({ takes }) => takes)).toEqual(['good'])
  expect(await screen.findByText(/2 rows are left to mend/, {}, SLOW)).toBeTruthy()
  await read()
  await screen.findByText('Net price: “-8” is less than nothing', {}, SLOW)
  expect(screen.getByText(/valid from: “2026-11-24” holds on the same days/)).toBeTruthy()
  const cell = screen.getByLabelText('Net price of row 2')
  await act(async () => {
    fireEvent.change(cell, { target: { value: '8' } })
    fireEvent.blur(cell)
  })
  await answered()
  expect(await screen.findByRole('heading', { name: '1 row is not right' }, SLOW)).toBeTruthy()
  outcome = async () => RESULT
  await touch(await screen.findByRole('button', { name: 'Import 1 good row' }, SLOW))
  expect(sent.at(-1)?.csv.split('\r\n')).toEqual([
    'Vendor;Description;Net price;UOM',
    'Ostravale;Goose;8;kg',
    'Ostravale;Hen;5;kg',
  ])
})

test('all rows or none stays as a choice', async () => {
  await show()
  await choose(THREE)
  await touch(screen.getByLabelText('all rows or none'))
  expect((screen.getByRole('button', { name: /^Import/ }) as HTMLButtonElement).disabled).toBe(true)
})

test('every row can be seen, and a column that is missing is said once, without a row', async () => {
  await show()
  const rows = Array.from({ length: 30 }, (_, index) => `Ostravale;Bird ${index};${index + 1};kg`)
  await choose(['Vendor;Description;Net price;Einh', ...rows].join('\n'))
  expect(screen.getAllByRole('alert').map((element) => element.textContent)).toEqual([
    expect.stringMatching(/unit: is needed: say which column holds it(?!.*Row 1)/),
  ])
  await act(async () => {
    fireEvent.change(screen.getByLabelText('unit (needed)'), { target: { value: 'Einh' } })
  })
  await answered()
  await touch(await screen.findByRole('button', { name: 'Show all 30 rows' }, SLOW))
  expect(await screen.findByRole('row', { name: /Bird 29/ }, SLOW)).toBeTruthy()
})

test('the columns of a supplier’s last list are taken again, with today’s day', async () => {
  const columns = { name: 'Text', amount: 'EK', per: 'ME' }
  const mapping = { ...guessMapping([], '2026-01-01'), columns, supplier: 'Ostravale' }
  await show(null, [{ supplierId: 's', supplier: 'Ostravale', mapping, usedAt: '2026-11-20T08:00:00.000Z' }])
  await choose('Text;EK;ME;Bemerkung\nDuck;6,90;kg')
  expect((screen.getByLabelText('Columns as') as HTMLSelectElement).value).toBe('s')
  expect((screen.getByLabelText('Supplier of every row') as HTMLInputElement).value).toBe('Ostravale')
  await touch(await screen.findByRole('button', { name: 'Import 1 row' }, SLOW))
  const taken = sent[0]?.mapping as { columns: object; from: string }
  expect(taken.columns).toEqual(columns)
  expect(taken.from).not.toBe('2026-01-01')
})

test('a file that is no text is refused by name', async () => {
  await show()
  await choose(Uint8Array.from([0x50, 0x4b, 3, 4, 0, 0]))
  expect(screen.getByRole('alert').textContent).toBe('list.csv is no text. Save the list as CSV.')
})

test('an import that fails is said, and the list stays to be tried again', async () => {
  outcome = async () => {
    throw new Error('boom')
  }
  await show()
  await choose(LIST)
  await touch(screen.getByRole('button', { name: 'Import 2 rows' }))
  expect(await screen.findByText('boom', {}, SLOW)).toBeTruthy()
  expect(screen.getByRole('button', { name: 'Import 2 rows' })).toBeTruthy()
})

test('a feed that is set is taken in with one touch; without one nothing of it is shown', async () => {
  const asked = await show('http://127.0.0.1:9')
  await touch(await screen.findByRole('button', { name: 'Import today’s list' }, SLOW))
  expect(asked.some((request) => request.method === 'POST' && request.path.endsWith('/from-feed'))).toBe(true)
  expect(await screen.findByText(/2 new prices/, {}, SLOW)).toBeTruthy()
})
