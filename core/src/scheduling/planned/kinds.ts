/** What tasks of planned work are, in the order in which a job goes through them. */
export const WORK_KINDS = [
  'thaw',
  'dry',
  'temper',
  'cut',
  'cold',
  'set',
  'cure',
  'confit',
  'chill',
  'pack',
  'stock',
] as const
export type WorkKind = (typeof WORK_KINDS)[number]

/** Cutting, and what goes back into the cold between two parts of it: both belong to a load. */
export const isAtBoard = (kind: WorkKind): boolean => kind === 'cut' || kind === 'cold'
