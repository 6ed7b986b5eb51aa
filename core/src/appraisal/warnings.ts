import { type AllocationResult, creditOf, type PileResult, ratio } from '../costing/index.ts'
import type { FabricationDocument, Limits, Pile, WeightsResult } from '../fabrication/index.ts'
import { formatNumber } from '../units/index.ts'

export const WARNING_CODES = [
  'balance-over',
  'balance-lost',
  'short-delivery',
  'no-portions',
  'allocation-fell-back',
  'credit-negative',
  'underweight-pieces',
] as const
export type WarningCode = (typeof WARNING_CODES)[number]

export interface Warning {
  code: WarningCode
  message: string
}

export interface WarningInput {
  document: FabricationDocument
  weights: WeightsResult
  piles: readonly PileResult[]
  allocation: AllocationResult
  limits: Limits
}

const percent = (share: number) => `${formatNumber(Math.abs(share) * 100, 1)}\u00a0%`
const names = (list: readonly { name: string }[]) => list.map((each) => each.name).join(', ')

/** What a reader must know before trusting the figures, in plain words; each code at most once. */
export function warningsOf(input: WarningInput): Warning[] {
  const { document, weights, piles, allocation, limits } = input
  const found: Warning[] = []
  const say = (code: WarningCode, message: string) => found.push({ code, message })

  const unaccountedShare = weights.unaccounted / weights.received
  if (weights.balance === 'over') {
    say(
      'balance-over',
      document.confirmed
        ? `${percent(unaccountedShare)} more came out than went in; somebody has checked it and stands by it.`
        : `${percent(unaccountedShare)} more came out than went in. A weight or a unit is wrong: correct it, or confirm it, before there is a verdict.`,
    )
  }
  if (weights.balance === 'lost') {
    say('balance-lost', `${percent(unaccountedShare)} of what was received is not on any pile. Was a pile not weighed?`)
  }
  if (weights.short > limits.short * weights.ap) {
    say('short-delivery', `The delivery was ${percent(weights.short / weights.ap)} short of the invoice: claim it.`)
  }
  const primaries = piles.filter((pile) => pile.class === 'primary')
  const without = primaries.filter((pile) => !pile.portions)
  if (without.length > 0) say('no-portions', `No portion can be counted in ${names(without)}.`)
  if (allocation.fellBack) {
    const missing = document.allocation === 'value' ? 'a portion pile has no value' : 'no portion was counted'
    say('allocation-fell-back', `The cost is spread by weight, because ${missing}.`)
  }
  if (document.creditPolicy === 'net') {
    const losing = document.piles.filter(
      (pile, at) => pile.class === 'by-product' && creditOf(pile, piles[at]?.weight ?? 0, 'net') < 0,
    )
    if (losing.length > 0) say('credit-negative', `Processing costs more than it brings: ${names(losing)}.`)
  }
  const underweight = underweightWords(document, piles)
  if (underweight.length > 0) say('underweight-pieces', underweight.join(' '))
  return found
}

/** Pieces under their lower bound, and piles weighed together whose mean portion is under theirs. */
function underweightWords(document: FabricationDocument, piles: readonly PileResult[]): string[] {
  const single = piles.filter((pile) => (pile.below ?? 0) > 0)
  const together = piles.filter((pile, at) => isMeanTooLight(document.piles[at], pile))
  const count = single.reduce((sum, pile) => sum + (pile.below ?? 0), 0)
  const words: string[] = []
  if (count > 0) {
    const pieces = count === 1 ? 'piece is' : 'pieces are'
    words.push(`${count} ${pieces} too light to serve (${names(single)}), yet still paid for.`)
  }
  if (together.length > 0) words.push(`The mean portion is too light to serve: ${names(together)}.`)
  return words
}

function isMeanTooLight(pile: Pile | undefined, { weight, portions }: PileResult): boolean {
  if (!pile || pile.pieces || pile.low === undefined) return false
  const mean = ratio(weight, portions)
  return mean !== null && mean < pile.low
}
