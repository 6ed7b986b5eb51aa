import { CATALOGUE, type CatalogueItem, factsOf } from '@fleam/catalogue'
import { QueryTypes, type Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

const QUANTITY = 'DECIMAL(20,9)'
const WORD = 'CHARACTER SET ascii COLLATE ascii_bin'

const FACTS = `
  ADD COLUMN IF NOT EXISTS kind VARCHAR(8) ${WORD},
  ADD COLUMN IF NOT EXISTS bone_share ${QUANTITY} NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS cooking_loss ${QUANTITY} NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS chilled_days INT,
  ADD COLUMN IF NOT EXISTS frozen_months INT`

/** What a pile is, how much of it is bone, what cooking takes and how long it keeps stand on it; a shape on its item. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '008-what-piles-are', [
    `ALTER TABLE style_piles ${FACTS}`,
    `ALTER TABLE items ADD COLUMN IF NOT EXISTS shape VARCHAR(60) ${WORD}`,
    `ALTER TABLE fabrication_piles ADD COLUMN IF NOT EXISTS cooking_loss ${QUANTITY}`,
    ...CATALOGUE.map((item) => () => sayWhatIsKnown(database, item)),
    // A pile of the kitchen's own: portions and waste are what they are, anything else keeps as short as trim does.
    ...(['poultry', 'red-meat', 'fish'] as const).flatMap((species) =>
      (
        [
          ['primary', 'portions'],
          ['by-product', 'trim'],
          ['waste', 'waste'],
        ] as const
      ).map(([pileClass, kind]) => {
        const { cookingLoss, chilledDays, frozenMonths } = factsOf(species, kind)
        return `UPDATE style_piles JOIN styles ON styles.id = style_piles.style_id JOIN items ON items.id = styles.item_id
          SET style_piles.kind = '${kind}', style_piles.cooking_loss = ${cookingLoss},
            style_piles.chilled_days = ${chilledDays ?? 'NULL'}, style_piles.frozen_months = ${frozenMonths ?? 'NULL'}
          WHERE style_piles.kind IS NULL AND style_piles.class = '${pileClass}' AND items.species = '${species}'`
      }),
    ),
    `ALTER TABLE style_piles MODIFY kind VARCHAR(8) ${WORD} NOT NULL`,
    `UPDATE fabrication_piles JOIN style_piles ON style_piles.id = fabrication_piles.style_pile_id
      SET fabrication_piles.cooking_loss = style_piles.cooking_loss`,
  ])

/**
 * Piles and items that came from the catalogue are what it says they are. Here, once, they are found by their names;
 * an item that was renamed is found by the weights of its units.
 */
async function sayWhatIsKnown(database: Sequelize, item: CatalogueItem): Promise<void> {
  const { species, unitWeight, shape } = item
  const rows = await database.query<{ id: string }>(
    `SELECT id FROM items WHERE name = :name OR (species = :species AND unit_low = :low AND unit_usual = :usual
       AND unit_high = :high)`,
    { type: QueryTypes.SELECT, replacements: { name: item.name, species, ...unitWeight } },
  )
  const itemIds = rows.map((row) => row.id)
  if (itemIds.length === 0) return
  if (shape !== null) {
    await database.query('UPDATE items SET shape = :shape WHERE id IN (:itemIds)', { replacements: { shape, itemIds } })
  }
  const piles = new Map(item.styles.flatMap((style) => style.piles.map((pile) => [pile.name, pile])))
  for (const { name, kind, boneShare, cookingLoss, chilledDays, frozenMonths } of piles.values()) {
    await database.query(
      `UPDATE style_piles JOIN styles ON styles.id = style_piles.style_id
       SET style_piles.kind = :kind, style_piles.bone_share = :boneShare, style_piles.cooking_loss = :cookingLoss,
         style_piles.chilled_days = :chilledDays, style_piles.frozen_months = :frozenMonths
       WHERE styles.item_id IN (:itemIds) AND style_piles.name = :name AND style_piles.kind IS NULL`,
      { replacements: { itemIds, name, kind, boneShare, cookingLoss, chilledDays, frozenMonths } },
    )
  }
}
