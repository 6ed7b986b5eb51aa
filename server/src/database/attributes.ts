import type { Model, ModelStatic } from 'sequelize'

/** The columns of a model in their order, and the values of a row in the same order, for the few statements that are raw. */
export function databaseAttributes<M extends Model>(model: ModelStatic<M>, without: readonly string[] = []) {
  const attributes = Object.entries(model.getAttributes()).filter(([name]) => !without.includes(name))
  const names = attributes.map(([name]) => name)
  return {
    columns: attributes.map(([name, { field }]) => field ?? name),
    valuesOf: (row: object): unknown[] => names.map((name) => (row as Record<string, unknown>)[name] ?? null),
  }
}
