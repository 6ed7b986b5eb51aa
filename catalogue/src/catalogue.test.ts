import { CATALOGUE, cautionsFor, DEFERS_TO } from './index.ts'

const styles = CATALOGUE.flatMap((item) => item.styles.map((style) => [style.id, style, item] as const))

test('every id is there once', () => {
  const ids = [...CATALOGUE.map((item) => item.id), ...styles.map(([id]) => id)]
  expect(new Set(ids).size).toBe(ids.length)
})

describe.each(styles)('%s', (_id, style, item) => {
  test('shares and normal loss add to the whole', () => {
    const shares = style.piles.reduce((sum, pile) => sum + pile.expectedShare, 0)
    expect(shares + style.normalLoss).toBeCloseTo(1, 9)
    expect(style.normalLoss).toBeGreaterThanOrEqual(0.005)
    expect(style.normalLoss).toBeLessThanOrEqual(0.03)
  })

  test('has a portion pile, and names no pile twice', () => {
    const names = style.piles.map((pile) => pile.name)
    expect(new Set(names).size).toBe(names.length)
    expect(style.piles.some((pile) => pile.class === 'primary')).toBe(true)
  })

  test('bounds of a portion agree with the yield of a usual unit', () => {
    for (const pile of style.piles) {
      if (!pile.bounds || pile.portionsPerUnit === null) continue
      const usual = (item.unitWeight.usual * pile.expectedShare) / pile.portionsPerUnit
      expect(pile.bounds.low).toBeLessThan(pile.bounds.target)
      expect(pile.bounds.high).toBeGreaterThan(pile.bounds.target)
      expect(Math.abs(pile.bounds.target / usual - 1)).toBeLessThan(0.03)
    }
  })
})

test('poultry has its cautions at the board and on the label, and each defers', () => {
  expect(cautionsFor('poultry', 'board').map((caution) => caution.id)).toEqual(['knife', 'cold-chain', 'poultry-last'])
  expect(cautionsFor('poultry', 'label')[0]?.text).toContain('74 °C')
  expect(DEFERS_TO).toContain('local code')
})
