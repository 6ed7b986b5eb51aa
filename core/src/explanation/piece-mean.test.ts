import { evaluate, explainPieceMean } from './index.ts'

test('pieces that were weighed together have a mean, and it opens to its formula', () => {
  const explanation = explainPieceMean('supremes', 3200, 12)
  expect(explanation && evaluate(explanation.expression)).toBeCloseTo(266.667, 3)
  expect(explainPieceMean('supremes', 3200, 0)).toBeNull()
})
