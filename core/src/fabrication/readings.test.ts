import { reading } from '../../test/facts.ts'
import { planned as plan } from '../../test/planned.ts'
import { isUncounted, piecesIn, pilesFromReadings } from './readings.ts'

test('pieces stay apart, a pile weighed whole is the sum of its containers', () => {
  const piles = pilesFromReadings(
    [plan('a', { weighing: 'pieces', low: 5 }), plan('b'), plan('c')],
    [reading('1', 'a', 10), reading('2', 'b', 7), reading('3', 'a', 11), reading('4', 'b', 8)],
  )
  expect(piles).toEqual([
    { name: 'a', class: 'primary', pieces: [10, 11], low: 5 },
    { name: 'b', class: 'primary', weight: 15 },
    { name: 'c', class: 'primary', weight: 0 },
  ])
})

describe('pieces that were weighed together', () => {
  const pile = plan('a', { weighing: 'pieces', portions: 12, target: 280, low: 235, high: 310 })
  const one = (...readings: Parameters<typeof pilesFromReadings>[1]) => pilesFromReadings([pile], readings)[0]

  test('have a mean and no spread, also beside single ones', () => {
    const total = reading('1', 'a', 1680, { pieces: 6 })
    expect(one(total)).toMatchObject({ weight: 1680, portions: 6 })
    expect(one(total, reading('2', 'a', 290))).toMatchObject({ weight: 1970, portions: 7 })
    expect(one(total)).not.toHaveProperty('pieces')
    expect(one(reading('1', 'a', 290, { pieces: 1 }))).toMatchObject({ pieces: [290] })
  })

  test('are about as many as the target says, where one piece can hardly be so heavy and nobody has said', () => {
    expect(isUncounted(pile, { grams: 620 })).toBe(false)
    expect(isUncounted(pile, { grams: 621 })).toBe(true)
    expect(isUncounted(pile, { grams: 3000, pieces: 1 })).toBe(false)
    expect(isUncounted(plan('b'), { grams: 3000 })).toBe(false)
    // What a document says is one piece is one, however heavy.
    expect(one(reading('1', 'a', 700, { source: 'imported' }))).toMatchObject({ pieces: [700] })
    expect([
      piecesIn(pile, { grams: 1588 }),
      piecesIn(pile, { grams: 621 }),
      piecesIn(plan('b'), { grams: 9 }),
    ]).toEqual([6, 2, 1])
    expect(one(reading('1', 'a', 1588))).toMatchObject({ weight: 1588, portions: 6 })
  })
})
