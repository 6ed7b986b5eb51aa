import type { CutPile, StyleStep } from './cut-style.ts'
import type { Tool } from './tools.ts'

export interface SetUpPile {
  name: string
  /** Grams that its container has to hold; null where nothing is known. */
  grams: number | null
  /** Portions or pieces that come into it; null where it is weighed whole. */
  pieces: number | null
}

/** What to lay out before the first cut. */
export interface SetUpList {
  /** In the order in which the steps take them up. */
  tools: Tool[]
  /** One container each, in the order in which they leave the board. */
  piles: SetUpPile[]
  /** Bags and the like. */
  consumables: string[]
}

interface SetUpInput {
  steps: readonly StyleStep[]
  piles: readonly CutPile[]
  consumables: readonly { name: string }[]
  /** Birds, fish, loins or racks, at least 1. */
  units: number
  /** Grams of all of them as received. */
  grams: number
}

/** Tools, containers and bags for a style as it is settled, and what each container has to hold. */
export function setUpList({ steps, piles, consumables, units, grams }: SetUpInput): SetUpList {
  const order = [...new Set([...steps.flatMap((step) => step.pileIds), ...piles.map(({ id }) => id)])]
  return {
    tools: [...new Set(steps.map(({ tool }) => tool))].filter((tool) => tool !== 'hands'),
    piles: order
      .flatMap((id) => piles.find((pile) => pile.id === id) ?? [])
      .map(({ name, expectedShare, weighing, portionsPerUnit }) => ({
        name,
        grams: expectedShare === null ? null : expectedShare * grams,
        pieces: weighing === 'pieces' && portionsPerUnit !== null ? portionsPerUnit * units : null,
      })),
    consumables: consumables.map(({ name }) => name),
  }
}
