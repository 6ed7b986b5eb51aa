import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** Days of the week on which a supplier comes, and a cook's hours at the board: nobody has said them yet. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '029-weeks', [
    'ALTER TABLE suppliers ADD COLUMN IF NOT EXISTS delivery_days JSON',
    'ALTER TABLE cooks ADD COLUMN IF NOT EXISTS week_hours JSON',
  ])
