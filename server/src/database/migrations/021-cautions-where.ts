import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** Where a kitchen's own words of a caution hold: those that were there hold everywhere, as before. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '021-cautions-where', [
    `ALTER TABLE caution_overrides
      ADD COLUMN IF NOT EXISTS item_id VARCHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS style_id VARCHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS step VARCHAR(60) NOT NULL DEFAULT '',
      DROP PRIMARY KEY,
      ADD PRIMARY KEY (kitchen_id, caution_id, item_id, style_id, step)`,
  ])
