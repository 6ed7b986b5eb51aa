import type { FabricationDocument, Pile } from '@fleam/core/fabrication'
import { builtCore } from './built-core.ts'
import { report, timePaired } from './report.ts'

const PILES = 200
const PIECES_PER_PRIMARY = 20

/** 100 primary piles of 20 pieces each and 100 by-products: 200 piles, 2,000 pieces. */
function largeDocument(): FabricationDocument {
  const piles = Array.from(
    { length: PILES },
    (_, index): Pile =>
      index % 2 === 0
        ? {
            name: `primary ${index}`,
            class: 'primary',
            pieces: Array.from(
              { length: PIECES_PER_PRIMARY },
              (_each, piece) => 250 + ((index * 31 + piece * 17) % 60),
            ),
            target: 280,
            low: 255,
            high: 305,
            valuePerKg: 8 + (index % 7),
          }
        : {
            name: `by-product ${index}`,
            class: 'by-product',
            weight: 3000 + index,
            valuePerKg: 1 + (index % 4),
            usedShare: 0.8,
            processingPerKg: 0.3,
          },
  )
  return {
    format: 'fleam/fabrication',
    version: 1,
    currency: 'EUR',
    item: 'bench',
    style: 'bench',
    purchase: { price: { amount: 4.35, per: 'kg' }, invoiceWeight: 1_000_000 },
    labour: [{ task: 'cut', minutes: 600, ratePerHour: 21.4 }],
    piles,
    creditPolicy: 'used',
    allocation: 'value',
    offers: Array.from({ length: 4 }, (_, index) => ({
      name: `offer ${index}`,
      pile: `primary ${index * 2}`,
      price: { amount: 76, per: 'case' as const },
      pieces: 20,
      pieceWeight: 280,
    })),
  }
}

/** The numbers of the same document in plain arrays. */
function plainNumbers(document: FabricationDocument) {
  const primaries = document.piles.filter((pile) => pile.class === 'primary')
  const others = document.piles.filter((pile) => pile.class !== 'primary')
  return {
    pieces: primaries.map((pile) => [...(pile.pieces ?? [])]),
    values: primaries.map((pile) => pile.valuePerKg ?? 0),
    weights: others.map((pile) => pile.weight ?? 0),
    worths: others.map((pile) => pile.valuePerKg ?? 0),
    used: others.map((pile) => pile.usedShare ?? 1),
    processing: others.map((pile) => pile.processingPerKg ?? 0),
  }
}

/** The same sums by hand, without names, nulls or objects: the four credits, yields, shares, costs, spread and counts. */
function plainLoop(numbers: ReturnType<typeof plainNumbers>): number {
  const credits = [0, 0, 0]
  let out = 0
  for (let at = 0; at < numbers.weights.length; at++) {
    const kilos = (numbers.weights[at] as number) / 1000
    const worth = numbers.worths[at] as number
    const used = numbers.used[at] as number
    out += numbers.weights[at] as number
    credits[0] = (credits[0] as number) + kilos * worth
    credits[1] = (credits[1] as number) + kilos * used * worth
    credits[2] = (credits[2] as number) + kilos * used * (worth - (numbers.processing[at] as number))
  }
  const sums: number[] = []
  let basis = 0
  for (let at = 0; at < numbers.pieces.length; at++) {
    let sum = 0
    for (const piece of numbers.pieces[at] as number[]) sum += piece
    sums.push(sum)
    out += sum
    basis += sum * (numbers.values[at] as number)
  }
  const net = 4.35 * 1000 + 214 - (credits[1] as number)
  let check = out
  for (let at = 0; at < numbers.pieces.length; at++) {
    const pieces = numbers.pieces[at] as number[]
    const sum = sums[at] as number
    const mean = sum / pieces.length
    let served = 0
    let within = 0
    let above = 0
    let over = 0
    let squares = 0
    for (const piece of pieces) {
      if (piece >= 255) served++
      if (piece >= 255 && piece <= 305) within++
      if (piece > 305) above++
      if (piece >= 255 && piece > 280) over += piece - 280
      squares += (piece - mean) ** 2
    }
    const cost = (net * sum * (numbers.values[at] as number)) / basis
    const perKg = (cost / sum) * 1000
    check += cost / served + perKg + (over / 1000) * perKg + Math.sqrt(squares / (pieces.length - 1)) + within + above
  }
  return check
}

/** Appraisals a second against the plain loop over the same numbers. */
export async function benchAppraisal(): Promise<void> {
  const document = largeDocument()
  const numbers = plainNumbers(document)
  const { appraise } = await builtCore('appraisal')
  let kept = 0
  const paired = timePaired(
    () => {
      kept += appraise(document).cost.net
    },
    () => {
      kept += plainLoop(numbers)
    },
  )
  const rate = (microseconds: number) => (1e6 / microseconds).toFixed(0)
  report(
    'appraisals, 200 piles and 2,000 pieces',
    `${rate(paired.ours)}/s`,
    `plain loop ${rate(paired.baseline)}/s`,
    paired.ratio,
    'aim: within 3 times',
  )
  if (!Number.isFinite(kept)) throw new Error('The sums went wrong')
}
