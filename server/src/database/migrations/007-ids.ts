import { CATALOGUE } from '@fleam/catalogue'
import { QueryTypes, type Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'
import { idFrom } from './id-from.ts'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'
/** One supplier and one product whatever the capitals; an accent makes another name. */
const AS_CI = 'COLLATE utf8mb4_uca1400_as_ci'

const missingSuppliers = (table: string) => `INSERT IGNORE INTO suppliers (id, kitchen_id, name, delivery)
  SELECT ${idFrom("CONCAT('supplier', kitchen_id, LOWER(name))")}, kitchen_id, name, 0 FROM (
    SELECT kitchen_id, MIN(supplier ${AS_CI}) AS name FROM ${table}
    WHERE supplier IS NOT NULL GROUP BY kitchen_id, supplier ${AS_CI}
  ) AS named WHERE NOT EXISTS (
    SELECT 1 FROM suppliers WHERE suppliers.kitchen_id = named.kitchen_id AND suppliers.name ${AS_CI} = named.name ${AS_CI})`

const pointAtSuppliers = (table: string) => `UPDATE ${table} JOIN suppliers
  ON suppliers.kitchen_id = ${table}.kitchen_id AND suppliers.name ${AS_CI} = ${table}.supplier ${AS_CI}
  SET ${table}.supplier_id = suppliers.id`

/** The item that a name stood for: of that name, or, where it was renamed, the one whose records bear it. */
const itemNamed = (table: string) => `COALESCE(
  (SELECT items.id FROM items WHERE items.kitchen_id = ${table}.kitchen_id AND items.name = ${table}.item LIMIT 1),
  (SELECT styles.item_id FROM fabrications JOIN styles ON styles.id = fabrications.style_id
   WHERE fabrications.kitchen_id = ${table}.kitchen_id AND fabrications.item = ${table}.item LIMIT 1))`

/** What a portion pile was called as a product: the item's name up to its first comma, and the pile's. */
const PRODUCT = "CONCAT(SUBSTRING_INDEX(items.name, ',', 1), ': ', style_piles.name)"

/** Suppliers and products become rows; what referred to a name refers to an id, and keeps the name only for reading. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '007-ids', [
    // Suppliers: one row whatever the capitals. Of several the one with terms of its own stays, else the first.
    missingSuppliers('articles'),
    missingSuppliers('lots'),
    missingSuppliers('fabrications'),
    missingSuppliers('offers'),
    // Numbers that would stand twice with one supplier are told apart before the two become one.
    `UPDATE articles AS later JOIN articles AS earlier
      ON earlier.kitchen_id = later.kitchen_id AND earlier.code = later.code AND earlier.id < later.id
      AND earlier.supplier ${AS_CI} = later.supplier ${AS_CI} AND earlier.supplier <> later.supplier
      SET later.code = CONCAT(LEFT(later.code, 108), ' (', LEFT(later.id, 8), ')')`,
    `DELETE suppliers FROM suppliers JOIN (
      SELECT id, ROW_NUMBER() OVER (
        PARTITION BY kitchen_id, name ${AS_CI}
        ORDER BY (delivery > 0 OR minimum_order IS NOT NULL) DESC, id
      ) AS place FROM suppliers
    ) AS placed ON placed.id = suppliers.id WHERE placed.place > 1`,
    `ALTER TABLE suppliers MODIFY name VARCHAR(120) ${AS_CI} NOT NULL`,
    'ALTER TABLE suppliers ADD UNIQUE KEY IF NOT EXISTS owner (kitchen_id, id)',
    // Products.
    `CREATE TABLE IF NOT EXISTS products (
      id ${ID} PRIMARY KEY,
      kitchen_id ${ID} NOT NULL,
      name VARCHAR(243) ${AS_CI} NOT NULL,
      UNIQUE KEY (kitchen_id, name),
      UNIQUE KEY owner (kitchen_id, id),
      FOREIGN KEY (kitchen_id) REFERENCES kitchens (id)
    ) ENGINE=InnoDB`,
    // What is ready of an item that was renamed bears its old name: its records tell which that was.
    `UPDATE articles JOIN (
      SELECT DISTINCT fabrications.kitchen_id, SUBSTRING_INDEX(fabrications.item, ',', 1) AS old_name,
        SUBSTRING_INDEX(items.name, ',', 1) AS new_name
      FROM fabrications JOIN styles ON styles.id = fabrications.style_id JOIN items ON items.id = styles.item_id
    ) AS renamed ON renamed.kitchen_id = articles.kitchen_id AND renamed.old_name <> renamed.new_name
      AND SUBSTRING_INDEX(articles.product, ': ', 1) = renamed.old_name
      SET articles.product = CONCAT(renamed.new_name, SUBSTR(articles.product, CHAR_LENGTH(renamed.old_name) + 1))
      WHERE NOT EXISTS (SELECT 1 FROM items WHERE items.kitchen_id = articles.kitchen_id
        AND SUBSTRING_INDEX(items.name, ',', 1) = renamed.old_name)`,
    `INSERT IGNORE INTO products (id, kitchen_id, name)
      SELECT ${idFrom("CONCAT('product', kitchen_id, LOWER(name))")}, kitchen_id, name FROM (
        SELECT style_piles.kitchen_id, ${PRODUCT} AS name FROM style_piles
        JOIN styles ON styles.id = style_piles.style_id JOIN items ON items.id = styles.item_id
        WHERE style_piles.class = 'primary'
        UNION SELECT kitchen_id, product FROM articles WHERE product IS NOT NULL
      ) AS named`,
    // Piles of styles.
    `ALTER TABLE style_piles
      ADD COLUMN IF NOT EXISTS id ${ID},
      ADD COLUMN IF NOT EXISTS product_id ${ID}`,
    `UPDATE style_piles SET id = ${idFrom("CONCAT('pile', style_id, position)")} WHERE id IS NULL`,
    `ALTER TABLE style_piles MODIFY id ${ID} NOT NULL, ADD UNIQUE KEY IF NOT EXISTS by_id (id)`,
    `UPDATE style_piles JOIN styles ON styles.id = style_piles.style_id JOIN items ON items.id = styles.item_id
      JOIN products ON products.kitchen_id = style_piles.kitchen_id AND products.name = ${PRODUCT} ${AS_CI}
      SET style_piles.product_id = products.id WHERE style_piles.class = 'primary'`,
    `ALTER TABLE style_piles ADD FOREIGN KEY IF NOT EXISTS pile_product (kitchen_id, product_id)
      REFERENCES products (kitchen_id, id)`,
    // Articles.
    `ALTER TABLE articles
      ADD COLUMN IF NOT EXISTS supplier_id ${ID},
      ADD COLUMN IF NOT EXISTS item_id ${ID},
      ADD COLUMN IF NOT EXISTS product_id ${ID}`,
    pointAtSuppliers('articles'),
    `UPDATE articles SET item_id = ${itemNamed('articles')} WHERE item IS NOT NULL`,
    () => pointAtRenamed(database, 'articles'),
    `UPDATE articles JOIN products
      ON products.kitchen_id = articles.kitchen_id AND products.name = articles.product ${AS_CI}
      SET articles.product_id = products.id`,
    `ALTER TABLE articles
      MODIFY supplier_id ${ID} NOT NULL,
      ADD UNIQUE KEY IF NOT EXISTS by_code (kitchen_id, supplier_id, code),
      ADD KEY IF NOT EXISTS of_item (kitchen_id, item_id),
      ADD KEY IF NOT EXISTS of_product (kitchen_id, product_id)`,
    `ALTER TABLE articles ADD FOREIGN KEY IF NOT EXISTS article_supplier (kitchen_id, supplier_id)
      REFERENCES suppliers (kitchen_id, id)`,
    `ALTER TABLE articles ADD FOREIGN KEY IF NOT EXISTS article_product (kitchen_id, product_id)
      REFERENCES products (kitchen_id, id)`,
    'ALTER TABLE articles ADD FOREIGN KEY IF NOT EXISTS article_item (item_id) REFERENCES items (id)',
    // Lots.
    `ALTER TABLE lots ADD COLUMN IF NOT EXISTS supplier_id ${ID}, ADD COLUMN IF NOT EXISTS item_id ${ID}`,
    pointAtSuppliers('lots'),
    `UPDATE lots SET item_id = COALESCE(
      (SELECT styles.item_id FROM fabrications JOIN styles ON styles.id = fabrications.style_id
       WHERE fabrications.kitchen_id = lots.kitchen_id AND fabrications.lot_id = lots.id LIMIT 1), ${itemNamed('lots')})`,
    () => pointAtRenamed(database, 'lots'),
    `ALTER TABLE lots MODIFY supplier_id ${ID} NOT NULL`,
    `ALTER TABLE lots ADD FOREIGN KEY IF NOT EXISTS lot_supplier (kitchen_id, supplier_id)
      REFERENCES suppliers (kitchen_id, id)`,
    'ALTER TABLE lots ADD FOREIGN KEY IF NOT EXISTS lot_item (item_id) REFERENCES items (id)',
    // Offers that were said once.
    `ALTER TABLE offers ADD COLUMN IF NOT EXISTS supplier_id ${ID}`,
    pointAtSuppliers('offers'),
    `ALTER TABLE offers MODIFY supplier_id ${ID} NOT NULL`,
    `ALTER TABLE offers ADD FOREIGN KEY IF NOT EXISTS offer_supplier (kitchen_id, supplier_id)
      REFERENCES suppliers (kitchen_id, id)`,
    // Records: the names that they were made under stay beside the ids.
    `ALTER TABLE fabrications
      ADD COLUMN IF NOT EXISTS item_id ${ID},
      ADD COLUMN IF NOT EXISTS supplier_id ${ID},
      ADD COLUMN IF NOT EXISTS cook_id ${ID}`,
    `UPDATE fabrications SET
      item_id = COALESCE((SELECT styles.item_id FROM styles WHERE styles.id = fabrications.style_id),
        (SELECT items.id FROM items
         WHERE items.kitchen_id = fabrications.kitchen_id AND items.name = fabrications.item LIMIT 1)),
      cook_id = (SELECT cooks.id FROM cooks
        WHERE cooks.kitchen_id = fabrications.kitchen_id AND cooks.name = fabrications.cook LIMIT 1)`,
    `UPDATE fabrications JOIN styles ON styles.item_id = fabrications.item_id AND styles.name = fabrications.style
      SET fabrications.style_id = styles.id WHERE fabrications.style_id IS NULL`,
    pointAtSuppliers('fabrications'),
    `ALTER TABLE fabrications ADD FOREIGN KEY IF NOT EXISTS record_supplier (kitchen_id, supplier_id)
      REFERENCES suppliers (kitchen_id, id)`,
    `ALTER TABLE fabrication_piles ADD COLUMN IF NOT EXISTS style_pile_id ${ID}`,
    `UPDATE fabrication_piles JOIN fabrications ON fabrications.id = fabrication_piles.fabrication_id
      JOIN style_piles ON style_piles.style_id = fabrications.style_id AND style_piles.name = fabrication_piles.name
      SET fabrication_piles.style_pile_id = style_piles.id`,
    // An offer of a record is of the article that had its name, product and price; of none where several had.
    `ALTER TABLE fabrication_offers ADD COLUMN IF NOT EXISTS article_id ${ID}`,
    `UPDATE fabrication_offers JOIN (
      SELECT offered.fabrication_id, offered.position, MIN(articles.id) AS article_id
      FROM fabrication_offers AS offered
      JOIN fabrication_piles ON fabrication_piles.fabrication_id = offered.fabrication_id
        AND fabrication_piles.name = offered.pile
      JOIN style_piles ON style_piles.id = fabrication_piles.style_pile_id
      JOIN articles ON articles.kitchen_id = offered.kitchen_id AND articles.name = offered.name
        AND articles.product_id = style_piles.product_id
      WHERE EXISTS (SELECT 1 FROM article_prices WHERE article_prices.article_id = articles.id
        AND article_prices.amount = offered.price_amount AND article_prices.per = offered.price_per)
      GROUP BY offered.fabrication_id, offered.position HAVING COUNT(DISTINCT articles.id) = 1
    ) AS matched ON matched.fabrication_id = fabrication_offers.fabrication_id
      AND matched.position = fabrication_offers.position
      SET fabrication_offers.article_id = matched.article_id`,
    // Names that ids have taken the place of.
    'ALTER TABLE articles DROP KEY IF EXISTS kitchen_id, DROP KEY IF EXISTS by_item, DROP KEY IF EXISTS by_product',
    `ALTER TABLE articles
      DROP COLUMN IF EXISTS supplier, DROP COLUMN IF EXISTS item, DROP COLUMN IF EXISTS product`,
    'ALTER TABLE lots DROP COLUMN IF EXISTS supplier',
    'ALTER TABLE offers DROP COLUMN IF EXISTS supplier',
  ])

/**
 * Rows whose item was renamed before any record was made of it: the item that has the catalogue's measures under
 * another name is it, where exactly one has.
 */
async function pointAtRenamed(database: Sequelize, table: 'articles' | 'lots'): Promise<void> {
  const orphans = await database.query<{ kitchen_id: string; item: string }>(
    `SELECT DISTINCT kitchen_id, item FROM ${table} WHERE item IS NOT NULL AND item_id IS NULL`,
    { type: QueryTypes.SELECT },
  )
  for (const { kitchen_id: kitchenId, item } of orphans) {
    const inCatalogue = CATALOGUE.find((catalogueItem) => catalogueItem.name === item)
    if (!inCatalogue) continue
    const alike = await database.query<{ id: string; name: string }>(
      `SELECT id, name FROM items WHERE kitchen_id = :kitchenId AND species = :species
         AND unit_low = :low AND unit_usual = :usual AND unit_high = :high`,
      { type: QueryTypes.SELECT, replacements: { kitchenId, species: inCatalogue.species, ...inCatalogue.unitWeight } },
    )
    const renamed = alike.filter(({ name }) => !CATALOGUE.some((catalogueItem) => catalogueItem.name === name))
    if (renamed.length !== 1) continue
    await database.query(`UPDATE ${table} SET item_id = :id WHERE kitchen_id = :kitchenId AND item = :item`, {
      replacements: { id: renamed[0]?.id, kitchenId, item },
    })
  }
}
