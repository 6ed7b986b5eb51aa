import type { Sequelize } from 'sequelize'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'

/** Portions that were planned and then weighed: how far off each way of measuring is in this kitchen. */
export async function up(database: Sequelize): Promise<void> {
  await database.query(`CREATE TABLE measured_cuts (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    way VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    shape VARCHAR(60) COLLATE utf8mb4_bin NOT NULL,
    planned DECIMAL(20,9) NOT NULL,
    weighed DECIMAL(20,9) NOT NULL,
    taken_at DATETIME(3) NOT NULL,
    KEY latest (kitchen_id, way, shape, taken_at),
    FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
  ) ENGINE=InnoDB`)
}
