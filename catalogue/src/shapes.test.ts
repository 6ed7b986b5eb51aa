import { pieceFromTemplate, planPortions, weightAgainstMeasures } from '@fleam/core/portioning'
import { CATALOGUE, SHAPES, shapeById } from './index.ts'

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

test('every item has a shape that is there or none, and a chicken has none', () => {
  for (const { shape } of CATALOGUE) expect(shape === null || shapeById(shape) !== null).toBe(true)
  const shapeOf = (id: string) => CATALOGUE.find((item) => item.id === id)?.shape
  expect([shapeOf('chicken'), shapeOf('beef-tenderloin') ?? shapeOf('tenderloin')]).toEqual([null, 'tenderloin'])
  expect(shapeById(null)).toBeNull()
})
