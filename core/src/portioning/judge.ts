import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { type MisfitReason, measurePiece, misfits } from './fit.ts'
import type { CutPiece } from './plan-answer.ts'
import { DEFAULT_PLAN_RULES } from './plan-defaults.ts'
import type { PortionProduct, PortionRequest } from './plan-request.ts'
import { worthOf } from './product.ts'
import { shapeOf } from './profile.ts'

/** What lies between two knife lines that somebody drew. */
export interface JudgedPart extends CutPiece {
  /** The product that it is; null where it is scrap. */
  product: string | null
  worth: number
  /** What it weighs above its target, at the price of the product; nothing for scrap. */
  givenAway: number
  /** Why it is not the product that it comes nearest to; empty where it is one. */
  reasons: MisfitReason[]
  nearest: string | null
}

export interface JudgedCuts {
  parts: JudgedPart[]
  value: number
  portions: number
  scrapWeight: number
  /** Grams above the targets, and their worth as product. */
  givenAwayGrams: number
  givenAway: number
}

/**
 * Judges knife lines as they lie: each part is the fitting product that brings most, else scrap, with the
 * reasons why it is not what it comes nearest to. Counts are not judged. `lines` are places in mm, inside
 * the piece, in any order.
 */
export function judgeCuts(request: PortionRequest, lines: readonly number[]): JudgedCuts {
  const { piece, products, scrap, step = DEFAULT_PLAN_RULES.step, kerf = DEFAULT_PLAN_RULES.kerf } = request
  const shape = shapeOf(piece)
  const inside = [...new Set(lines)].filter((line) => line > 0 && line < piece.length).sort((a, b) => a - b)
  const parts: JudgedPart[] = []
  let from = 0
  for (const to of [...inside, piece.length]) {
    const part = judgePart(products, (product) => measurePiece(shape, product, from, to), step)
    parts.push(part.product === null ? { ...part, worth: (part.weight / GRAMS_PER_KILOGRAM) * scrap.valuePerKg } : part)
    // A saw takes its kerf after a piece of a product.
    from = part.product === null ? to : Math.min(piece.length, to + kerf)
    if (from >= piece.length) break
  }
  const served = parts.flatMap((part) => {
    const product = products.find(({ name }) => name === part.product)
    return product ? [{ grams: Math.max(0, part.weight - product.target), product }] : []
  })
  return {
    parts,
    value: parts.reduce((sum, part) => sum + part.worth, 0),
    portions: served.length,
    scrapWeight: parts.reduce((sum, part) => sum + (part.product === null ? part.weight : 0), 0),
    givenAwayGrams: served.reduce((sum, { grams }) => sum + grams, 0),
    givenAway: parts.reduce((sum, part) => sum + part.givenAway, 0),
  }
}

function judgePart(
  products: readonly PortionProduct[],
  measure: (product: Pick<PortionProduct, 'folded'>) => CutPiece,
  step: number,
): JudgedPart {
  const judged = products.map((product) => {
    const piece = measure(product)
    return { product, piece, reasons: misfits(piece, product, step), worth: worthOf(product, piece.weight) }
  })
  const fitting = judged.filter(({ reasons }) => reasons.length === 0).sort((a, b) => b.worth - a.worth)[0]
  if (fitting) {
    const { value, target } = fitting.product
    const givenAway = (Math.max(0, fitting.piece.weight - target) * value) / target
    return {
      ...fitting.piece,
      product: fitting.product.name,
      worth: fitting.worth,
      givenAway,
      reasons: [],
      nearest: null,
    }
  }
  const distance = ({ piece, product }: (typeof judged)[number]) => Math.abs(piece.weight / product.target - 1)
  const nearest = [...judged].sort((a, b) => a.reasons.length - b.reasons.length || distance(a) - distance(b))[0]
  const bare = measure({})
  return {
    ...bare,
    product: null,
    worth: 0,
    givenAway: 0,
    reasons: nearest?.reasons ?? [],
    nearest: nearest?.product.name ?? null,
  }
}
