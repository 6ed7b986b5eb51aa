import { type AllocationResult, creditOf, type PileResult } from '../costing/index.ts'
import type { FabricationDocument, Limits, WeightsResult } from '../fabrication/index.ts'
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
  const underweight = primaries.filter((pile) => (pile.below ?? 0) > 0)
  if (underweight.length > 0) {
    const count = underweight.reduce((sum, pile) => sum + (pile.below ?? 0), 0)
    say(
      'underweight-pieces',
      `${count} ${count === 1 ? 'piece is' : 'pieces are'} too light to serve (${names(underweight)}), yet still paid for.`,
    )
  }
  return found
}
