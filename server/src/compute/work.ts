import type { Work, WorkName } from '@fleam/contract'
import { planBonded, planPortions, planRacks, platePieces } from '@fleam/core'
import { loadSolver } from './solver.ts'

export interface WorkAsked<N extends WorkName = WorkName> {
  id: number
  name: N
  wish: Work[N]['wish']
}
export type WorkAnswered = { id: number } & ({ answer: unknown } | { failure: string })

const DO: { [N in WorkName]: (wish: Work[N]['wish']) => Work[N]['answer'] | Promise<Work[N]['answer']> } = {
  'portion-plan': planPortions,
  'bonded-plan': planBonded,
  'rack-plan': async (wish) => planRacks(wish, await loadSolver()),
  plating: async (wish) => platePieces(wish, await loadSolver()),
}

/** Works one thing out. */
export async function work<N extends WorkName>({ id, name, wish }: WorkAsked<N>): Promise<WorkAnswered> {
  try {
    return { id, answer: await DO[name](wish) }
  } catch (error) {
    return { id, failure: error instanceof Error ? error.message : String(error) }
  }
}
