import type { Sequelize } from 'sequelize'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'

/** Assumptions that were tried out on a record, kept beside it under a name. */
export async function up(database: Sequelize): Promise<void> {
  await database.query(`CREATE TABLE what_ifs (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    fabrication_id ${ID} NOT NULL,
    name VARCHAR(120) COLLATE utf8mb4_bin NOT NULL,
    assumptions JSON NOT NULL,
    created_at DATETIME(3) NOT NULL,
    KEY by_fabrication (kitchen_id, fabrication_id, created_at),
    FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
  ) ENGINE=InnoDB`)
}
