import { type AbstractDataType, DataTypes, type Model, type ModelStatic } from 'sequelize'

/**
 * The columns of a model in their order, and the values of a row in the same order, for the few statements that are
 * raw: JSON as text, instants as the database reads them.
 */
export function databaseAttributes<M extends Model>(model: ModelStatic<M>, without: readonly string[] = []) {
  const attributes = Object.entries(model.getAttributes()).filter(([name]) => !without.includes(name))
  const names = attributes.map(([name, { type }]) => ({ name, write: writerOf((type as AbstractDataType).key) }))
  return {
    columns: attributes.map(([name, { field }]) => field ?? name),
    valuesOf: (row: object): unknown[] =>
      names.map(({ name, write }) => write((row as Record<string, unknown>)[name] ?? null)),
  }
}

const asItIs = (value: unknown) => value
const writeJson = (value: unknown) => (value === null ? null : JSON.stringify(value))
const writeInstant = (value: unknown) => (value === null ? null : (value as string).replace('T', ' ').replace('Z', ''))

function writerOf(type: string): (value: unknown) => unknown {
  if (type === DataTypes.JSON.key) return writeJson
  return type === DataTypes.DATE.key ? writeInstant : asItIs
}
