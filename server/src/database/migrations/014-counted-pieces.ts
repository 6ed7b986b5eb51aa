import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** How many pieces a weighing is of: said with it, or after it by a fact of its own. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '014-counted-pieces', ['ALTER TABLE facts ADD COLUMN IF NOT EXISTS pieces INT'])
