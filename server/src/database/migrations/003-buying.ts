import type { Sequelize } from 'sequelize'

const QUANTITY = 'DECIMAL(20,9)'
const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'
// Names of articles are compared letter by letter: two that differ in an accent are two.
const NAME = 'VARCHAR(120) COLLATE utf8mb4_bin'

/** The price book, and lots of raw product from the door to the fabrication. */
const CHANGES = [
  `CREATE TABLE suppliers (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    name ${NAME} NOT NULL,
    delivery ${QUANTITY} NOT NULL,
    minimum_order ${QUANTITY},
    UNIQUE KEY (kitchen_id, name),
    FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE articles (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    supplier ${NAME} NOT NULL,
    code ${NAME} NOT NULL,
    name ${NAME} NOT NULL,
    kind VARCHAR(8) NOT NULL,
    item ${NAME},
    product VARCHAR(243) COLLATE utf8mb4_bin,
    usable_share ${QUANTITY},
    handling_minutes_per_piece ${QUANTITY},
    UNIQUE KEY (kitchen_id, supplier, code),
    UNIQUE KEY owner (kitchen_id, id),
    KEY by_item (kitchen_id, item),
    KEY by_product (kitchen_id, product),
    FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
  ) ENGINE=InnoDB`,
  // Prices are facts: a row is inserted and never changed. Of two that begin on one day the later recorded holds.
  `CREATE TABLE article_prices (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    article_id ${ID} NOT NULL,
    amount ${QUANTITY} NOT NULL,
    per VARCHAR(8) NOT NULL,
    piece_weight ${QUANTITY},
    pack_pieces INT,
    pack_weight ${QUANTITY},
    delivery ${QUANTITY},
    minimum_order ${QUANTITY},
    valid_from DATE NOT NULL,
    valid_until DATE,
    source VARCHAR(8) NOT NULL,
    recorded_at DATETIME(3) NOT NULL,
    KEY by_day (kitchen_id, article_id, valid_from),
    FOREIGN KEY (kitchen_id, article_id) REFERENCES articles (kitchen_id, id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE lots (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    version INT NOT NULL,
    item ${NAME} NOT NULL,
    supplier ${NAME} NOT NULL,
    code ${NAME},
    gtin VARCHAR(14),
    price_amount ${QUANTITY} NOT NULL,
    price_per VARCHAR(8) NOT NULL,
    extras ${QUANTITY},
    pieces INT,
    received_on DATE NOT NULL,
    production_date DATE,
    use_by DATE,
    opened_on DATE,
    is_finished BOOLEAN NOT NULL,
    notes TEXT,
    created_at DATETIME(3) NOT NULL,
    UNIQUE KEY owner (kitchen_id, id),
    KEY by_code (kitchen_id, code),
    FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE lot_cases (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    lot_id ${ID} NOT NULL,
    position SMALLINT NOT NULL,
    label VARCHAR(400),
    serial VARCHAR(40),
    invoice_weight ${QUANTITY} NOT NULL,
    weighed ${QUANTITY},
    FOREIGN KEY (kitchen_id, lot_id) REFERENCES lots (kitchen_id, id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE lot_checks (
    kitchen_id ${ID} NOT NULL,
    lot_id ${ID} NOT NULL,
    check_id VARCHAR(40) NOT NULL,
    is_fault BOOLEAN NOT NULL,
    value ${QUANTITY},
    note VARCHAR(600),
    PRIMARY KEY (lot_id, check_id),
    FOREIGN KEY (kitchen_id, lot_id) REFERENCES lots (kitchen_id, id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE lot_photos (
    id ${ID} PRIMARY KEY,
    kitchen_id ${ID} NOT NULL,
    lot_id ${ID} NOT NULL,
    picture MEDIUMBLOB NOT NULL,
    taken_at DATETIME(3) NOT NULL,
    KEY by_lot (kitchen_id, lot_id),
    FOREIGN KEY (kitchen_id, lot_id) REFERENCES lots (kitchen_id, id)
  ) ENGINE=InnoDB`,
  `ALTER TABLE fabrications
    ADD COLUMN lot_id ${ID},
    ADD KEY by_lot (kitchen_id, lot_id),
    ADD KEY by_style (kitchen_id, style_id, started_at),
    ADD FOREIGN KEY (kitchen_id, lot_id) REFERENCES lots (kitchen_id, id)`,
]

export async function up(database: Sequelize): Promise<void> {
  for (const change of CHANGES) await database.query(change)
}
