import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** Prices that somebody struck out or put right: they stay, with when, where and why, and count nowhere. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '016-struck-prices', [
    `ALTER TABLE article_prices
      ADD COLUMN IF NOT EXISTS struck_at DATETIME(3),
      ADD COLUMN IF NOT EXISTS struck_by VARCHAR(8) CHARACTER SET ascii COLLATE ascii_bin,
      ADD COLUMN IF NOT EXISTS struck_why VARCHAR(200)`,
  ])
