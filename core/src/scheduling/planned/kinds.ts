/** What tasks of planned work are, in the order in which a job goes through them. */
export const WORK_KINDS = ['thaw', 'dry', 'temper', 'cut', 'set', 'cure', 'confit', 'chill', 'pack', 'stock'] as const
export type WorkKind = (typeof WORK_KINDS)[number]
