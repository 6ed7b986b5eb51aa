import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'
import { idFrom } from './id-from.ts'

const QUANTITY = 'DECIMAL(20,9)'
const MILLIGRAMS = 'DECIMAL(12,3)'
const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'
const WORD = 'CHARACTER SET ascii COLLATE ascii_bin'

const INTO = `INSERT IGNORE INTO facts
  (id, kitchen_id, fabrication_id, kind, order_no, taken_at, received_at,
   pile_id, target_id, grams, source, cook_id, mark, rate_per_hour, step, way, shape, planned)`

const COOK = (table: string) =>
  `(SELECT cooks.id FROM cooks WHERE cooks.kitchen_id = ${table}.kitchen_id AND cooks.name = ${table}.cook LIMIT 1)`

/** Whoever weighed or started a clock under a name that no cook has becomes one. */
const missingCooks = (table: string) => `INSERT IGNORE INTO cooks (id, kitchen_id, name, wage_per_hour)
  SELECT ${idFrom(`CONCAT('cook', ${table}.kitchen_id, ${table}.cook)`)}, ${table}.kitchen_id, ${table}.cook,
    kitchens.wage_per_hour
  FROM ${table} JOIN kitchens ON kitchens.id = ${table}.kitchen_id
  WHERE ${table}.cook IS NOT NULL AND NOT EXISTS (
    SELECT 1 FROM cooks WHERE cooks.kitchen_id = ${table}.kitchen_id AND cooks.name = ${table}.cook)
  GROUP BY ${table}.kitchen_id, ${table}.cook`

/**
 * Readings, withdrawals, moves, marks and measured cuts become facts of one table, in whole milligrams and in an
 * order of their own. What was ordered by the devices' clocks is so once more, here, and never after.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '006-facts', [
    `CREATE TABLE IF NOT EXISTS facts (
      id ${ID} PRIMARY KEY,
      kitchen_id ${ID} NOT NULL,
      fabrication_id ${ID},
      kind VARCHAR(12) ${WORD} NOT NULL,
      order_no INT NOT NULL,
      taken_at DATETIME(3) NOT NULL,
      received_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
      pile_id ${ID},
      target_id ${ID},
      grams ${MILLIGRAMS},
      source VARCHAR(8) ${WORD},
      cook_id ${ID},
      mark VARCHAR(16) ${WORD},
      rate_per_hour ${QUANTITY},
      step VARCHAR(60),
      way VARCHAR(20) ${WORD},
      shape VARCHAR(60) COLLATE utf8mb4_bin,
      planned ${MILLIGRAMS},
      UNIQUE KEY owner (kitchen_id, fabrication_id, id),
      KEY by_arrival (fabrication_id, received_at),
      KEY by_shape (kitchen_id, way, shape, order_no),
      FOREIGN KEY (kitchen_id) REFERENCES kitchens (id),
      FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id),
      FOREIGN KEY (kitchen_id, fabrication_id, pile_id)
        REFERENCES fabrication_piles (kitchen_id, fabrication_id, id),
      FOREIGN KEY (kitchen_id, fabrication_id, target_id) REFERENCES facts (kitchen_id, fabrication_id, id)
    ) ENGINE=InnoDB`,
    missingCooks('readings'),
    missingCooks('marks'),
    `${INTO} SELECT id, kitchen_id, fabrication_id, 'reading', 1, taken_at, received_at,
      pile_id, NULL, GREATEST(ROUND(grams, 3), 0.001), source, ${COOK('readings')},
      NULL, NULL, NULL, NULL, NULL, NULL FROM readings`,
    `${INTO} SELECT id, kitchen_id, fabrication_id, 'void', 1, taken_at, received_at,
      NULL, reading_id, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL FROM reading_voids`,
    `${INTO} SELECT id, kitchen_id, fabrication_id, 'move', 1, taken_at, received_at,
      pile_id, reading_id, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL FROM reading_moves`,
    `${INTO} SELECT id, kitchen_id, fabrication_id, 'mark', 1, taken_at, received_at,
      NULL, NULL, NULL, NULL, ${COOK('marks')}, kind, rate_per_hour, step, NULL, NULL, NULL FROM marks`,
    // A portion that was weighed at a bench had the id of its weighing.
    `${INTO} SELECT IF(readings.id IS NULL, measured_cuts.id, ${idFrom("CONCAT('cut', measured_cuts.id)")}),
      measured_cuts.kitchen_id, readings.fabrication_id, 'measured-cut', 1, measured_cuts.taken_at,
      measured_cuts.taken_at, NULL, readings.id, GREATEST(ROUND(weighed, 3), 0.001), NULL, NULL, NULL, NULL, NULL,
      way, shape, GREATEST(ROUND(planned, 3), 0.001)
      FROM measured_cuts LEFT JOIN readings
        ON readings.id = measured_cuts.id AND readings.kitchen_id = measured_cuts.kitchen_id`,
    `UPDATE facts JOIN (
      SELECT id, ROW_NUMBER() OVER (
        PARTITION BY kitchen_id, fabrication_id ORDER BY taken_at, FIELD(kind, 'reading', 'move', 'void'), id
      ) AS place FROM facts
    ) AS placed ON placed.id = facts.id SET facts.order_no = placed.place`,
    'DROP TABLE IF EXISTS reading_voids',
    'DROP TABLE IF EXISTS reading_moves',
    'DROP TABLE IF EXISTS readings',
    'DROP TABLE IF EXISTS marks',
    'DROP TABLE IF EXISTS measured_cuts',
  ])
