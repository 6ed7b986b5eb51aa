import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'
const NAME = 'CHARACTER SET utf8mb4 COLLATE utf8mb4_bin'

/**
 * Plans of what to order and how to cut it; what is expected and what is planned of one that was accepted; and which line
 * of an order a lot came for.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '030-order-plans', [
    `CREATE TABLE IF NOT EXISTS order_plans (
      kitchen_id ${ID} NOT NULL,
      id ${ID} NOT NULL,
      version INT NOT NULL,
      name VARCHAR(120) ${NAME} NOT NULL,
      draft JSON NOT NULL,
      accepted_at DATETIME(3),
      accepted JSON,
      schedule JSON,
      created_at DATETIME(3) NOT NULL,
      updated_at DATETIME(3) NOT NULL,
      PRIMARY KEY (kitchen_id, id),
      FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
    ) ENGINE=InnoDB`,
    `CREATE TABLE IF NOT EXISTS expected_lines (
      kitchen_id ${ID} NOT NULL,
      id ${ID} NOT NULL,
      plan_id ${ID} NOT NULL,
      position SMALLINT NOT NULL,
      supplier_id ${ID} NOT NULL,
      day DATE NOT NULL,
      kind VARCHAR(8) ${NAME} NOT NULL,
      article_id ${ID} NOT NULL,
      item_id ${ID},
      name VARCHAR(500) ${NAME} NOT NULL,
      packs INT NOT NULL,
      units DECIMAL(20, 9) NOT NULL,
      price DECIMAL(20, 9) NOT NULL,
      arrived INT,
      PRIMARY KEY (kitchen_id, id),
      KEY by_day (kitchen_id, day),
      FOREIGN KEY (kitchen_id, plan_id) REFERENCES order_plans (kitchen_id, id) ON DELETE CASCADE,
      FOREIGN KEY (kitchen_id, supplier_id) REFERENCES suppliers (kitchen_id, id),
      FOREIGN KEY (kitchen_id, item_id) REFERENCES items (kitchen_id, id)
    ) ENGINE=InnoDB`,
    `CREATE TABLE IF NOT EXISTS planned_fabrications (
      kitchen_id ${ID} NOT NULL,
      id ${ID} NOT NULL,
      plan_id ${ID} NOT NULL,
      position SMALLINT NOT NULL,
      style_id ${ID} NOT NULL,
      article_id ${ID} NOT NULL,
      supplier_id ${ID} NOT NULL,
      day DATE NOT NULL,
      units INT NOT NULL,
      minutes DECIMAL(20, 9) NOT NULL,
      portions JSON NOT NULL,
      money DECIMAL(20, 9) NOT NULL,
      cook_id ${ID},
      lot_id ${ID},
      expected_line_id ${ID},
      is_dropped BOOLEAN NOT NULL DEFAULT FALSE,
      fabrication_id ${ID},
      PRIMARY KEY (kitchen_id, id),
      KEY by_day (kitchen_id, day),
      KEY by_fabrication (kitchen_id, fabrication_id),
      FOREIGN KEY (kitchen_id, plan_id) REFERENCES order_plans (kitchen_id, id) ON DELETE CASCADE,
      FOREIGN KEY (kitchen_id, style_id) REFERENCES styles (kitchen_id, id),
      FOREIGN KEY (kitchen_id, supplier_id) REFERENCES suppliers (kitchen_id, id),
      FOREIGN KEY (kitchen_id, cook_id) REFERENCES cooks (kitchen_id, id),
      FOREIGN KEY (kitchen_id, lot_id) REFERENCES lots (kitchen_id, id),
      FOREIGN KEY (kitchen_id, expected_line_id) REFERENCES expected_lines (kitchen_id, id),
      FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
    ) ENGINE=InnoDB`,
    `ALTER TABLE lots ADD COLUMN IF NOT EXISTS expected_line_id ${ID}`,
    `ALTER TABLE lots ADD CONSTRAINT lots_of_expected_lines FOREIGN KEY IF NOT EXISTS (kitchen_id, expected_line_id)
      REFERENCES expected_lines (kitchen_id, id)`,
  ])
