import type { Species } from './schema.ts'

/** Share of the raw weight that cooking takes, by what is cooked: starting values that a kitchen replaces. */
const BY_NAME: readonly { words: RegExp; loss: number }[] = [{ words: /confit|\blegs?\b/i, loss: 0.35 }]

const BY_SPECIES: Readonly<Record<Species, number>> = { poultry: 0.22, 'red-meat': 0.15, fish: 0.14 }
const ROAST_LAMB = 0.18

/** What cooking is assumed to take from a portion: poultry breast 22 %, confit leg 35, steak 15, roast lamb 18, fish 14. */
export function cookingLossOf(species: Species, item: string, pile: string): number {
  if (species === 'poultry') return BY_NAME.find(({ words }) => words.test(pile))?.loss ?? BY_SPECIES.poultry
  return species === 'red-meat' && /lamb/i.test(item) ? ROAST_LAMB : BY_SPECIES[species]
}
