import { appraise } from '@fleam/core/appraisal'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { type DoubtRecord, doubtsOf } from '@fleam/core/logbook'
import { pastRecords } from './past-records.ts'

const TODAY = '2026-11-24'
const documents = pastRecords(TODAY).map(({ document }) => document)
const yieldOf = (document: FabricationDocument) => appraise(document).weights.portionYield
const mean = (list: readonly number[]) => list.reduce((sum, item) => sum + item, 0) / list.length
const of = (item: string, filter: (document: FabricationDocument) => boolean = () => true) =>
  documents.filter(
    (document) => document.item.startsWith(item) && filter(document) && appraise(document).weights.balance === 'ok',
  )

test('is the same every time, with the same ids on another day', () => {
  expect(pastRecords(TODAY)).toEqual(pastRecords(TODAY))
  const ids = pastRecords(TODAY).map(({ id }) => id)
  expect(pastRecords('2027-03-01').map(({ id }) => id)).toEqual(ids)
  expect(new Set(ids).size).toBe(ids.length)
})

test('has eighteen months of twelve items, five cooks and the suppliers', () => {
  expect(documents.length).toBeGreaterThanOrEqual(220)
  expect(new Set(documents.map(({ item }) => item)).size).toBeGreaterThanOrEqual(12)
  expect(new Set(documents.map(({ meta }) => meta?.cook)).size).toBe(5)
  const days = documents.map(({ meta }) => meta?.date ?? '').sort()
  expect([days[0], days.at(-1)]).toEqual([expect.stringMatching(/^2025-0[56]/), expect.stringMatching(/^2026-11/)])
})

test('adds up but for the two with a mistake', () => {
  const odd = documents.filter((document) => appraise(document).weights.balance !== 'ok')
  expect(odd).toHaveLength(2)
  expect(odd.map((entry) => appraise(entry).weights.balance).sort()).toEqual(['lost', 'over'])
})

test('each effect is in it', () => {
  const bruno = of('Chicken', ({ meta, style }) => meta?.cook === 'Bruno' && style.startsWith('Supremes')).map(yieldOf)
  expect(mean(bruno.slice(-3)) - mean(bruno.slice(0, 2))).toBeGreaterThan(0.02)
  const supremes = (supplier: string) =>
    of(
      'Chicken',
      ({ meta, style }) => style.startsWith('Supremes') && meta?.supplier === supplier && meta.cook !== 'Bruno',
    )
  expect(
    mean(supremes('Ostravale Poultry Yard').map(yieldOf)) - mean(supremes('Brindlemere Meats').map(yieldOf)),
  ).toBeGreaterThan(0.015)
  const inMonths = (...months: string[]) =>
    of('Lamb', ({ meta }) => months.includes(meta?.date?.slice(5, 7) ?? '')).map(yieldOf)
  expect(mean(inMonths('06', '07', '08')) - mean(inMonths('12', '01', '02'))).toBeGreaterThan(0.02)
  const verdicts = of('Beef tenderloin').map((entry) => appraise(entry).comparisons[0]?.verdict)
  expect([verdicts[0], verdicts.at(-1)]).toEqual(['make', 'make'])
  expect(verdicts).toContain('buy')
  const turkeys = of('Turkey').reduce((sum, { purchase }) => sum + purchase.invoiceWeight, 0)
  expect(turkeys).toBeGreaterThan(170_000)
})

test('the two mistakes are doubted, and no sound record is', () => {
  const records = pastRecords(TODAY).map(({ id, document }): DoubtRecord => {
    const { weights, piles } = appraise(document)
    const { pieces = 1, price } = document.purchase
    return {
      id,
      day: document.meta?.date ?? '',
      item: document.item,
      style: document.style,
      cook: document.meta?.cook ?? null,
      ap: weights.ap,
      unitWeight: weights.ap / pieces,
      portionYield: weights.portionYield,
      minutesPerUnit: (document.labour?.[0]?.minutes ?? 0) / pieces,
      pricePerKg: price.amount,
      balance: weights.balance,
      isSettled: false,
      settled: [],
      piles: piles.map(({ name, share }) => ({
        key: name,
        name,
        share,
        pieces: 0,
        middlePiece: null,
        lightestPiece: null,
      })),
      twice: [],
    }
  })
  expect(doubtsOf(records).map((doubt) => doubt.kind)).toEqual(['pile', 'pile'])
})
