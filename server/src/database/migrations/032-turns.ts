import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'

/**
 * What decides by what it has read takes turns by a row that it also writes: a cluster of databases tells of two that
 * wrote the same row, and not of two that only looked at it. Price books had a row of their own for that.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '032-turns', [
    `CREATE TABLE IF NOT EXISTS turns (
      kitchen_id ${ID} NOT NULL,
      about VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      taken BIGINT UNSIGNED NOT NULL DEFAULT 1,
      PRIMARY KEY (kitchen_id, about)
    ) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS price_books',
  ])
