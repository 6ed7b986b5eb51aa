import { type Fact, standingReadings } from '../../facts/index.ts'
import type { TakenTwice } from './doubt.ts'

/** Nobody lays a second piece of the very same weight on a scale within this time. Milliseconds. */
const WITHIN_MS = 2_000

/** Weighings of the same pile and weight that stand and follow each other within two seconds, each pair once. */
export function takenTwice(facts: readonly Fact[], piles: readonly { id: string; name: string }[]): TakenTwice[] {
  const readings = standingReadings(facts).filter(({ source }) => source !== 'imported')
  return readings.flatMap((reading, index) => {
    const before = readings[index - 1]
    if (!before || before.pileId !== reading.pileId || before.grams !== reading.grams) return []
    const apart = Math.abs(Date.parse(reading.takenAt) - Date.parse(before.takenAt))
    const name = piles.find(({ id }) => id === reading.pileId)?.name
    return apart < WITHIN_MS && name !== undefined ? [{ pile: name, grams: reading.grams, seconds: apart / 1000 }] : []
  })
}
