import type { Sequelize } from 'sequelize'

const QUANTITY = 'DECIMAL(20,9)'
const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'
const NAME = 'VARCHAR(120)'

/** Steps, options and drawings; clocks and moves as facts; containers and cautions of the kitchen's own. */
const CHANGES = [
  `ALTER TABLE items
    ADD COLUMN position SMALLINT NOT NULL DEFAULT 0,
    ADD COLUMN drawing VARCHAR(60),
    ADD COLUMN landmarks JSON NOT NULL DEFAULT '[]',
    ADD COLUMN is_archived BOOLEAN NOT NULL DEFAULT FALSE`,
  `ALTER TABLE styles
    ADD COLUMN position SMALLINT NOT NULL DEFAULT 0,
    ADD COLUMN version INT NOT NULL DEFAULT 1,
    ADD COLUMN steps JSON NOT NULL DEFAULT '[]',
    ADD COLUMN options JSON NOT NULL DEFAULT '[]',
    ADD COLUMN consumables JSON NOT NULL DEFAULT '[]',
    ADD COLUMN is_archived BOOLEAN NOT NULL DEFAULT FALSE`,
  'ALTER TABLE style_piles ADD COLUMN region VARCHAR(60)',
  `ALTER TABLE fabrications
    ADD COLUMN style_id ${ID},
    ADD COLUMN units INT NOT NULL DEFAULT 1,
    ADD COLUMN rhythm VARCHAR(8) NOT NULL DEFAULT 'unit',
    ADD COLUMN drawing VARCHAR(60),
    ADD COLUMN causes JSON NOT NULL DEFAULT '[]'`,
  'UPDATE fabrications SET units = pieces WHERE pieces >= 1',
  // What the board shows is large and read for one fabrication at a time, so it does not burden lists.
  `CREATE TABLE fabrication_boards (
    fabrication_id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    steps JSON NOT NULL,
    choices JSON NOT NULL,
    FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
  ) ENGINE=InnoDB`,
  // The second key serves the devices that follow a bench: what arrived since.
  `ALTER TABLE readings
    ADD COLUMN cook ${NAME},
    ADD KEY by_arrival (fabrication_id, received_at)`,
  'ALTER TABLE reading_voids ADD KEY by_arrival (fabrication_id, received_at)',
  `CREATE TABLE reading_moves (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    fabrication_id ${ID} NOT NULL,
    reading_id ${ID} NOT NULL,
    pile_id ${ID} NOT NULL,
    taken_at DATETIME(3) NOT NULL,
    received_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    KEY by_arrival (fabrication_id, received_at),
    FOREIGN KEY (kitchen_id, fabrication_id, reading_id)
      REFERENCES readings (kitchen_id, fabrication_id, id),
    FOREIGN KEY (kitchen_id, fabrication_id, pile_id)
      REFERENCES fabrication_piles (kitchen_id, fabrication_id, id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE marks (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    fabrication_id ${ID} NOT NULL,
    kind VARCHAR(16) NOT NULL,
    cook ${NAME},
    rate_per_hour ${QUANTITY},
    step VARCHAR(60),
    taken_at DATETIME(3) NOT NULL,
    received_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    KEY by_arrival (fabrication_id, received_at),
    FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE containers (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    name ${NAME} NOT NULL,
    grams ${QUANTITY} NOT NULL,
    UNIQUE KEY (kitchen_id, name),
    FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE caution_overrides (
    kitchen_id ${ID} NOT NULL,
    caution_id VARCHAR(60) NOT NULL,
    text VARCHAR(600) NOT NULL,
    reason VARCHAR(600) NOT NULL,
    board_minutes INT,
    out_minutes INT,
    PRIMARY KEY (kitchen_id, caution_id),
    FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
  ) ENGINE=InnoDB`,
]

export async function up(database: Sequelize): Promise<void> {
  for (const change of CHANGES) await database.query(change)
}
