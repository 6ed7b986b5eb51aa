import { type AllocationResult, creditOf, type PileResult, ratio } from '../costing/index.ts'
import type { FabricationDocument, Limits, Pile, WeightsResult } from '../fabrication/index.ts'
import { formatNumber } from '../units/index.ts'
import type { Warning } from './appraisal.ts'
import type { WarningCode } from './warning-codes.ts'

export interface WarningInput {
  document: FabricationDocument
  weights: WeightsResult
  piles: readonly PileResult[]
  allocation: AllocationResult
  limits: Limits
}

const percent = (share: number) => `${formatNumber(Math.abs(share) * 100, 1)}\u00a0%`

/** More names than these are counted: a warning is read in a glance. */
const MAX_NAMED = 5

function names(list: readonly { name: string }[]): string {
  const named = list.slice(0, MAX_NAMED).map((item) => item.name)
  const more = list.length - named.length
  return more > 0 ? `${named.join(', ')} and ${more} more` : named.join(', ')
}

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
  const { without, single, underweight, together } = doubtfulPortions(document, piles)
  if (without.length > 0) say('no-portions', `No portion can be counted in ${names(without)}.`)
  if (allocation.fellBack) {
    const missing = document.allocation === 'value' ? 'a portion pile has no value' : 'no portion was counted'
    say('allocation-fell-back', `The cost is spread by weight, because ${missing}.`)
  }
  if (document.creditPolicy === 'net') {
    const losing = document.piles.filter(
      (pile, index) => pile.class === 'by-product' && creditOf(pile, piles[index]?.weight ?? 0, 'net') < 0,
    )
    if (losing.length > 0) say('credit-negative', `Processing costs more than it brings: ${names(losing)}.`)
  }
  const light: string[] = []
  if (underweight > 0) {
    const pieces = underweight === 1 ? 'piece is' : 'pieces are'
    light.push(`${underweight} ${pieces} too light to serve (${names(single)}), yet still paid for.`)
  }
  if (together.length > 0) light.push(`The mean portion is too light to serve: ${names(together)}.`)
  if (light.length > 0) say('underweight-pieces', light.join(' '))
  return found
}

interface DoubtfulPortions {
  /** Piles in which no portion can be counted. */
  without: PileResult[]
  /** Piles with pieces under their lower bound, and how many of those there are. */
  single: PileResult[]
  underweight: number
  /** Piles weighed together whose mean portion is under their bound. */
  together: PileResult[]
}

/** In one pass: warnings are looked for at every keystroke and every weighing. */
function doubtfulPortions(document: FabricationDocument, piles: readonly PileResult[]): DoubtfulPortions {
  const found: DoubtfulPortions = { without: [], single: [], underweight: 0, together: [] }
  piles.forEach((pile, index) => {
    if (pile.class !== 'primary') return
    if (!pile.portions) found.without.push(pile)
    if (pile.below) {
      found.single.push(pile)
      found.underweight += pile.below
    }
    if (isMeanTooLight(document.piles[index] as Pile, pile)) found.together.push(pile)
  })
  return found
}

function isMeanTooLight({ pieces, low }: Pile, { weight, portions }: PileResult): boolean {
  // What is not weighed yet is not light.
  if (pieces || low === undefined || weight === 0) return false
  const mean = ratio(weight, portions)
  return mean !== null && mean < low
}
