import { DataTypes, type Model, type ModelAttributes, type ModelStatic, type Sequelize } from 'sequelize'
import type { z } from 'zod'
import { attributeOf, type Column, rowCodec } from './columns.ts'

type Union<T> = (T extends unknown ? (each: T) => void : never) extends (all: infer All) => void ? All : never

/** The fields of the objects of a value that stand in columns of their own. */
type PartsOf<Value, Part extends string> = Union<
  Part extends keyof Value
    ? {
        [Field in keyof NonNullable<Value[Part]> & string as `${Part}${Capitalize<Field>}`]:
          | NonNullable<Value[Part]>[Field]
          | Extract<Value[Part], null>
      }
    : never
>
type Flat<Value, Part extends string> = [Part] extends [never] ? Value : Omit<Value, Part> & PartsOf<Value, Part>

/** A row of a table of such values: `x?` is a null there. */
type RowOf<Value, Part extends string, As> = {
  [Field in keyof Flat<Value, Part> as Field extends keyof As ? As[Field] & string : Field]-?:
    | Exclude<Flat<Value, Part>[Field], undefined>
    | (undefined extends Flat<Value, Part>[Field] ? null : never)
}

/** A table that keeps values of one shape, with what it adds to them and the kitchen of each row. */
export interface Table<Value extends object, Added extends object, Row extends object> {
  /** The row of a value, without its kitchen. Of a part of a value, such as a change, the columns that it has. */
  toRow: { (value: Value & Added): Row; (value: Partial<Value & Added>): Partial<Row> }
  /** The value that stands in a row, whether it is a model or was read raw; with fewer columns, as far as they go. */
  fromRow: (row: Row) => Value
  /** The model of it; associations are made by whoever knows the other models. */
  define: <M extends Model = TableModel<Row>>(database: Sequelize, name: string) => ModelStatic<M>
}
type TableModel<Row extends object> = Model<OwnRow<Row>, OwnRow<Row>> & OwnRow<Row>
type OwnRow<Row> = Row & { kitchenId: string }
type RowIn<T> = T extends { fromRow: (row: infer Row extends object) => object } ? Row : never

/** A model of a table, with the rows that may be read with it. */
export type ModelOf<T, Associations = unknown> = TableModel<RowIn<T>> & Partial<Associations>
/** A row of a table. */
export type TableRow<T> = OwnRow<RowIn<T>>

type Outputs<Fields extends z.ZodRawShape> = { [Field in keyof Fields]: z.output<Fields[Field]> }

interface TableOptions<Added, Part, As> {
  /** Columns that are no part of the value, such as what it belongs to. */
  adds?: Added
  /** Attributes that are the key. */
  key?: readonly string[]
  /** Fields of the value that are objects whose own fields have columns. */
  parts?: readonly Part[]
  /** What attributes are called that have another name than their field. */
  as?: As
  isOfKitchen?: boolean
}

/**
 * A table of values of a shape, with what the database adds to it. Without more, a row has its kitchen, `id` is the key,
 * and a field is a column of the same name; lists and objects are kept as JSON.
 */
export function table<
  Shape extends z.ZodObject,
  Added extends z.ZodRawShape = Record<never, never>,
  const Part extends string = never,
  const As extends Record<string, string> = Record<never, string>,
>(
  tableName: string,
  { shape }: Shape,
  { adds, key = ['id'], parts = [], as, isOfKitchen = true }: TableOptions<Added, Part, As> = {},
): Table<z.output<Shape>, Outputs<Added>, RowOf<z.output<Shape> & Outputs<Added>, Part, As>> {
  const { columns, toRow } = rowCodec({ ...shape, ...adds } as z.ZodRawShape, { parts, as })
  return {
    toRow: toRow as never,
    fromRow: rowCodec(shape, { parts, as }).fromRow as never,
    define: (database, name) => defineModel(database, name, { tableName, columns, key, isOfKitchen }) as never,
  }
}

interface ModelOptions {
  tableName: string
  columns: readonly Column[]
  key: readonly string[]
  isOfKitchen?: boolean
}

/** The model of a table with these columns, and with the kitchen that each row is of. */
export function defineModel(
  database: Sequelize,
  name: string,
  { tableName, columns, key, isOfKitchen = true }: ModelOptions,
) {
  const attributes: ModelAttributes = {
    ...(isOfKitchen ? { kitchenId: { type: DataTypes.CHAR(36), allowNull: false } } : {}),
    ...Object.fromEntries(columns.map((column) => [column.attribute, attributeOf(column)])),
  }
  for (const attribute of key) Object.assign(attributes[attribute] as object, { primaryKey: true })
  return database.define(name, attributes, { tableName })
}
