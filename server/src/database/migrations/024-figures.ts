import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'

/**
 * What each closed record comes to, kept beside it so that many can be filtered, sorted and summed. Exact as they were
 * worked out: they are shown where the record is appraised too. Those of records from before are made at the start.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '024-figures', [
    `CREATE TABLE IF NOT EXISTS fabrication_figures (
      kitchen_id ${ID} NOT NULL,
      fabrication_id ${ID} NOT NULL,
      formulas INT NOT NULL,
      fact_count INT NOT NULL,
      is_counted BOOLEAN NOT NULL,
      ap DOUBLE NOT NULL,
      primary_weight DOUBLE NOT NULL,
      portion_yield DOUBLE NOT NULL,
      utilisation DOUBLE NOT NULL,
      balance VARCHAR(4) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      units INT,
      size_from INT,
      minutes_per_unit DOUBLE,
      cost_per_portion DOUBLE,
      saving_per_portion DOUBLE,
      spent DOUBLE NOT NULL,
      saved DOUBLE NOT NULL,
      given_away DOUBLE NOT NULL,
      waste DOUBLE NOT NULL,
      unused DOUBLE NOT NULL,
      demoted DOUBLE NOT NULL,
      unaccounted DOUBLE NOT NULL,
      PRIMARY KEY (kitchen_id, fabrication_id),
      FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
    ) ENGINE=InnoDB`,
    'ALTER TABLE fabrications ADD INDEX IF NOT EXISTS by_day (kitchen_id, date, id)',
  ])
