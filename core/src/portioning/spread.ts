import { summarise } from '../statistics/index.ts'
import type { PlannedPiece, ProductSpread } from './plan-answer.ts'
import type { PortionProduct } from './plan-request.ts'

/** Spread of the pieces of each product that was cut. One cut by thickness is measured against its own mean. */
export function spreadsOf(products: readonly PortionProduct[], pieces: readonly PlannedPiece[]): ProductSpread[] {
  return products.flatMap((product) => {
    const ofProduct = pieces.filter((piece) => piece.product === product.name)
    const weights = ofProduct.map((piece) => piece.weight)
    const thicknesses = ofProduct.map((piece) => piece.thickness)
    const { mean, sd } = summarise(weights)
    if (mean === null) return []
    const paid = product.targetThickness === undefined ? product.target : mean
    const givenAwayGrams = weights.reduce((sum, weight) => sum + Math.max(0, weight - paid), 0)
    return {
      product: product.name,
      count: weights.length,
      mean,
      sd,
      lightest: Math.min(...weights),
      heaviest: Math.max(...weights),
      thinnest: Math.min(...thicknesses),
      thickest: Math.max(...thicknesses),
      givenAwayGrams,
      givenAway: givenAwayGrams * (product.value / paid),
    }
  })
}
