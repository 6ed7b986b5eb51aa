import { container } from '@fleam/contract/containers/operations'
import { DataTypes, type Model, type ModelStatic } from 'sequelize'
import { z } from 'zod'
import { openTestApp } from '../../test/harness.ts'
import { factTable } from './index.ts'
import { table } from './table.ts'

const price = z.strictObject({ amount: z.number(), per: z.enum(['kg', 'piece']) })
const bounds = z.strictObject({ low: z.number(), high: z.number() })
const shape = z.strictObject({
  id: z.uuid(),
  name: z.string().max(120),
  price,
  bounds: bounds.nullable(),
  pieces: z.int().optional(),
  share: z.number().nullable().optional(),
  isFrozen: z.boolean().default(false),
  days: z.array(z.int()),
  from: z.iso.date(),
})
const goods = table('goods', shape, {
  adds: { ownerId: z.uuid() },
  parts: ['price', 'bounds'],
  as: { pricePer: 'per', boundsLow: 'low', boundsHigh: 'high', from: 'validFrom' },
})
const VALUE = {
  ...{ id: 'a', name: 'Duck', price: { amount: 3, per: 'kg' as const }, bounds: { low: 1, high: 2 }, pieces: 4 },
  ...{ share: 0.5, isFrozen: true, days: [1, 2], from: '2026-12-02' },
}
const ROW = {
  ...{ id: 'a', name: 'Duck', priceAmount: 3, per: 'kg' as const, low: 1, high: 2, pieces: 4 },
  ...{ share: 0.5, isFrozen: true, days: [1, 2], validFrom: '2026-12-02', ownerId: 'b' },
}

test('a value stands in a row of flat columns, and is the same again when it is read', () => {
  expect(goods.toRow({ ...VALUE, ownerId: 'b' })).toEqual(ROW)
  expect(goods.fromRow(ROW)).toEqual(VALUE)
  expect(goods.fromRow({ ...ROW, days: '[1,2]' as never })).toEqual(VALUE)
})

test('what may be absent is null in the table, and absent again in the value, unless null says something there', () => {
  const { pieces: _pieces, share: _share, ...without } = VALUE
  const row = goods.toRow({ ...without, bounds: null, ownerId: 'b' })
  expect(row).toEqual({ ...ROW, pieces: null, share: null, low: null, high: null })
  expect(goods.fromRow(row)).toEqual({ ...without, bounds: null, share: null })
})

test('a change writes the columns that it has, and a row with fewer columns is read as far as they go', () => {
  expect(goods.toRow({ name: 'Hen' })).toEqual({ name: 'Hen', pieces: null, share: null })
  expect(goods.fromRow({ id: 'a', name: 'Duck' } as never)).toMatchObject({ id: 'a', name: 'Duck' })
})

test('every kind of fact is the same when it was kept, and has nothing in the columns of other kinds', () => {
  const factFields = { id: 'f', order: 3, takenAt: '2026-12-02T08:00:00.000Z', fabricationId: 'b' }
  const mark = { kind: 'mark', ...factFields, mark: 'cold-out', cookId: null, ratePerHour: null, step: null } as const
  const facts = [
    { kind: 'reading', ...factFields, pileId: 'p', grams: 281, source: 'scale', cookId: null, pieces: 2 },
    { kind: 'void', ...factFields, fabricationId: null, factId: 'x' },
    { ...mark, load: 2, units: 6 },
    { kind: 'board', ...factFields, part: 'plates', state: null },
    { kind: 'plate', ...factFields, readingId: 'x', number: 4 },
  ] as const
  for (const fact of facts) expect(factTable.fromRow(factTable.toRow('k', fact))).toEqual(fact)
  expect(factTable.toRow('k', facts[4])).toMatchObject({ kitchenId: 'k', targetId: 'x', units: 4, grams: null })
})

