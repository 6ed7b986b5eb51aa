import type { PileKind } from '@fleam/core/fabrication'
import type { PileFacts, Species } from '@fleam/core/style'

/** Animals as far as keeping and cooking differ: lamb is cooked as a roast. */
export type Animal = Species | 'lamb'

/** Days in the cold at or below 5 °C, the day of making or opening counted, and months frozen for quality. */
export interface KeepingTime {
  chilledDays: number
  frozenMonths: number
}

/** Defaults that defer to local codes and the kitchen's own plan, like every caution; the shorter end of each range. */
const KEEPING: Readonly<Record<Species, Readonly<Record<'portions' | 'trim' | 'bones' | 'fat', KeepingTime>>>> = {
  poultry: {
    portions: { chilledDays: 2, frozenMonths: 9 },
    trim: { chilledDays: 1, frozenMonths: 3 },
    bones: { chilledDays: 2, frozenMonths: 4 },
    fat: { chilledDays: 2, frozenMonths: 3 },
  },
  'red-meat': {
    portions: { chilledDays: 4, frozenMonths: 6 },
    trim: { chilledDays: 1, frozenMonths: 3 },
    bones: { chilledDays: 2, frozenMonths: 4 },
    fat: { chilledDays: 4, frozenMonths: 3 },
  },
  fish: {
    portions: { chilledDays: 1, frozenMonths: 2 },
    trim: { chilledDays: 1, frozenMonths: 2 },
    bones: { chilledDays: 2, frozenMonths: 4 },
    fat: { chilledDays: 1, frozenMonths: 2 },
  },
}

/** What cooking is assumed to take, as a share of the raw weight: poultry breast 22 %, steak 15, roast lamb 18, fish 14. */
const COOKING_LOSS: Readonly<Record<Animal, number>> = { poultry: 0.22, 'red-meat': 0.15, lamb: 0.18, fish: 0.14 }

const speciesOf = (animal: Animal): Species => (animal === 'lamb' ? 'red-meat' : animal)

/** How long a kind of pile of an animal keeps, and how much cooking takes from it; what is thrown away is not kept. */
export function factsOf(animal: Animal, kind: PileKind, boneShare = 0, loss = COOKING_LOSS[animal]): PileFacts {
  const isKept = kind !== 'liquid' && kind !== 'waste'
  const keeping = isKept ? KEEPING[speciesOf(animal)][kind] : null
  return {
    kind,
    boneShare,
    cookingLoss: loss,
    chilledDays: keeping?.chilledDays ?? null,
    frozenMonths: keeping?.frozenMonths ?? null,
  }
}

/** How long what is whole of an animal keeps once it is opened: as long as its portions. */
export const keepingOpened = (species: Species): KeepingTime => KEEPING[species].portions
