import type { Work, WorkName } from '@fleam/contract'
import { planBonded, planPortions, planRacks, platePieces } from '@fleam/core'
import { loadSolver } from './solver.ts'

const DO: { [N in WorkName]: (wish: Work[N]['wish']) => Work[N]['answer'] | Promise<Work[N]['answer']> } = {
  'portion-plan': planPortions,
  'bonded-plan': planBonded,
  'rack-plan': async (wish) => planRacks(wish, await loadSolver()),
  plating: async (wish) => platePieces(wish, await loadSolver()),
}

/** Works one thing out. */
export const work = async <N extends WorkName>(name: N, wish: Work[N]['wish']): Promise<Work[N]['answer']> =>
  DO[name](wish)
