import { sixChickens } from '../../test/documents.ts'
import { appraise } from '../appraisal/index.ts'
import type { PileResult } from '../costing/index.ts'
import { minutesPerPortion, yearly } from './yearly.ts'

test('a year is fifty-two weeks of saving and of labour', () => {
  expect(yearly(1.12, 40, 3)).toEqual({ saving: 1.12 * 40 * 52, labourHours: 104 })
})

test('labour is shared like the cost, so that the minutes of all portions add up to it', () => {
  const { piles, cost } = appraise(sixChickens())
  const minutes = piles.reduce(
    (sum, pile) => sum + (minutesPerPortion(54, pile, cost.net) ?? 0) * (pile.portions ?? 0),
    0,
  )
  expect(minutes).toBeCloseTo(54, 9)
  expect(minutesPerPortion(54, { ...(piles[0] as PileResult), portions: 0 }, cost.net)).toBeNull()
})
