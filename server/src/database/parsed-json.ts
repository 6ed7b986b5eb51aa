/** A JSON column as the driver hands it over, which is text; one that was read as a value is left as it is. */
export const parsedJsonOf = <T>(value: T): T => (typeof value === 'string' ? (JSON.parse(value) as T) : value)
