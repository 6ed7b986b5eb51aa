import { boundOf } from '@fleam/core/costing'
import { isUncounted, type PlannedPile } from '@fleam/core/fabrication'
import { SAME_LOAD_GRAMS } from '@fleam/core/weighing'
import type { Format } from '../../../parts/use-format.ts'
import type { BenchSettings } from './bench-settings.ts'
import { useAutoTake } from './use-auto-take.ts'
import type { LiveFabrication } from './use-live-fabrication.ts'
import type { LoadState } from './use-load.ts'
import type { SaidState, Signal } from './use-said.ts'
import type { Turn } from './use-turn.ts'

const WHY_NOT = {
  away: 'The scale does not answer: type the weight.',
  empty: 'Nothing lies on the scale.',
  moving: 'Wait until it settles.',
  'out-of-range': 'The scale is out of its range.',
  taken: 'This one is taken already: lift it off first.',
} as const
const BOUND_WORDS = { below: 'too light', above: 'too heavy' } as const

export interface TakingInput {
  live: LiveFabrication
  settings: BenchSettings
  turn: Turn
  load: LoadState
  voice: SaidState
  format: Format
  /** What comes onto the board next: `Bird 4 of 6, load 2`. */
  unitWords: (unit: number) => string
}

export interface Taking {
  /** Takes the settled load onto a pile; where it cannot and was asked to, it says why. */
  takeSettled: (pile: PlannedPile, isAsked: boolean) => void
  /** A typed weight, of so many pieces where somebody said how many. */
  takeTyped: (grams: number, pieces: number | null) => void
  /** A load of this weight was taken back: it is not taken by itself while it lies there still. */
  leaveAlone: (grams: number) => void
}

/** Taking a weight onto a pile: by touch, typed, or by itself. */
export function useTaking(input: TakingInput): Taking {
  const { live, settings, turn, load, voice, format, unitWords } = input
  const { record } = live
  const take = (pile: PlannedPile, grams: number, source: 'scale' | 'typed', pieces: number | null = null) => {
    if (source === 'scale') load.scale.markTaken()
    const unit = turn.leadOn(pile, { grams, pieces })
    const { words, judged, signal } = wordsOf(format, pile, grams, pieces)
    const kept = live.take(words, { pileId: pile.id, grams, source, pieces, cookId: settings.cookId ?? record.cookId })
    // Nobody is told that a weight was taken before a crash can no longer lose it.
    void voice.onceKept(kept, `Took ${words}${judged}${unit === null ? '' : `. ${unitWords(unit)}`}`, signal)
  }
  const takeSettled = (pile: PlannedPile, isAsked: boolean) => {
    const view = load.viewFor(pile)
    if (view.kind === 'ready') {
      if (isAsked || !load.scale.isFound) take(pile, view.grams, 'scale')
      else voice.say(`${pile.name}. ${format.weight(view.grams)} lay there before: take it, or lift it off.`)
    } else if (isAsked) voice.say(WHY_NOT[view.kind])
  }
  const { leaveAlone } = useAutoTake({
    isOn: settings.takesItself && record.status === 'open' && !load.scale.isFound,
    view: load.viewFor(load.activePile),
    isPlausible: load.isPlausible,
    take: () => takeSettled(load.activePile, false),
    ask: () => {
      voice.say(load.likeness ? `Which pile? It looks like ${load.likeness.name}.` : 'Which pile?')
      voice.signal('doubt', 'which pile?')
    },
  })
  const takeTyped = (grams: number, pieces: number | null) => {
    const view = load.viewFor(turn.pileInTurn)
    // Who types what the scale shows has taken it.
    if (view.kind === 'ready' && Math.abs(view.grams - grams) < SAME_LOAD_GRAMS) load.scale.markTaken()
    take(turn.pileInTurn, grams, 'typed', pieces)
  }
  return { takeSettled, takeTyped, leaveAlone }
}

/** What a weighing is called, what is said of it, and what is heard. */
function wordsOf(format: Format, pile: PlannedPile, grams: number, pieces: number | null) {
  const words = `${format.weight(grams)}${pieces === null ? '' : `, ${pieces} pieces`}: ${pile.name}`
  const doubt = (judged: string, aloud: string) => ({ words, judged, signal: { tone: 'doubt', aloud } as Signal })
  if (isUncounted(pile, { grams, pieces })) return doubt(': how many pieces?', 'how many?')
  // Of pieces weighed together no single one is judged.
  const isOne = pile.weighing === 'pieces' && pieces === null
  const bound = isOne ? boundOf(grams, pile.low, pile.high) : 'within'
  if (bound !== 'within') return doubt(`, ${BOUND_WORDS[bound]}`, BOUND_WORDS[bound])
  return { words, judged: '', signal: { tone: 'taken', aloud: 'taken' } as Signal }
}
