/** What the catalogue and the core give is read only; a kitchen's own copy is plain data that may change. */
export const copyOf = <T>(data: T) => structuredClone(data) as { -readonly [K in keyof T]: Mutable<T[K]> }
type Mutable<T> = T extends readonly (infer E)[]
  ? Mutable<E>[]
  : T extends object
    ? { -readonly [K in keyof T]: Mutable<T[K]> }
    : T
