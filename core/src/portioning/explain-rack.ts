import { constant, type Explanation, type Expression, minus, over, plus, times, value } from '../explanation/index.ts'
import { type RackCut, ribPitch } from './rack.ts'
import type { Rack, RackPlan, RackPortion, RackRequest } from './rack-request.ts'

/** How the weight of one portion of a rack is worked out: its share of the meat by its eyes, and its bones. */
export function explainRackWeight(
  { racks }: Pick<RackRequest, 'racks'>,
  plan: RackPlan,
  portion: RackPortion,
): Explanation {
  const byRack = racks.flatMap((rack, index) => {
    const ribs = portion.bones.flatMap(([which, rib]) => (which === index ? [rib] : []))
    if (ribs.length === 0) return []
    return runsOf(ribs).map((run) => weightOfRun(rack, placesOf(plan.boundaries[index] ?? [], run)))
  })
  return {
    title: portion.bones.length === 1 ? 'Weight of the rib' : `Weight of ${portion.bones.length} ribs`,
    quantity: 'weight',
    expression: plus(...byRack.flat()),
    note: 'Meat is shared out by the size of the eye; each bone goes with its rib.',
  }
}

interface Run {
  first: number
  last: number
}

/** Ribs that hang together. */
function runsOf(ribs: readonly number[]): Run[] {
  const runs: Run[] = []
  for (const rib of [...ribs].sort((a, b) => a - b)) {
    const run = runs.at(-1)
    if (run && run.last === rib - 1) run.last = rib
    else runs.push({ first: rib, last: rib })
  }
  return runs
}

interface Places extends Run {
  from: number
  to: number
}

/** Where a run was cut: the boundaries nearest to its straight ones. */
function placesOf(boundaries: readonly number[], run: Run): Places {
  const nearest = (place: number) => boundaries.find((boundary) => Math.abs(boundary - place) < HALF) ?? place
  return { ...run, from: nearest(run.first), to: nearest(run.last + 1) }
}

const HALF = 0.5

function weightOfRun(rack: Rack, { first, last, from, to }: Places): Expression[] {
  const { weight, boneWeight, bones, eye } = rack
  const all = eye.reduce((sum, size) => sum + size, 0)
  const eyes = eye.flatMap((size, unit) => {
    const part = Math.min(to, unit + 1) - Math.max(from, unit)
    if (part <= 0) return []
    const name = value(`eye ${unit + 1}`, size, 'count')
    return part === 1 ? name : times(value('so much of it', part, 'share'), name)
  })
  const meat = minus(value('the rack', weight, 'weight'), value('its bones', boneWeight, 'weight'))
  const bone = over(value('its bones', boneWeight, 'weight'), value('ribs', bones, 'count'))
  const count = last - first + 1
  return [
    times(meat, over(plus(...eyes), value('all eyes', all, 'count'))),
    count === 1 ? bone : times(constant(count), bone),
  ]
}

/** How far a blade that leans comes out beside the middle of its gap. */
export const explainBlade = (rack: Pick<Rack, 'bones' | 'length'>, { shift }: RackCut): Explanation => ({
  title: 'Beside the middle of the gap',
  quantity: 'length',
  expression: times(
    constant(2),
    value('the meat moves by', Math.abs(shift), 'count'),
    value('a rib and its gap', ribPitch(rack), 'length'),
  ),
  note: 'It goes in at the middle of the gap between the bones and leans evenly: on average it moves half as far as where it comes out.',
})

/** By how much a portion is above its target; below zero where it is under it. */
export const explainOffTarget = ({ target }: Pick<RackRequest, 'target'>, { weight }: RackPortion): Explanation => ({
  title: 'Off the target',
  quantity: 'weight',
  expression: minus(value('it weighs', weight, 'weight'), value('the target', target, 'weight')),
})

/** How far the heaviest portion is from the lightest; null without portions. */
export function explainSpread(weights: readonly number[]): Explanation | null {
  if (weights.length === 0) return null
  return {
    title: 'Heaviest less lightest',
    quantity: 'weight',
    expression: minus(
      value('the heaviest', Math.max(...weights), 'weight'),
      value('the lightest', Math.min(...weights), 'weight'),
    ),
  }
}
