import type { ExpectedLine } from '@fleam/core/plans'

interface Arrived {
  words: string
  /** Less came than was ordered. */
  isShort: boolean
  /** Everything came. */
  isAll: boolean
}

const short = (words: string): Arrived => ({ words, isShort: true, isAll: false })
const ALL: Arrived = { words: 'all of it came', isShort: false, isAll: true }

/** What came of a line that was ordered, checked against it. Pieces of lots count where lots say them, else packs. */
export function arrivedWords({ packs, units, arrived, lots, kind }: ExpectedLine): Arrived {
  if (kind === 'whole' && lots.length > 0 && lots.every((lot) => lot.pieces !== null)) {
    const pieces = lots.reduce((sum, lot) => sum + (lot.pieces ?? 0), 0)
    return pieces < units ? short(`${units - pieces} of ${units} short`) : ALL
  }
  if (arrived !== null) return arrived < packs ? short(`${packs - arrived} of ${packs} packs short`) : ALL
  if (lots.length > 0) return { words: 'came, in pieces that nobody counted', isShort: false, isAll: true }
  return { words: 'not here yet', isShort: false, isAll: false }
}
