import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** Doubts of a record that somebody has looked at and stands by. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '028-settled-doubts', [
    "ALTER TABLE fabrications ADD COLUMN IF NOT EXISTS settled JSON NOT NULL DEFAULT '[]'",
  ])
