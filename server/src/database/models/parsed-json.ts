import type { Model } from 'sequelize'

/** A JSON column of a raw row, which the driver hands over as text; one that was read as a value is left as it is. */
export const parsedJsonOf = <T>(value: T): T => (typeof value === 'string' ? (JSON.parse(value) as T) : value)

/** Reads a JSON column that the driver hands over as text. */
export const parsedJson = (name: string) => ({
  get(this: Model) {
    return parsedJsonOf<unknown>(this.getDataValue(name))
  },
})
