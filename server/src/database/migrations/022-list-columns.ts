import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** Which column of a supplier's list was which the last time. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '022-list-columns', [
    `CREATE TABLE IF NOT EXISTS supplier_mappings (
      kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      supplier_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      mapping JSON NOT NULL,
      used_at DATETIME(3) NOT NULL,
      PRIMARY KEY (kitchen_id, supplier_id),
      CONSTRAINT mapping_supplier FOREIGN KEY (kitchen_id, supplier_id) REFERENCES suppliers (kitchen_id, id)
        ON DELETE CASCADE
    )`,
  ])
