import type { DoubtPile, DoubtRecord } from '@fleam/core/logbook'
import { pricePerKg } from '@fleam/core/units'
import { QueryTypes } from 'sequelize'
import { parsedJsonOf } from '../database/index.ts'
import { type Scope, within } from '../scope/index.ts'

interface DoubtRow extends Omit<DoubtRecord, 'pricePerKg' | 'piles' | 'twice' | 'settled' | 'unitWeight'> {
  units: number | null
  priceFrom: string
  pricePer: string
  priceAmount: number
  twice: unknown
  settled: unknown
}

/** The items of a kitchen that anything was closed of, by their keys. */
export async function itemsClosed(scope: Scope): Promise<string[]> {
  const rows = await scope.database.sequelize.query<{ item: string }>(
    'SELECT DISTINCT item_key AS item FROM fabrication_figures WHERE kitchen_id = :kitchenId',
    { type: QueryTypes.SELECT, replacements: { kitchenId: scope.kitchen.id }, ...within(scope) },
  )
  return rows.map(({ item }) => item)
}

/** Every closed record of one item that is not left out, as far as it can be doubted, oldest first. */
export async function doubtRecords(scope: Scope, item: string): Promise<DoubtRecord[]> {
  const options = {
    type: QueryTypes.SELECT as const,
    replacements: { kitchenId: scope.kitchen.id, item },
    ...within(scope),
  }
  const from = `fabrication_figures AS figures JOIN fabrications
    ON fabrications.kitchen_id = figures.kitchen_id AND fabrications.id = figures.fabrication_id`
  const where = 'figures.kitchen_id = :kitchenId AND figures.item_key = :item AND fabrications.left_out IS NULL'
  const { sequelize } = scope.database
  const [rows, piles] = await Promise.all([
    sequelize.query<DoubtRow>(
      `SELECT figures.fabrication_id AS id, CAST(figures.date AS CHAR) AS day, figures.item_key AS item,
         figures.style_key AS style, figures.cook_key AS cook, figures.ap AS ap, figures.units AS units,
         figures.portion_yield AS portionYield, figures.minutes_per_unit AS minutesPerUnit,
         figures.balance AS balance, figures.twice AS twice, fabrications.confirmed AS isSettled,
         fabrications.settled AS settled,
         fabrications.price_from AS priceFrom, fabrications.price_per AS pricePer,
         fabrications.price_amount AS priceAmount
       FROM ${from} WHERE ${where} ORDER BY figures.date, figures.fabrication_id`,
      options,
    ),
    sequelize.query<DoubtPile & { id: string }>(
      `SELECT piles.fabrication_id AS id, piles.pile_key AS \`key\`, piles.name AS name, piles.share AS share,
         piles.pieces AS pieces, piles.middle_piece AS middlePiece, piles.lightest_piece AS lightestPiece
       FROM ${from} JOIN fabrication_pile_figures AS piles
         ON piles.kitchen_id = figures.kitchen_id AND piles.fabrication_id = figures.fabrication_id
       WHERE ${where} ORDER BY piles.fabrication_id, piles.position`,
      options,
    ),
  ])
  const byRecord = new Map<string, DoubtPile[]>(rows.map(({ id }) => [id, []]))
  for (const { id, ...pile } of piles) byRecord.get(id)?.push(pile)
  return rows.map(({ priceFrom, pricePer, priceAmount, twice, settled, units, ...row }) => ({
    ...row,
    unitWeight: units === null ? null : row.ap / units,
    pricePerKg: paidPerKg(priceFrom, pricePer, priceAmount),
    piles: byRecord.get(row.id) ?? [],
    settled: parsedJsonOf(settled) as DoubtRecord['settled'],
    twice: parsedJsonOf(twice) as DoubtRecord['twice'],
  }))
}

/** Null where it was not paid by weight, or nobody knows the price. */
function paidPerKg(from: string, per: string, amount: number): number | null {
  if (from === 'none') return null
  if (per === 'kg') return amount
  return per === 'lb' ? pricePerKg(amount, 'imperial') : null
}
