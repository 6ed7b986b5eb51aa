import type { Species, StylePile } from './schema.ts'

/** What is kept, as far as time is concerned. */
export type KeptKind = 'portions' | 'mince' | 'stock-bones'

/** Days in the cold at or below 5 °C, and months frozen for quality. */
export interface KeepingTime {
  chilledDays: number
  frozenMonths: number
}

/** Defaults that defer to local codes and the kitchen's own plan, like every caution; the shorter end of each range. */
const KEEPING: Readonly<Record<Species, Readonly<Record<KeptKind, KeepingTime>>>> = {
  poultry: {
    portions: { chilledDays: 2, frozenMonths: 9 },
    mince: { chilledDays: 1, frozenMonths: 3 },
    'stock-bones': { chilledDays: 2, frozenMonths: 4 },
  },
  'red-meat': {
    portions: { chilledDays: 4, frozenMonths: 6 },
    mince: { chilledDays: 1, frozenMonths: 3 },
    'stock-bones': { chilledDays: 2, frozenMonths: 4 },
  },
  fish: {
    portions: { chilledDays: 1, frozenMonths: 2 },
    mince: { chilledDays: 1, frozenMonths: 2 },
    'stock-bones': { chilledDays: 2, frozenMonths: 4 },
  },
}

const BONES = /bone|back|carcass|frame|head|neck|collar/i
const MINCE = /trim|tips|mince|stew|strip/i

/** How long a pile keeps: a portion pile as portions, others by what their name says they are. */
export function keepingOf(species: Species, pile: Pick<StylePile, 'name' | 'class'>): KeepingTime & { kind: KeptKind } {
  const kind = pile.class === 'primary' ? 'portions' : kindByName(pile.name)
  return { kind, ...KEEPING[species][kind] }
}

function kindByName(name: string): KeptKind {
  if (BONES.test(name)) return 'stock-bones'
  return MINCE.test(name) ? 'mince' : 'portions'
}
