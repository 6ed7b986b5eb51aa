import type { SetUpPile, Tool } from '../style/index.ts'
import type { Format } from './format.ts'
import { TOOL_WORDS } from './tool-words.ts'

const SPECIES_WORDS = { fish: 'fish', 'red-meat': 'red meat', poultry: 'poultry' } as const

/** What is laid out at a board before the first cut. */
export interface LaidOut {
  jobs: readonly { job: { species: keyof typeof SPECIES_WORDS } }[]
  tools: readonly Tool[]
  piles: readonly (SetUpPile & { of: string })[]
}

export interface SetUpLine {
  words: string
  /** Said more quietly beside it. */
  more: string
}

/** The lines of a set-up list, each to be ticked. */
export function setUpLines({ jobs, tools, piles }: LaidOut, format: Format): SetUpLine[] {
  const species = [...new Set(jobs.map(({ job }) => SPECIES_WORDS[job.species]))]
  return [
    {
      words: 'Clean board on a damp cloth, sanitiser, hand wash within reach, scale with its empty container tared',
      more: '',
    },
    { words: `Mat for ${species.join(', then ')}`, more: '' },
    { words: [...new Set([...tools, 'scale' as const])].map((tool) => TOOL_WORDS[tool]).join(', '), more: '' },
    ...piles.map(({ of, name, grams, pieces }) => ({
      words: `Container and label: ${name}`,
      more: [
        of,
        grams === null ? '' : `about ${format.weight(grams)}`,
        pieces === null ? '' : `${format.quantity(pieces, 'count')} pieces`,
      ]
        .filter((part) => part !== '')
        .join(', '),
    })),
  ]
}
