import { sixChickens } from '../../test/documents.ts'
import { appraise } from '../appraisal/index.ts'
import { leadingComparison } from './index.ts'

test('the cheapest offer for the pile that carries most of the cost leads', () => {
  const [offer] = sixChickens().offers ?? []
  if (!offer) throw new Error('no offer')
  const offers = [
    { ...offer, name: 'thighs', pile: 'thighs, boneless', price: { amount: 1, per: 'piece' as const } },
    offer,
    { ...offer, name: 'cheaper', price: { amount: 70, per: 'case' as const } },
  ]
  const { piles, comparisons } = appraise(sixChickens({ offers }))
  expect(leadingComparison(piles, comparisons)).toBe(2)
  expect(leadingComparison(piles, [])).toBeNull()
})
