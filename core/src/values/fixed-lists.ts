/** The same with lists that whoever reads it does not change: what the type of a schema leaves open. */
export type FixedLists<T> = T extends readonly unknown[]
  ? { readonly [Place in keyof T]: FixedLists<T[Place]> }
  : T extends object
    ? { [Field in keyof T]: FixedLists<T[Field]> }
    : T
