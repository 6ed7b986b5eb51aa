import type { FabricationState } from '@fleam/contract'
import type { PlannedPile } from '@fleam/core'
import { useState } from 'react'
import { useFormat } from '../../parts/use-format.ts'
import { type BenchScaleState, useBenchScale } from './use-bench-scale.ts'
import { type LiveFabrication, useLiveFabrication } from './use-live-fabrication.ts'

export interface Bench {
  live: LiveFabrication
  scale: BenchScaleState
  activePile: PlannedPile
  /** What was done last, in words, also for those who listen. */
  said: string
  /** Chooses a pile; a settled load that is not taken yet is taken onto it, so that one touch weighs one pile. */
  touchPile: (pileId: string) => void
  /** Takes the settled load onto the active pile; says why where it cannot. */
  takeSettled: () => void
  takeTyped: (grams: number) => void
  undo: () => void
  nextPile: () => void
  withdraw: (readingId: string) => void
}

/** Everything a cook can do at the bench, by touch, key or number pad alike. */
export function useBench(state: FabricationState): Bench {
  const live = useLiveFabrication(state)
  const scale = useBenchScale()
  const format = useFormat(state.record.currency)
  const { piles } = state.record
  const [activeId, setActiveId] = useState(() => firstUnweighed(live)?.id ?? piles[0]?.id ?? '')
  const [said, setSaid] = useState('')
  const activePile = piles.find((pile) => pile.id === activeId) ?? (piles[0] as PlannedPile)

  const take = (pile: PlannedPile, grams: number, source: 'scale' | 'typed') => {
    if (source === 'scale') scale.markTaken(grams)
    setSaid(`Took ${format.weight(grams)}: ${pile.name}`)
    void live.take(pile.id, grams, source)
  }
  const takeSettled = (pile: PlannedPile, isAsked: boolean) => {
    if (scale.view.kind === 'ready') take(pile, scale.view.grams, 'scale')
    else if (isAsked) setSaid(WHY_NOT[scale.view.kind])
  }
  const touchPile = (pileId: string) => {
    const pile = piles.find((each) => each.id === pileId)
    if (!pile) return
    setActiveId(pileId)
    // Touching the pile that is chosen already can only mean to weigh: then it says why it cannot.
    takeSettled(pile, pileId === activePile.id)
  }
  const withdraw = (readingId: string) => {
    const reading = live.standing.find((each) => each.id === readingId)
    const pile = piles.find((each) => each.id === reading?.pileId)
    if (!reading || !pile) return
    setSaid(`Took back ${format.weight(reading.grams)}: ${pile.name}`)
    if (reading.id === live.standing.at(-1)?.id) scale.forgetTaken()
    void live.withdraw(readingId)
  }
  return {
    live,
    scale,
    activePile,
    said,
    touchPile,
    takeSettled: () => takeSettled(activePile, true),
    takeTyped: (grams) => take(activePile, grams, 'typed'),
    undo: () => {
      const last = live.standing.at(-1)
      if (last) withdraw(last.id)
    },
    nextPile: () => {
      const next = piles[(piles.indexOf(activePile) + 1) % piles.length]
      if (next) setActiveId(next.id)
    },
    withdraw,
  }
}

const WHY_NOT = {
  away: 'The scale does not answer: type the weight.',
  empty: 'Nothing lies on the scale.',
  moving: 'Wait until it settles.',
  'out-of-range': 'The scale is out of its range.',
  taken: 'This one is taken already: lift it off first.',
} as const

function firstUnweighed(live: LiveFabrication): PlannedPile | undefined {
  const last = live.standing.at(-1)
  const weighed = new Set(live.standing.map((each) => each.pileId))
  const lastPile = live.record.piles.find((pile) => pile.id === last?.pileId)
  if (lastPile?.weighing === 'pieces') return lastPile
  return live.record.piles.find((pile) => !weighed.has(pile.id))
}
