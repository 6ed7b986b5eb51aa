import type { PortionRequest } from '../src/portioning/index.ts'
import { areaOf, faceOf } from '../src/portioning/profile.ts'

/** Grams between two places by adding up thin slices of the area, as a check of closed forms. */
function weigher({ piece: { profile, length, weight } }: PortionRequest) {
  const areaAt = (at: number) => {
    const next = Math.max(
      1,
      profile.findIndex((station) => station.at >= at),
    )
    const [low, high] = [profile[next - 1], profile[next]] as [(typeof profile)[number], (typeof profile)[number]]
    return areaOf(low) + ((areaOf(high) - areaOf(low)) * (at - low.at)) / (high.at - low.at)
  }
  // Between whole millimetres area is linear, so that the trapezoid is exact.
  const slices = Array.from({ length }, (_, index) => (areaAt(index) + areaAt(index + 1)) / 2)
  const total = slices.reduce((sum, slice) => sum + slice, 0)
  const weightBetween = (from: number, to: number) =>
    (slices.slice(from, to).reduce((sum, slice) => sum + slice, 0) / total) * weight
  return { weightBetween, faceAt: (at: number) => faceOf(areaAt(at)) }
}

/** The best plan by trying every one: only for short pieces with whole millimetres. Null where `min` cannot be met. */
export function bestByTrying(request: PortionRequest): { value: number; pieces: number } | null {
  const { piece, scrap, kerf = 0, minScrap = 10, step = 1, margin = 0 } = request
  const products = request.products.map((product) => ({
    ...product,
    low: Math.min(product.low + margin * product.target, Math.max(product.low, product.target)),
    high: Math.max(product.high - margin * product.target, Math.min(product.high, product.target)),
  }))
  const edges = products.flatMap(({ within }) => within ?? [])
  const mayBeScrap = (from: number, to: number) =>
    scrap.where !== 'ends' || from === 0 || to === piece.length || edges.some((edge) => from <= edge && edge <= to)
  const { weightBetween, faceAt } = weigher(request)
  const { length } = piece
  let best: { value: number; pieces: number } | null = null
  const counts = products.map(() => 0)
  const isCut = (at: number) => at === length || at % step === 0
  const go = (at: number, value: number, pieces: number, isAfterScrap: boolean) => {
    if (at >= length) {
      if (products.some(({ min = 0 }, which) => (counts[which] as number) < min)) return
      if (!best || value > best.value + 1e-9 || (value > best.value - 1e-9 && pieces < best.pieces))
        best = { value, pieces }
      return
    }
    for (let to = at + 1; to <= length; to++) {
      if (!isCut(to)) continue
      const weight = weightBetween(at, to)
      if (!isAfterScrap && to - at >= minScrap && mayBeScrap(at, to))
        go(to, value + (weight / 1000) * scrap.valuePerKg, pieces, true)
      products.forEach((product, which) => {
        const { low, high, minThickness = 0, maxThickness = 1e9, minFace = 0, max = 1e9, target, within } = product
        if (within && (at < within[0] || to > within[1])) return
        if (weight < low - 1e-9 || weight > high + 1e-9) return
        if (to - at < minThickness || to - at > maxThickness) return
        if (Math.min(faceAt(at), faceAt(to)) < minFace - 1e-9 || (counts[which] as number) >= max) return
        counts[which] = (counts[which] as number) + 1
        go(Math.min(length, to + kerf), value + product.value * Math.min(1, weight / target), pieces + 1, false)
        counts[which] = (counts[which] as number) - 1
      })
    }
  }
  go(0, 0, 0, false)
  return best
}
