/** Values of a plan that may be said for it alone, by what they are of. */
export const CHANGEABLE = {
  product: ['keepsDays', 'cold', 'surplusValue', 'disposal', 'usedPerWeek'],
  supplier: ['charge', 'minimum'],
  whole: ['price', 'keepsDays', 'cold', 'mostPacks'],
  cut: ['minutes', 'setUp', 'consumables', 'restDays', 'mostPerDay'],
  yield: ['quantity'],
  ready: ['quantity', 'price', 'handling', 'mostPacks'],
} as const
export type ChangeableKind = keyof typeof CHANGEABLE
export type ChangeableField = (typeof CHANGEABLE)[ChangeableKind][number]
