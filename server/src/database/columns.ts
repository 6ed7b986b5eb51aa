import { DataTypes, Model, type ModelAttributeColumnOptions } from 'sequelize'
import { z } from 'zod'
import { parsedJsonOf } from './parsed-json.ts'

/** What a column holds, as far as it is read or written otherwise than it is. */
type ColumnKind = 'text' | 'number' | 'yes-no' | 'instant' | 'day' | 'bytes' | 'json'

/** Where one value of a shape stands in a row. */
export interface Column {
  /** Name of the model's attribute; its column is the same in small letters with underscores. */
  attribute: string
  kind: ColumnKind
  /** The table allows a null. */
  isNullable: boolean
  /** A value may come without it: it is written as null. */
  mayBeAbsent: boolean
  /** A null of the table is left out of the value that is read. */
  isNullLeftOut: boolean
}

/** A field of a shape with its column, or an object whose own fields have a column each. */
type Field = { name: string; column: Column } | { name: string; isNullable: boolean; parts: readonly PartField[] }
type PartField = { name: string; column: Column }

export interface ColumnOptions {
  /** Fields that are objects and stand in columns of their own: `price.amount` in `priceAmount`. */
  parts?: readonly string[] | undefined
  /** Attributes that are called otherwise than their field. */
  as?: Readonly<Record<string, string>> | undefined
}

/** How values of a shape are written as rows of a table, and read from them. */
export interface RowCodec {
  columns: readonly Column[]
  toRow: (value: object) => Record<string, unknown>
  fromRow: (row: object) => Record<string, unknown>
}

/** The columns of a shape, by the kind of each of its fields; lists, objects and unions are JSON. */
export function rowCodec(shape: z.ZodRawShape, { parts = [], as = {} }: ColumnOptions = {}): RowCodec {
  const columnOf = (attribute: string, schema: z.core.$ZodType, isInNullable = false): Column => {
    const { inner, isNullable, isOptional } = unwrapped(schema)
    return {
      attribute: as[attribute] ?? attribute,
      kind: kindOf(inner),
      isNullable: isNullable || isOptional || isInNullable,
      mayBeAbsent: isOptional,
      isNullLeftOut: isOptional && !isNullable,
    }
  }
  const fields = Object.entries(shape).map(([name, schema]): Field => {
    if (!parts.includes(name)) return { name, column: columnOf(name, schema) }
    const { inner, isNullable } = unwrapped(schema)
    const partSchemas = Object.entries((inner as z.ZodObject).shape)
    return {
      name,
      isNullable,
      parts: partSchemas.map(([part, partSchema]) => ({
        name: part,
        column: columnOf(`${name}${part[0]?.toUpperCase()}${part.slice(1)}`, partSchema, isNullable),
      })),
    }
  })
  return {
    columns: fields.flatMap((field) => ('column' in field ? field.column : field.parts.map(({ column }) => column))),
    toRow: (value) => writeFields(fields, value as Record<string, unknown>),
    fromRow: (row) => readFields(fields, (row instanceof Model ? row.dataValues : row) as Record<string, unknown>),
  }
}

/** Fields that a value has not are left out of its row, but those that may be absent: they are null. */
function writeFields(fields: readonly Field[], value: Record<string, unknown>): Record<string, unknown> {
  const row: Record<string, unknown> = {}
  for (const field of fields) {
    const content = value[field.name]
    if (!('column' in field)) {
      if (content !== undefined) Object.assign(row, writeParts(field.parts, content as Record<string, unknown> | null))
    } else if (content !== undefined) row[field.column.attribute] = content
    else if (field.column.mayBeAbsent) row[field.column.attribute] = null
  }
  return row
}

const writeParts = (parts: readonly PartField[], value: Record<string, unknown> | null) =>
  Object.fromEntries(parts.map(({ name, column }) => [column.attribute, value?.[name] ?? null]))

/** Columns that were not asked for are left out. */
function readFields(fields: readonly Field[], row: Record<string, unknown>): Record<string, unknown> {
  const value: Record<string, unknown> = {}
  for (const field of fields) {
    if ('column' in field) readColumn(value, field, row)
    else {
      const parts: Record<string, unknown> = {}
      for (const part of field.parts) readColumn(parts, part, row)
      value[field.name] = field.isNullable && Object.values(parts).includes(null) ? null : parts
    }
  }
  return value
}

function readColumn(value: Record<string, unknown>, { name, column }: PartField, row: Record<string, unknown>): void {
  const content = row[column.attribute]
  if (content === undefined || (content === null && column.isNullLeftOut)) return
  value[name] = column.kind === 'json' ? parsedJsonOf(content) : content
}

/** A schema without what surrounds it, and whether a null or nothing may stand in its place. */
function unwrapped(schema: z.core.$ZodType): { inner: z.core.$ZodType; isNullable: boolean; isOptional: boolean } {
  let inner = schema
  let isNullable = false
  let isOptional = false
  while (
    inner instanceof z.ZodNullable ||
    inner instanceof z.ZodOptional ||
    inner instanceof z.ZodDefault ||
    inner instanceof z.ZodReadonly
  ) {
    isNullable ||= inner instanceof z.ZodNullable
    isOptional ||= inner instanceof z.ZodOptional
    inner = inner.def.innerType
  }
  return { inner, isNullable, isOptional }
}

function kindOf(schema: z.core.$ZodType): ColumnKind {
  if (schema instanceof z.ZodISODateTime) return 'instant'
  if (schema instanceof z.ZodISODate) return 'day'
  if (schema instanceof z.ZodNumber) return 'number'
  if (schema instanceof z.ZodBoolean) return 'yes-no'
  if (schema._zod.bag.Class === Buffer) return 'bytes'
  const isText = schema instanceof z.ZodString || schema instanceof z.ZodStringFormat || schema instanceof z.ZodEnum
  return isText || schema instanceof z.ZodLiteral ? 'text' : 'json'
}

const TYPES = {
  text: DataTypes.TEXT,
  number: DataTypes.DOUBLE,
  'yes-no': DataTypes.BOOLEAN,
  instant: DataTypes.DATE(3),
  day: DataTypes.DATEONLY,
  bytes: DataTypes.BLOB('medium'),
  json: DataTypes.JSON,
} as const

/** A column as Sequelize is told of it; how wide it is, its migration says. */
export const attributeOf = ({ attribute, kind, isNullable }: Column): ModelAttributeColumnOptions => ({
  type: TYPES[kind],
  allowNull: isNullable,
  // MariaDB keeps JSON as text.
  ...(kind === 'json'
    ? {
        get(this: Model) {
          return parsedJsonOf<unknown>(this.getDataValue(attribute))
        },
      }
    : {}),
})
