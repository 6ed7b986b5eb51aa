import { ANY_KIND, piecesOnPlate } from './plate.ts'
import type { PlatingRequest } from './plate-request.ts'

/** Weights of each kind, lightest first. */
function byKind({ pieces }: PlatingRequest): Map<string, number[]> {
  const kinds = new Map<string, number[]>()
  for (const { kind, weight } of pieces) kinds.set(kind, [...(kinds.get(kind) ?? []), weight])
  for (const weights of kinds.values()) weights.sort((a, b) => a - b)
  return kinds
}

const neededOf = ({ plate }: PlatingRequest) => {
  const needed = new Map<string, number>()
  for (const { kind, count } of plate.needs) needed.set(kind, (needed.get(kind) ?? 0) + count)
  return needed
}

/** No more plates than this can be made, by counting the pieces of each kind. */
export function mostPlates(request: PlatingRequest): number {
  const kinds = byKind(request)
  const perPlate = piecesOnPlate(request.plate)
  let most = perPlate > 0 ? Math.floor(request.pieces.length / perPlate) : 0
  for (const [kind, count] of neededOf(request)) {
    if (kind !== ANY_KIND) most = Math.min(most, Math.floor((kinds.get(kind)?.length ?? 0) / count))
  }
  return most
}

/**
 * No set of so many plates is nearer to its targets, in grams summed over the plates: their weights
 * together are at least those of the lightest pieces that would do and at most those of the heaviest.
 */
export function leastDeviation(request: PlatingRequest, plates: number): number {
  const sumOf = (isHeaviest: boolean) => {
    const kinds = byKind(request)
    let sum = 0
    const take = (weights: number[], count: number) => {
      const taken = isHeaviest ? weights.splice(Math.max(0, weights.length - count)) : weights.splice(0, count)
      sum += taken.reduce((total, weight) => total + weight, 0)
    }
    const needed = neededOf(request)
    for (const [kind, count] of needed) if (kind !== ANY_KIND) take(kinds.get(kind) ?? [], count * plates)
    const rest = [...kinds.values()].flat().sort((a, b) => a - b)
    take(rest, (needed.get(ANY_KIND) ?? 0) * plates)
    return sum
  }
  const wanted = request.plate.target * plates
  return Math.max(0, sumOf(false) - wanted, wanted - sumOf(true))
}
