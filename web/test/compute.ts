import type { Work, WorkName } from '@fleam/contract/work'
import { platePieces, type SolveProgramme } from '@fleam/core/plating'
import { type PortionRequest, planBonded, planPortions, planRacks } from '@fleam/core/portioning'

const COARSE = 2

/** A solver that tries everything: enough for the few plates of a page's test. */
const solve: SolveProgramme = (programme) => {
  const worth = new Map(
    [...programme.matchAll(/([\d.]+) (x\d+)/g)].map(([, amount, name]) => [name as string, Number(amount)]),
  )
  const limits = [...programme.matchAll(/p\d+: (.+) <= 1/g)].map(([, row]) => (row as string).split(' + '))
  const names = [...worth.keys()]
  let best: string[] = []
  let most = 0
  const go = (at: number, taken: string[], sum: number) => {
    if (sum > most) {
      most = sum
      best = taken
    }
    for (let next = at; next < names.length; next++) {
      const name = names[next] as string
      const isFree = limits.every((row) => !row.includes(name) || !row.some((each) => taken.includes(each)))
      if (isFree) go(next + 1, [...taken, name], sum + (worth.get(name) as number))
    }
  }
  go(0, [], 0)
  return { isOptimal: true, values: new Map(best.map((name) => [name, 1])) }
}

/** What the worker would answer, at once. */
export async function workAtOnce<N extends WorkName>(name: N, input: Work[N]['input']): Promise<Work[N]['answer']> {
  const all: { [K in WorkName]: (each: never) => Work[K]['answer'] } = {
    // Coarser than on the page: the tests ask what is shown, not where the best cut lies.
    'portion-plan': (each: PortionRequest) => planPortions({ ...each, step: COARSE }),
    'bonded-plan': planBonded,
    'rack-plan': (each) => planRacks(each, solve),
    plating: (each) => platePieces(each, solve),
  }
  return all[name](input as never) as Work[N]['answer']
}
