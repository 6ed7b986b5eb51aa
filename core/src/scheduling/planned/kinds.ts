/** What tasks of planned work are, in the order in which a job goes through them. */
export const WORK_KINDS = [
  'thaw',
  'dry',
  'temper',
  'cut',
  'cold',
  'set',
  'cure',
  'confit-on',
  'confit',
  'confit-off',
  'chill',
  'pack',
  'stock-on',
  'stock',
  'stock-off',
] as const
export type WorkKind = (typeof WORK_KINDS)[number]

/** What takes minutes of whoever is on duty, in the kitchen's hours: it is no work at the board, and no cook is named for it. */
export const isOnDuty = (kind: WorkKind): boolean =>
  kind === 'stock-on' || kind === 'stock-off' || kind === 'confit-on' || kind === 'confit-off'

/** Whoever is on duty, as a cook of a schedule. */
export const ON_DUTY = 'on duty'

/** Cutting, and what goes back into the cold between two parts of it: both belong to a load. */
export const isAtBoard = (kind: WorkKind): boolean => kind === 'cut' || kind === 'cold'
