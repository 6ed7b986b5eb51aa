import type { Model } from 'sequelize'

/** Reads a JSON column that the driver hands over as text; the same column read as a value is left as it is. */
export const parsedJson = (name: string) => ({
  get(this: Model) {
    const value: unknown = this.getDataValue(name)
    return typeof value === 'string' ? (JSON.parse(value) as unknown) : value
  },
})