test('a new field of a row is its schema and its column: table, model and values take it from there', async () => {
  const test_ = await openTestApp()
  const { sequelize } = test_.database
  await sequelize.query('CREATE TABLE marked_containers LIKE containers')
  await sequelize.query('ALTER TABLE marked_containers ADD COLUMN colour VARCHAR(20)')
  const markedTable = table('marked_containers', container.extend({ colour: z.string().max(20).nullable() }))
  const Marked = markedTable.define(sequelize, 'MarkedContainer')
  const id = '01a235f5-1432-7175-bc36-02714dfe61df'
  const tray = { id, name: 'Tray', grams: 412.5, colour: 'red' }
  await Marked.create({ ...markedTable.toRow(tray), kitchenId: id })
  expect((await Marked.findAll()).map(markedTable.fromRow)).toEqual([tray])
  expect((await Marked.findAll({ where: { colour: 'blue' } })).length).toBe(0)
  await sequelize.query('DROP TABLE marked_containers')
  await test_.close()
})

test('instants, days and booleans arrive as the contract has them, also one that no calendar has', async () => {
  const test_ = await openTestApp()
  const [rows] = await test_.database.sequelize.query(
    `SELECT CAST('2026-12-02 08:00:00.25' AS DATETIME(3)) AS instant, CAST('2026-12-02 08:00:00' AS DATETIME) AS whole,
       CAST('0000-00-00 00:00:00' AS DATETIME(3)) AS none, CAST('2026-12-02' AS DATE) AS day`,
  )
  expect(rows).toEqual([
    {
      instant: '2026-12-02T08:00:00.250Z',
      whole: '2026-12-02T08:00:00.000Z',
      none: '0000-00-00T00:00:00.000Z',
      day: '2026-12-02',
    },
  ])
  await test_.close()
})

const KINDS: Record<string, readonly string[]> = {
  [DataTypes.TEXT.key]: ['char', 'varchar', 'text', 'longtext'],
  [DataTypes.DOUBLE.key]: ['decimal', 'double', 'int', 'smallint', 'bigint'],
  [DataTypes.BOOLEAN.key]: ['tinyint'],
  [DataTypes.DATE.key]: ['datetime'],
  [DataTypes.DATEONLY.key]: ['date'],
  [DataTypes.JSON.key]: ['longtext', 'mediumtext'],
  [DataTypes.CHAR.key]: ['char'],
  [DataTypes.BLOB.key]: ['mediumblob'],
}

test('every field of a shape has a column that can hold it, and every column that must be filled is of a field', async () => {
  const test_ = await openTestApp()
  const { database } = test_
  const [rows] = await database.sequelize.query(
    `SELECT table_name AS name, column_name AS field, data_type AS kind, is_nullable = 'YES' AS isNullable,
       column_default AS fallback FROM information_schema.columns WHERE table_schema = DATABASE()`,
  )
  const columns = rows as { name: string; field: string; kind: string; isNullable: number; fallback: unknown }[]
  const wrong: string[] = []
  for (const model of Object.values(database.models) as ModelStatic<Model>[]) {
    const name = model.getTableName() as string
    const attributes = Object.values(model.getAttributes())
    const tableColumns = columns.filter((column) => column.name === name)
    for (const { field, type, allowNull } of attributes) {
      const column = tableColumns.find((column) => column.field === field)
      const kinds = KINDS[(type as unknown as { key: string }).key]
      if (!column) wrong.push(`${name}.${field} has no column`)
      else if (!kinds?.includes(column.kind)) wrong.push(`${name}.${field} is ${column.kind}`)
      else if (allowNull && !column.isNullable && column.fallback === null)
        wrong.push(`${name}.${field} may not be null in the table`)
    }
    for (const { field, isNullable, fallback } of tableColumns) {
      const isFilled = isNullable || fallback !== null || attributes.some((attribute) => attribute.field === field)
      if (!isFilled) wrong.push(`${name}.${field} is of no field`)
    }
  }
  await test_.close()
  expect(wrong).toEqual([])
})
