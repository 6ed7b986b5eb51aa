import { sixChickens } from '../../test/documents.ts'
import { checkClaim } from './claim.ts'
import { weigh } from './weights.ts'

const weights = weigh(sixChickens())

test('names the definition that a claimed yield fits', () => {
  expect(checkClaim(weights.utilisation, weights)).toMatchObject({ fits: ['utilisation'] })
  expect(checkClaim(weights.portionYield, weights).fits[0]).toBe('portionYield')
})

test('says that no weight supports a claim, and what the weights do say', () => {
  const check = checkClaim(0.99, weights)
  expect(check.fits).toEqual([])
  expect(check.sentence).toMatch(/^No weight here supports 99\.0\u00a0%: portion yield is /)
})
