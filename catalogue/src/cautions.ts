import type { Caution, Species } from './schema.ts'

/** The sentence that stands wherever a caution does. */
export const DEFERS_TO = 'Defaults only. Your local code, your kitchen’s approved plan and licensed practice decide.'

const EVERY_BOARD: readonly Caution[] = [
  {
    id: 'knife',
    place: 'board',
    severity: 'warning',
    source: 'common knife practice',
    text: 'Cut away from the hand, fingers out of the blade’s path; glove on the holding hand at joints; sharp knife, dry handle, board that does not slip.',
  },
  {
    id: 'cold-chain',
    place: 'board',
    severity: 'warning',
    source: 'common food-code default',
    text: 'Keep it at or below 5 °C (41 °F). Back in the cold within 30 minutes on the board, 2 hours above 5 °C in all.',
  },
]

const BY_SPECIES: Readonly<Record<Species, readonly Caution[]>> = {
  poultry: [
    {
      id: 'poultry-last',
      place: 'board',
      severity: 'warning',
      source: 'common food-code default',
      text: 'Poultry is cut last, alone. Do not rinse it: pat it dry. Clean and sanitise board, knife, hands and scale after it.',
    },
    {
      id: 'poultry-core',
      place: 'label',
      severity: 'note',
      source: 'common food-code default',
      text: 'Cook to a core of 74 °C (165 °F). Use portions within 2 days chilled, stock bones within 2.',
    },
  ],
  fish: [],
  'red-meat': [],
}

/** Every caution that belongs to a species at a place, the gravest first. */
export function cautionsFor(species: Species, place: CautionPlaceName): readonly Caution[] {
  const all = [...EVERY_BOARD, ...BY_SPECIES[species]].filter((caution) => caution.place === place)
  return all.sort((a, b) => Number(b.severity === 'warning') - Number(a.severity === 'warning'))
}

type CautionPlaceName = Caution['place']
