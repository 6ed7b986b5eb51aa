import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** What became of a lot, the numbers and addresses that a claim needs, and what each fault is worth. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '019-lots-at-the-door', [
    `ALTER TABLE lots
      ADD COLUMN IF NOT EXISTS standing VARCHAR(12) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT 'accepted',
      ADD COLUMN IF NOT EXISTS standing_reason TEXT,
      ADD COLUMN IF NOT EXISTS invoice_number VARCHAR(120),
      ADD COLUMN IF NOT EXISTS order_number VARCHAR(120),
      ADD COLUMN IF NOT EXISTS article_number VARCHAR(120)`,
    'ALTER TABLE lot_checks ADD COLUMN IF NOT EXISTS worth DECIMAL(20,9)',
    'ALTER TABLE suppliers ADD COLUMN IF NOT EXISTS address TEXT',
    'ALTER TABLE kitchens ADD COLUMN IF NOT EXISTS address TEXT',
  ])
