import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'

/**
 * What a record was judged at when it was closed, and by which formulas: figures are made anew with every change of a
 * formula, and an answer that somebody acted on stays to be read. Records that were closed by earlier formulas kept
 * none; of them only the number of the formulas is known.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '033-judgements', [
    `CREATE TABLE IF NOT EXISTS judgements (
      kitchen_id ${ID} NOT NULL,
      fabrication_id ${ID} NOT NULL,
      formulas SMALLINT UNSIGNED NOT NULL,
      is_kept BOOLEAN NOT NULL,
      verdict VARCHAR(5) CHARACTER SET ascii COLLATE ascii_bin,
      cost_per_portion DOUBLE,
      saving_per_portion DOUBLE,
      PRIMARY KEY (kitchen_id, fabrication_id),
      FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
    ) ENGINE=InnoDB`,
    `INSERT IGNORE INTO judgements (kitchen_id, fabrication_id, formulas, is_kept)
     SELECT kitchen_id, id, CASE WHEN closed_at < '2026-11-25' THEN 1 WHEN closed_at < '2026-11-26' THEN 2 ELSE 3 END, FALSE
     FROM fabrications WHERE status = 'closed'`,
  ])
