import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** What a kitchen serves as one plate of a product: pieces, or meat by its weight; neither where nobody said. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '023-plates-of-products', [
    `ALTER TABLE products
      ADD COLUMN IF NOT EXISTS plate_pieces DECIMAL(20, 9),
      ADD COLUMN IF NOT EXISTS plate_edible DECIMAL(20, 9)`,
  ])
