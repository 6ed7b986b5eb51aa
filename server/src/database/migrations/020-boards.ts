import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** What lies on the board of a fabrication, so that every device at it has it. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '020-boards', ['ALTER TABLE facts ADD COLUMN IF NOT EXISTS state LONGTEXT'])
