import { type Fact, fact } from '@fleam/core/facts'
import type { Model, ModelStatic, Sequelize } from 'sequelize'
import { type Column, rowCodec } from '../columns.ts'
import { defineModel } from '../table.ts'

/** Fields that share a column with another kind's, or are called otherwise there. */
const AS = {
  order: 'orderNo',
  /** The fact that is taken back, the reading that is moved, or the reading that weighed a measured cut. */
  factId: 'targetId',
  readingId: 'targetId',
  /** Of what part the state of the board is. */
  part: 'mark',
  load: 'loadNo',
  number: 'units',
  weighed: 'grams',
} as const

const codecs = new Map(fact.options.map(({ shape }) => [shape.kind.value, rowCodec(shape, { as: AS })]))
const codecOf = (kind: Fact['kind']) => codecs.get(kind) as ReturnType<typeof rowCodec>

/** One column for each attribute of any kind; a null where a fact is of a kind that has nothing there. */
function columnsOfAll(): Column[] {
  const byAttribute = new Map<string, Column[]>()
  for (const column of [...codecs.values()].flatMap(({ columns }) => columns)) {
    byAttribute.set(column.attribute, [...(byAttribute.get(column.attribute) ?? []), column])
  }
  return [...byAttribute.values()].map((all) => ({
    ...(all[0] as Column),
    isNullable: all.length < codecs.size || all.some(({ isNullable }) => isNullable),
  }))
}
const COLUMNS = columnsOfAll()
/** When it reached the database, by the database's own clock: what other servers look for. */
const RECEIVED: Column = {
  attribute: 'receivedAt',
  kind: 'instant',
  isNullable: true,
  mayBeAbsent: true,
  isNullLeftOut: true,
}
const NOTHING = Object.fromEntries(COLUMNS.map(({ attribute }) => [attribute, null]))

type FieldOf<F> = F extends unknown ? keyof F : never
type ContentOf<F, Field> = F extends unknown ? (Field extends keyof F ? F[Field] : null) : never
/** One fact of any kind: a row is inserted and never changed. Columns that its kind does not have are null. */
export type FactRow = { kitchenId: string } & {
  [Field in FieldOf<Fact> as Field extends keyof typeof AS ? (typeof AS)[Field] : Field]: ContentOf<Fact, Field>
}
type StoredFact = FactRow & { receivedAt: string }
export type FactModel = Model<StoredFact, StoredFact> & StoredFact

/** The table of facts: a kind of fact is its schema, and a column where it has something that no other kind has. */
export const factTable = {
  toRow: (kitchenId: string, value: Fact): FactRow =>
    ({ ...NOTHING, kitchenId, ...codecOf(value.kind).toRow(value) }) as FactRow,
  /** A fact as the device made it; of a row that was read with all columns of its kind. */
  fromRow: (row: FactRow): Fact => codecOf(row.kind).fromRow(row) as unknown as Fact,
  /** The columns that a kind has. */
  attributesOf: (kind: Fact['kind']): string[] => codecOf(kind).columns.map(({ attribute }) => attribute),
  define(database: Sequelize): ModelStatic<FactModel> {
    return defineModel(database, 'Fact', { tableName: 'facts', columns: [...COLUMNS, RECEIVED], key: ['id'] }) as never
  },
}
