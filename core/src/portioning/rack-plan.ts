import { bestPlates } from '../plating/index.ts'
import type { SolveProgramme } from '../solving/index.ts'
import { gradedBoundaries } from './graded.ts'
import { isBetter, rackPortionWeight, ribWeights, scoreOf, spreadOf, straightBoundaries } from './rack.ts'
import type { RackPlan, RackPortion, RackRequest, RibRef } from './rack-request.ts'

const COUNTS = [1, 2, 3] as const

/** Where to cut racks, or which ribs go on one plate, for the requested portions; several racks are solved together. */
export function planRacks(request: RackRequest, solve: SolveProgramme): RackPlan {
  const counts = request.perPortion === 'any' ? COUNTS : [request.perPortion]
  if (request.style === 'pairs') return platedPlan(request, counts, solve)
  const [first, ...others] = counts.map((count) => runsPlan(request, count, request.style === 'graded')) as [
    RackPlan,
    ...RackPlan[],
  ]
  const score = (plan: RackPlan) => scoreOf(weightsOf(plan), request)
  return others.reduce((best, plan) => (isBetter(score(plan), score(best)) ? plan : best), first)
}

const weightsOf = ({ portions }: RackPlan) => portions.map((portion) => portion.weight)

/** Equal runs of ribs from the loin end of each rack, straight or with the blade at an angle in the gaps. */
function runsPlan({ racks }: RackRequest, perPortion: number, isGraded: boolean): RackPlan {
  const portionsAt = (boundaries: readonly (readonly number[])[]): RackPortion[] =>
    racks.flatMap((rack, index) => {
      const places = boundaries[index] as readonly number[]
      return places.slice(1).map((to, run) => ({
        bones: Array.from({ length: perPortion }, (_, rib): RibRef => [index, run * perPortion + rib]),
        weight: rackPortionWeight(rack, places[run] as number, to),
      }))
    })
  const straight = racks.map((rack) => straightBoundaries(rack, perPortion))
  const boundaries = isGraded ? gradedBoundaries(racks, perPortion) : straight
  const portions = portionsAt(boundaries)
  const cut = new Set(portions.flatMap(({ bones }) => bones.map(String)))
  return {
    portions,
    boundaries,
    spread: spreadOf(portions.map((portion) => portion.weight)),
    spreadStraight: spreadOf(portionsAt(straight).map((portion) => portion.weight)),
    left: ribsOf(racks).filter((rib) => !cut.has(String(rib))),
  }
}

const ribsOf = (racks: RackRequest['racks']): RibRef[] =>
  racks.flatMap(({ bones }, rack) => Array.from({ length: bones }, (_, rib): RibRef => [rack, rib]))

/** Single ribs put together on plates of so many of them, not necessarily neighbours. */
function platedPlan(request: RackRequest, counts: readonly number[], solve: SolveProgramme): RackPlan {
  const { racks } = request
  const ribs = ribsOf(racks)
  const weights = racks.flatMap(ribWeights)
  const pieces = weights.map((weight, index) => ({ id: String(index), weight, kind: 'rib' }))
  const { plates, left } = bestPlates(pieces, request, counts, solve)
  const ribOf = (id: string) => ribs[Number(id)] as RibRef
  const portions = plates.map(({ ids, weight }) => ({ bones: ids.map(ribOf), weight }))
  const ribsOnPlate =
    portions.length === 0 ? 1 : Math.round(portions.flatMap(({ bones }) => bones).length / portions.length)
  return {
    portions,
    boundaries: racks.map((rack) => straightBoundaries(rack, 1)),
    spread: spreadOf(portions.map((portion) => portion.weight)),
    spreadStraight: runsPlan(request, Math.max(1, ribsOnPlate), false).spread,
    left: left.map(ribOf),
  }
}
