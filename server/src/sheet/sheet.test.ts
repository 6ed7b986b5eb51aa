import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { assumptionsOf } from '@fleam/contract/what-if/assumptions'
import { v7 as newId } from 'uuid'
import { sixChickens } from '../../../core/test/documents.ts'
import { openTestApp, send, setUpKitchen, startSixChickens, type TestApp } from '../../test/harness.ts'
import { sheetContent } from './content.ts'
import { sheetPdf } from './page.ts'

let test_: TestApp
let kitchen: Kitchen
let state: FabricationState
const path = (suffix = '') => `/api/kitchens/${kitchen.id}/fabrications/${state.record.id}${suffix}`

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
  state = await startSixChickens(test_, kitchen)
})
afterAll(() => test_.close())

const options = {
  kitchen: 'Larch Halt',
  units: 'metric' as const,
  decimalMark: 'point' as const,
  today: '2026-11-25',
  address: 'http://127.0.0.1:4173/verdict/1',
  whatIf: null,
}
const pagesOf = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length

test('the sheet says what the verdict says, and its money adds up', () => {
  const content = sheetContent(state.record, sixChickens(), options)
  expect(content.sentence.replaceAll('\u00a0', ' ')).toMatch(
    /^Making supremes costs €\d\.\d\d a portion, buying them ready €3\.97: (make|buy|even).* a kilo\.$/,
  )
  const cents = (words: string | undefined) =>
    Math.round(Number(words?.replace('−', '-').replace(/[^\d.-]/g, '')) * 100)
  const [purchase, labour, bags, back, net] = content.sums.rows.map((row) => cents(row[1]))
  expect((purchase as number) + (labour as number) + (bags as number) + (back as number)).toBe(net)
  expect(content.policies.rows.filter((row) => row[0]?.includes('chosen'))).toHaveLength(1)
})

test('the charges of a purchase are said beside its price', () => {
  const plain = sixChickens()
  const purchase = { ...plain.purchase, extras: 4.5 }
  expect(sheetContent(state.record, { ...plain, purchase }, options).rests).toContain('and €4.50 of charges; ')
  expect(sheetContent(state.record, { ...plain, purchase: { ...purchase, extras: 0 } }, options).rests).not.toContain(
    'charges',
  )
})

test('however much there is, it is one page', async () => {
  const many = sixChickens()
  const piles = Array.from({ length: 60 }, (_, index) => ({
    ...(many.piles[2] as (typeof many.piles)[number]),
    name: `Łopatka ${index} ${'a long name of a pile '.repeat(4)}`,
  }))
  const content = sheetContent(
    { ...state.record, cook: 'Ondine '.repeat(16), supplier: 'x'.repeat(120) },
    { ...many, piles: [...many.piles.slice(0, 2), ...piles] },
    { ...options, whatIf: 'What if '.repeat(14) },
  )
  expect(content.piles.rows.at(-1)?.[0]).toBe('46 more piles')
  const pdf = await sheetPdf({ ...content, warnings: Array(4).fill('A long warning '.repeat(20)) })
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  expect(pagesOf(pdf)).toBe(1)
})

test('it is given as PDF, of the record and of a what-if that was kept', async () => {
  const record = await test_.app.inject({ method: 'GET', url: path('/sheet.pdf') })
  expect(record.headers['content-type']).toBe('application/pdf')
  expect(pagesOf(record.rawPayload)).toBe(1)
  // Who reads it on a screen comes back to the record by its foot.
  expect(record.rawPayload.toString('latin1')).toMatch(new RegExp(`/URI \\(http://[^)]+/verdict/${state.record.id}\\)`))
  const request = {
    id: newId(),
    name: 'As it is',
    assumptions: assumptionsOf(state.record),
    createdAt: '2026-11-25T09:00:00.000Z',
  }
  await send(test_, 'PUT', path(`/what-ifs/${request.id}`), request)
  const tried = await test_.app.inject({ method: 'GET', url: path(`/sheet.pdf?what-if=${request.id}`) })
  expect(tried.statusCode).toBe(200)
  const gone = await test_.app.inject({ method: 'GET', url: path(`/sheet.pdf?what-if=${newId()}`) })
  expect(gone.statusCode).toBe(404)
})
