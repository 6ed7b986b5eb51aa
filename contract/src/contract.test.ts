import { appraisal, appraise } from '@fleam/core/appraisal'
import { pilesCsv } from '@fleam/core/csv'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { fabricationDocument } from '@fleam/core/fabrication'
import { sixChickens } from '../../core/test/documents.ts'
import { issuesOf } from './problem.ts'
import { formatScaleLine, parseScaleLine } from './scale/scale-line.ts'

const issues = (input: unknown) => {
  const result = fabricationDocument.safeParse(input)
  return result.success ? [] : issuesOf(result.error).map((issue) => issue.path)
}

test('a whole document passes, and what the core says of it is what the contract promises', () => {
  const document = fabricationDocument.parse(sixChickens()) as FabricationDocument
  const said = appraise(document)
  expect(appraisal.parse(said)).toEqual(said)
})

test('every field that is wrong is named at once', () => {
  const document = sixChickens({ currency: 'euro', piles: [{ name: ' ', class: 'primary', weight: -1 }] })
  expect(issues({ ...document, extra: 1 })).toEqual([
    'currency',
    'piles[0].name',
    'piles[0].weight',
    'extra',
    'offers[0].pile',
  ])
})

test('names with control characters are refused', () => {
  expect(issues(sixChickens({ item: 'a\u0000b' }))).toEqual(['item'])
})

test('a pack needs the pieces that it is spread over, charges do not', () => {
  const offers = [{ name: 'x', pile: 'supremes', price: { amount: 1, per: 'kg' as const }, pieceWeight: 1, extras: 2 }]
  expect(issues(sixChickens({ offers }))).toEqual([])
  const packs = offers.map((offer) => ({ ...offer, price: { amount: 1, per: 'case' as const } }))
  expect(issues(sixChickens({ offers: packs }))).toEqual(['offers[0].pieces'])
})

describe('scale lines', () => {
  test('what is formatted is read back, in grams', () => {
    const line = formatScaleLine({
      weight: 1.25,
      unit: 'kg',
      state: 'moving',
      tare: 0.5,
      device: 'a',
      standIn: true,
      decimals: 3,
    })
    expect(parseScaleLine(line)).toEqual({ grams: 1250, tareGrams: 500, state: 'moving', device: 'a', simulated: true })
  })

  for (const line of [
    '',
    'weight=1',
    'weight=x unit=g state=stable',
    'weight=1 unit=stone state=stable',
    'weight=1 unit=toString state=stable',
    'weight=1 unit=g state=asleep',
    'weight=1e9 unit=g state=stable',
    `weight=1 unit=g state=stable ${'x'.repeat(300)}`,
  ]) {
    test(`passes over '${line.slice(0, 40)}'`, () => expect(parseScaleLine(line)).toBeNull())
  }
})

test('a cell that a spreadsheet would run is made safe', () => {
  const [first, ...rest] = sixChickens().piles
  const piles = [{ ...first, name: '=1+1' } as typeof first, ...rest] as FabricationDocument['piles']
  const csv = pilesCsv(sixChickens({ piles, offers: [] }))
  expect(csv).toContain("'=1+1,primary")
  expect(csv.endsWith('\r\n')).toBe(true)
})
