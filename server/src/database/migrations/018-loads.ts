import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** Which load of a batch came out of the cold or went back, and how many units it has. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '018-loads', [
    'ALTER TABLE facts ADD COLUMN IF NOT EXISTS load_no INT, ADD COLUMN IF NOT EXISTS units INT',
  ])
