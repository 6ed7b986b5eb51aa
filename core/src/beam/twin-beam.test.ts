import { sixChickens } from '../../test/documents.ts'
import { appraise } from '../appraisal/index.ts'
import { beamOf, keptBeam, type Segment, twinBeam } from './twin-beam.ts'

const sum = (segments: readonly Segment[]) => segments.reduce((total, segment) => total + segment.amount, 0)

test('both beams are full, end to end, in the order of the piles', () => {
  const appraisal = appraise(sixChickens())
  const beam = twinBeam(appraisal)
  for (const [segments, total] of [
    [beam.weight, beam.weightTotal],
    [beam.money, beam.moneyTotal],
  ] as const) {
    expect(sum(segments)).toBeCloseTo(total, 6)
    expect(segments[0]?.from).toBe(0)
    expect(segments.at(-1)?.to).toBeCloseTo(1, 9)
    segments.slice(1).forEach((segment, index) => expect(segment.from).toBeCloseTo(segments[index]?.to as number, 12))
  }
  expect(beam.weightTotal).toBe(12600)
  expect(beam.weight.map((segment) => segment.pile ?? segment.kind)).toEqual([
    'supremes',
    'thighs, boneless',
    'drumsticks',
    'bones',
    'bin',
    'purge',
    'rest',
    'short',
  ])
})

test('primaries carry the net cost, by-products what they give back, haulage nothing', () => {
  const appraisal = appraise(sixChickens())
  const { money } = twinBeam(appraisal)
  const carried = (name: string) => money.find((segment) => segment.pile === name)?.amount
  expect(carried('supremes')).toBeCloseTo(appraisal.piles[0]?.cost as number, 9)
  expect(carried('drumsticks')).toBeCloseTo(7.14, 9)
  expect(carried('bin')).toBeUndefined()
})

test('before anything is weighed both beams are all rest', () => {
  const piles = sixChickens().piles.map((pile) => (pile.pieces ? { ...pile, pieces: [] } : { ...pile, weight: 0 }))
  const beam = twinBeam(appraise(sixChickens({ piles })))
  expect(beam.money.map((segment) => segment.kind)).toEqual(['rest'])
  expect(beam.weight.map((segment) => segment.kind)).toEqual(['purge', 'rest', 'short'])
})

test('while weighing goes on, a weighed pile carries what it will carry and the rest is rest', () => {
  const expected = appraise(sixChickens())
  const piles = sixChickens().piles.map((pile, index) => (index === 0 ? pile : { ...pile, weight: 0 }))
  const { money, moneyTotal } = twinBeam(appraise(sixChickens({ piles })), expected)
  expect(money.map((segment) => segment.pile ?? segment.kind)).toEqual(['supremes', 'rest'])
  expect(money[0]?.amount).toBeCloseTo(expected.piles[0]?.cost as number, 9)
  expect(sum(money)).toBeCloseTo(moneyTotal, 9)
})

test('more out than in stretches the beam instead of leaving it', () => {
  const over = sixChickens()
  over.purchase.receivedWeight = 10000
  over.purchase.invoiceWeight = 10000
  const beam = twinBeam(appraise(over))
  expect(beam.weightTotal).toBeGreaterThan(10000)
  expect(beam.weight.at(-1)?.to).toBeLessThanOrEqual(1 + 1e-9)
})

test('a beam that was kept is the same again, also through a file', () => {
  const beam = twinBeam(appraise(sixChickens()))
  expect(beamOf(JSON.parse(JSON.stringify(keptBeam(beam))))).toEqual(beam)
  expect(beamOf(keptBeam(beam, false))).toMatchObject({ weight: beam.weight, money: [], moneyTotal: 0 })
})
