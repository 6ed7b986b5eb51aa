import type { Sequelize } from 'sequelize'

// Weights are DECIMAL grams, money is DECIMAL, shares are DECIMAL: nine decimals hold what any document says.
const QUANTITY = 'DECIMAL(20,9)'
const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'
const NAME = 'VARCHAR(120)'

const TABLES = [
  `CREATE TABLE kitchens (
    id ${ID} PRIMARY KEY,
    name ${NAME} NOT NULL,
    currency CHAR(3) NOT NULL,
    units VARCHAR(10) NOT NULL,
    time_zone VARCHAR(64) NOT NULL,
    wage_per_hour ${QUANTITY} NOT NULL,
    created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
  )`,
  `CREATE TABLE cooks (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    name ${NAME} NOT NULL,
    wage_per_hour ${QUANTITY} NOT NULL,
    UNIQUE KEY (kitchen_id, name),
    FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
  )`,
  `CREATE TABLE items (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    name ${NAME} NOT NULL,
    species VARCHAR(20) NOT NULL,
    unit_one ${NAME} NOT NULL,
    unit_many ${NAME} NOT NULL,
    unit_low ${QUANTITY} NOT NULL,
    unit_usual ${QUANTITY} NOT NULL,
    unit_high ${QUANTITY} NOT NULL,
    UNIQUE KEY (kitchen_id, name),
    FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
  )`,
  `CREATE TABLE styles (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    item_id ${ID} NOT NULL,
    name ${NAME} NOT NULL,
    minutes_per_unit ${QUANTITY} NOT NULL,
    UNIQUE KEY (item_id, name),
    KEY (kitchen_id),
    FOREIGN KEY (item_id) REFERENCES items (id)
  )`,
  `CREATE TABLE style_piles (
    style_id ${ID} NOT NULL,
    position SMALLINT NOT NULL,
    kitchen_id ${ID} NOT NULL,
    name ${NAME} NOT NULL,
    class VARCHAR(12) NOT NULL,
    weighing VARCHAR(8) NOT NULL,
    expected_share ${QUANTITY},
    portions_per_unit ${QUANTITY},
    target ${QUANTITY},
    low ${QUANTITY},
    high ${QUANTITY},
    landmark VARCHAR(200) NOT NULL,
    value_per_kg ${QUANTITY},
    used_share ${QUANTITY},
    processing_per_kg ${QUANTITY},
    PRIMARY KEY (style_id, position),
    KEY (kitchen_id),
    FOREIGN KEY (style_id) REFERENCES styles (id)
  )`,
  `CREATE TABLE offers (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    style_id ${ID} NOT NULL,
    supplier ${NAME} NOT NULL,
    ${offerColumns()},
    KEY (kitchen_id),
    FOREIGN KEY (style_id) REFERENCES styles (id)
  )`,
  `CREATE TABLE fabrications (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    version INT NOT NULL,
    status VARCHAR(10) NOT NULL,
    item ${NAME} NOT NULL,
    style ${NAME} NOT NULL,
    species VARCHAR(20),
    currency CHAR(3) NOT NULL,
    price_amount ${QUANTITY} NOT NULL,
    price_per VARCHAR(8) NOT NULL,
    invoice_weight ${QUANTITY} NOT NULL,
    received_weight ${QUANTITY},
    purge_weight ${QUANTITY},
    pieces INT,
    cases ${QUANTITY},
    extras ${QUANTITY},
    credit_policy VARCHAR(8) NOT NULL,
    allocation VARCHAR(8) NOT NULL,
    confirmed BOOLEAN NOT NULL,
    date DATE NOT NULL,
    cook ${NAME},
    supplier ${NAME},
    lot ${NAME},
    notes TEXT,
    started_at DATETIME(3) NOT NULL,
    closed_at DATETIME(3),
    updated_at DATETIME(3) NOT NULL,
    UNIQUE KEY (kitchen_id, id),
    KEY by_start (kitchen_id, started_at),
    FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
  )`,
  `CREATE TABLE fabrication_piles (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    fabrication_id ${ID} NOT NULL,
    position SMALLINT NOT NULL,
    name ${NAME} NOT NULL,
    class VARCHAR(12) NOT NULL,
    weighing VARCHAR(8) NOT NULL,
    expected_share ${QUANTITY},
    portions INT,
    target ${QUANTITY},
    low ${QUANTITY},
    high ${QUANTITY},
    value_per_kg ${QUANTITY},
    used_share ${QUANTITY},
    processing_per_kg ${QUANTITY},
    UNIQUE KEY owner (kitchen_id, fabrication_id, id),
    FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
  )`,
  `CREATE TABLE fabrication_labour (
    fabrication_id ${ID} NOT NULL,
    position SMALLINT NOT NULL,
    kitchen_id ${ID} NOT NULL,
    task ${NAME} NOT NULL,
    minutes ${QUANTITY} NOT NULL,
    rate_per_hour ${QUANTITY} NOT NULL,
    PRIMARY KEY (fabrication_id, position),
    FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
  )`,
  `CREATE TABLE fabrication_consumables (
    fabrication_id ${ID} NOT NULL,
    position SMALLINT NOT NULL,
    kitchen_id ${ID} NOT NULL,
    name ${NAME} NOT NULL,
    cost ${QUANTITY} NOT NULL,
    PRIMARY KEY (fabrication_id, position),
    FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
  )`,
  `CREATE TABLE fabrication_offers (
    fabrication_id ${ID} NOT NULL,
    position SMALLINT NOT NULL,
    kitchen_id ${ID} NOT NULL,
    ${offerColumns()},
    PRIMARY KEY (fabrication_id, position),
    FOREIGN KEY (kitchen_id, fabrication_id) REFERENCES fabrications (kitchen_id, id)
  )`,
  // Readings are facts: rows are inserted and never changed. The keys tie each to a pile of the same
  // fabrication and kitchen, so that a stray id is refused by the database itself.
  `CREATE TABLE readings (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    fabrication_id ${ID} NOT NULL,
    pile_id ${ID} NOT NULL,
    grams ${QUANTITY} NOT NULL,
    taken_at DATETIME(3) NOT NULL,
    source VARCHAR(8) NOT NULL,
    received_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    UNIQUE KEY owner (kitchen_id, fabrication_id, id),
    FOREIGN KEY (kitchen_id, fabrication_id, pile_id)
      REFERENCES fabrication_piles (kitchen_id, fabrication_id, id)
  )`,
  `CREATE TABLE reading_voids (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    fabrication_id ${ID} NOT NULL,
    reading_id ${ID} NOT NULL,
    taken_at DATETIME(3) NOT NULL,
    received_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    FOREIGN KEY (kitchen_id, fabrication_id, reading_id)
      REFERENCES readings (kitchen_id, fabrication_id, id)
  )`,
]

function offerColumns(): string {
  return `name ${NAME} NOT NULL,
    pile ${NAME} NOT NULL,
    price_amount ${QUANTITY} NOT NULL,
    price_per VARCHAR(8) NOT NULL,
    pieces INT,
    piece_weight ${QUANTITY} NOT NULL,
    usable_share ${QUANTITY},
    handling_minutes_per_piece ${QUANTITY},
    rate_per_hour ${QUANTITY},
    extras ${QUANTITY}`
}

export async function up(database: Sequelize): Promise<void> {
  for (const table of TABLES) await database.query(`${table} ENGINE=InnoDB`)
}
