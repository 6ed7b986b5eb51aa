import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { DEFAULT_LIMITS, type FabricationDocument, type PlannedPile, pilesFromReadings } from '@fleam/core/fabrication'
import type { Reading } from '@fleam/core/facts'
import { parseCountedWeight, parseWeights, type WeightUnit } from '@fleam/core/units'
import { type WeighingCheck, weighingChecks } from '@fleam/core/weighing'

/** What one box of a card says: its weights, or a total with its number of pieces; or what of it is no weight. */
export type BoxResult = { ok: true; taken: { grams: number; pieces: number | null }[] } | { ok: false; refused: string }

export function readBox(text: string, pile: PlannedPile, bareUnit: WeightUnit): BoxResult {
  const counted = pile.weighing === 'pieces' ? parseCountedWeight(text, bareUnit) : null
  if (counted?.ok && counted.pieces !== null)
    return { ok: true, taken: [{ grams: counted.grams, pieces: counted.pieces }] }
  const list = parseWeights(text, bareUnit)
  return list.ok ? { ok: true, taken: list.grams.map((grams) => ({ grams, pieces: null })) } : list
}

const A_MINUTE = 60_000

/** What looks wrong with a card before it is put in, beside what was weighed already: the same as is asked at the scale. */
export function checksOfCard(
  record: FabricationRecord,
  document: FabricationDocument,
  standing: readonly Reading[],
  boxes: ReadonlyMap<string, BoxResult>,
): WeighingCheck[] {
  const typed = [...boxes].flatMap(([pileId, box]) => (box.ok ? box.taken.map((entry) => ({ pileId, ...entry })) : []))
  const readings = typed.map(
    ({ pileId, grams, pieces }, index): Reading => ({
      ...{
        kind: 'reading',
        id: `card ${index}`,
        order: index + 1,
        fabricationId: record.id,
        source: 'typed',
        cookId: null,
      },
      ...{ pileId, grams, pieces },
      // Each at a minute of its own: nothing on a card was taken twice within a second.
      takenAt: new Date(index * A_MINUTE).toISOString(),
    }),
  )
  const all = [...standing, ...readings]
  const piles = pilesFromReadings(record.piles, all)
  const input = { piles: record.piles, standing: all, document: { ...document, piles }, limits: DEFAULT_LIMITS }
  return weighingChecks({ ...input, isAllWeighed: false })
}
