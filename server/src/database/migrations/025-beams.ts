import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** The two beams of a closed record, kept beside its figures; those of records from before are made at the start. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '025-beams', [
    `ALTER TABLE fabrication_figures
      ADD COLUMN IF NOT EXISTS beam JSON NOT NULL DEFAULT '{"weight":[],"money":[],"weightTotal":0,"moneyTotal":0}'`,
    'ALTER TABLE fabrication_figures ALTER COLUMN beam DROP DEFAULT',
  ])
