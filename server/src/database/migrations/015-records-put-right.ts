import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'
const WORD = 'CHARACTER SET ascii COLLATE ascii_bin'

/**
 * What is needed to put a record right: where its price is from, why it is left out of averages, piles that are half a
 * portion or several, and every version of it before somebody changed it.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '015-records-put-right', [
    `ALTER TABLE fabrications
      ADD COLUMN IF NOT EXISTS price_from VARCHAR(12) ${WORD} NOT NULL DEFAULT 'typed',
      ADD COLUMN IF NOT EXISTS left_out VARCHAR(200)`,
    'ALTER TABLE fabrications ALTER COLUMN price_from DROP DEFAULT',
    `UPDATE fabrications SET price_from = 'lot' WHERE lot_id IS NOT NULL`,
    'ALTER TABLE fabrication_piles ADD COLUMN IF NOT EXISTS portions_per_piece DECIMAL(20,9)',
    `CREATE TABLE IF NOT EXISTS fabrication_versions (
      kitchen_id ${ID} NOT NULL,
      fabrication_id ${ID} NOT NULL,
      version INT NOT NULL,
      replaced_at DATETIME(3) NOT NULL,
      actor VARCHAR(8) ${WORD} NOT NULL,
      record JSON NOT NULL,
      PRIMARY KEY (kitchen_id, fabrication_id, version),
      FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
    ) ENGINE=InnoDB`,
  ])
