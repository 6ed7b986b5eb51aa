import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'

/** Who said how a lot stands: a delivery that is too warm is accepted with a reason and a name. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '035-who-accepted', [
    `ALTER TABLE lots ADD COLUMN IF NOT EXISTS standing_by_id ${ID}`,
    `ALTER TABLE lots ADD FOREIGN KEY IF NOT EXISTS lot_standing_by (kitchen_id, standing_by_id)
     REFERENCES cooks (kitchen_id, id)`,
  ])
