import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** What stands before the decimals in a kitchen; those that were there read points so far. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '017-decimal-marks', [
    "ALTER TABLE kitchens ADD COLUMN IF NOT EXISTS decimal_mark VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT 'point'",
  ])
