import type { Sequelize } from 'sequelize'

/** What lies on a pile of a record, as its style said it: liquid that was drained is told from the bin. */
export async function up(database: Sequelize): Promise<void> {
  await database.query(
    'ALTER TABLE fabrication_piles ADD COLUMN IF NOT EXISTS kind VARCHAR(12) CHARACTER SET ascii COLLATE ascii_bin',
  )
  await database.query(
    `UPDATE fabrication_piles JOIN style_piles ON style_piles.id = fabrication_piles.style_pile_id
     SET fabrication_piles.kind = style_piles.kind WHERE fabrication_piles.kind IS NULL`,
  )
}
