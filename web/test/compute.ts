import type { Work, WorkName } from '@fleam/contract/portioning/work'
import { platePieces } from '@fleam/core/plating'
import { type PortionRequest, planBonded, planPortions, planRacks } from '@fleam/core/portioning'
import type { SolveProgramme } from '@fleam/core/solving'

const COARSE = 2

type Search = (...asked: Parameters<SolveProgramme>) => ReturnType<SolveProgramme>

/** A solver that tries everything: enough for the few plates of a page's test. */
const tryAll: Search = ({ rows, costs: { length } }, { costs }) => {
  let best: number[] = []
  let least = 0
  const go = (from: number, taken: number[], cost: number) => {
    if (cost < least) {
      least = cost
      best = taken
    }
    for (let next = from; next < length; next++) {
      const isFree = rows.every(({ columns }) => !columns.includes(next) || !columns.some((own) => taken.includes(own)))
      if (isFree) go(next + 1, [...taken, next], cost + (costs[next] as number))
    }
  }
  go(0, [], 0)
  const values = Float64Array.from({ length }, (_, column) => (best.includes(column) ? 1 : 0))
  return { isProven: true, values, best: least, bound: least, gap: 0, nodes: 0 }
}
const solve: SolveProgramme = Object.assign(tryAll, { nowMs: () => performance.now() })

/** What the worker would answer, at once. */
export async function workAtOnce<N extends WorkName>(name: N, input: Work[N]['input']): Promise<Work[N]['answer']> {
  const all: { [K in WorkName]: (input: never) => Work[K]['answer'] } = {
    // Coarser than on the page: the tests ask what is shown, not where the best cut lies.
    'portion-plan': (portionRequest: PortionRequest) => planPortions({ ...portionRequest, step: COARSE }),
    'bonded-plan': planBonded,
    'rack-plan': (entry) => planRacks(entry, solve),
    plating: (entry) => platePieces(entry, solve),
  }
  return all[name](input as never) as Work[N]['answer']
}
