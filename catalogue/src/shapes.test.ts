import { pieceFromTemplate, planPortions, weightAgainstMeasures } from '@fleam/core'
import { CATALOGUE, SHAPES, shapeOfItem } from './index.ts'

test.each(SHAPES.map((shape) => [shape.name, shape] as const))('%s is planned as it stands', (_name, shape) => {
  const { template, weight, length, products, scrap } = shape
  expect(template.stations[0]?.at).toBe(0)
  expect(template.stations.at(-1)?.at).toBe(1)
  const asDrawn = { weight, length, profile: template.stations.map(({ at, girth }) => ({ at: at * length, girth })) }
  // Girths are near to those of a usual one, so that one who does not scale them is not far off.
  expect(weightAgainstMeasures(asDrawn, template.density)).toBeGreaterThan(0.5)
  expect(weightAgainstMeasures(asDrawn, template.density)).toBeLessThan(2)
  const plan = planPortions({ piece: pieceFromTemplate(template, weight, length), products, scrap, step: 2 })
  expect(plan.pieces.length).toBeGreaterThan(0)
  expect(plan.unmet).toEqual([])
})

test('every shape belongs to an item of the catalogue, and a chicken has none', () => {
  for (const { items } of SHAPES) {
    for (const beginning of items) expect(CATALOGUE.some((item) => item.name.startsWith(beginning))).toBe(true)
  }
  expect(shapeOfItem('Chicken, eviscerated')).toBeNull()
  expect(shapeOfItem('Beef tenderloin, peeled, side muscle on')?.id).toBe('tenderloin')
})
