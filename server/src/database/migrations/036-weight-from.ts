import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** Whether the weight of what was bought was read off an invoice: of planned work it is estimated at first. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '036-weight-from', [
    "ALTER TABLE fabrications ADD COLUMN IF NOT EXISTS weight_from VARCHAR(12) NOT NULL DEFAULT 'invoice'",
  ])
