import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** Views of the logbook that a kitchen keeps under a name: what stands in their address. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '027-logbook-views', [
    `CREATE TABLE IF NOT EXISTS logbook_views (
      kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      name VARCHAR(120) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
      search VARCHAR(2000) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
      PRIMARY KEY (kitchen_id, id),
      UNIQUE KEY one_name (kitchen_id, name),
      FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
    ) ENGINE=InnoDB`,
  ])
