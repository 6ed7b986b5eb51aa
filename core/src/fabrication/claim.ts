import { formatNumber } from '../units/index.ts'
import type { WeightsResult } from './weights-result.ts'

export type YieldDefinition = 'portionYield' | 'utilisation' | 'drainedYield'

export interface ClaimCheck {
  claimed: number
  /** A definition fits that is no further from the claim than this. */
  tolerance: number
  /** Definitions that the claim fits, nearest first. */
  fits: YieldDefinition[]
  sentence: string
}

const NAMES: Record<YieldDefinition, string> = {
  portionYield: 'portion yield',
  utilisation: 'utilisation',
  drainedYield: 'drained yield',
}

/**
 * Compares a claimed yield (a share, 0 to 1) with each definition of yield and says which one it fits.
 * `tolerance` is half the last digit that people claim: half a percentage point.
 */
export function checkClaim(claimed: number, weights: WeightsResult, tolerance = 0.005): ClaimCheck {
  const distance = (definition: YieldDefinition) => Math.abs(weights[definition] - claimed)
  const definitions = Object.keys(NAMES) as YieldDefinition[]
  const fits = definitions
    .filter((definition) => distance(definition) <= tolerance)
    .sort((a, b) => distance(a) - distance(b))
  const percent = (share: number) => `${formatNumber(share * 100, 1)}\u00a0%`
  const sentence =
    fits.length > 0
      ? `${percent(claimed)} is the ${fits.map((fit) => NAMES[fit]).join(' and the ')}.`
      : `No weight here supports ${percent(claimed)}: ${definitions
          .map((definition) => `${NAMES[definition]} is ${percent(weights[definition])}`)
          .join(', ')}.`
  return { claimed, tolerance, fits, sentence }
}
