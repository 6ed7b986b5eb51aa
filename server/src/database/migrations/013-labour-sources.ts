import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/**
 * Where the labour of a record is from. Minutes of finished records spoke for their style before: they go on to, as
 * clocked where somebody started a clock, else as typed.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '013-labour-sources', [
    `ALTER TABLE fabrications ADD COLUMN IF NOT EXISTS labour_from VARCHAR(8) NOT NULL DEFAULT 'assumed'`,
    `UPDATE fabrications SET labour_from = IF(
        EXISTS (SELECT 1 FROM facts WHERE facts.kitchen_id = fabrications.kitchen_id
          AND facts.fabrication_id = fabrications.id AND facts.mark = 'labour-start'), 'timed', 'typed')
      WHERE status = 'closed'`,
    'ALTER TABLE fabrications ALTER COLUMN labour_from DROP DEFAULT',
  ])
