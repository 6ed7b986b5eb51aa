import type { Species } from '@fleam/core/style'
import type { Caution, CautionPlace } from './schema.ts'

/** The sentence that stands wherever a caution does. */
export const DEFERS_TO = 'Defaults only. Your local code, your kitchen’s approved plan and licensed practice decide.'

type Words = Omit<Caution, 'id' | 'severity' | 'source'> & Partial<Pick<Caution, 'severity' | 'source'>>
const caution = (id: string, words: Words): Caution => ({
  id,
  severity: 'warning',
  source: 'common food-code default',
  ...words,
})
const KNIFE_PRACTICE = 'common knife practice'

/** Every caution, the gravest for the hand first. */
export const CAUTIONS: readonly Caution[] = [
  caution('saw', {
    places: ['step'],
    species: null,
    source: KNIFE_PRACTICE,
    text: 'Saw: eye protection on, the piece held fast on a cloth, fingers behind the blade. Wrap bone ends before they are trimmed, so that chips do not fly.',
  }),
  caution('glove', {
    places: ['step'],
    species: null,
    source: KNIFE_PRACTICE,
    text: 'Cut-resistant glove on the hand that holds: joints and bones turn the blade.',
  }),
  caution('knife', {
    places: ['step', 'board'],
    species: null,
    source: KNIFE_PRACTICE,
    text: 'Cut away from the hand, fingers out of the blade’s path. Sharp knife, dry handle, board that does not slip: a blunt knife slips.',
  }),
  caution('bonding', {
    places: ['step'],
    species: null,
    text: 'Enzyme powder: gloves and dust mask. Set it for 6 to 12 hours at or below 5 °C (41 °F). From here on the meat counts as non-intact: the old surface is inside. Some mixes hold milk protein: read the packet, it goes on the label.',
  }),
  caution('cold-chain', {
    places: ['board', 'receiving'],
    species: null,
    text: 'Keep it at or below 5 °C (41 °F). Back in the cold within 30 minutes on the board, 2 hours above 5 °C in all.',
  }),
  caution('fish-cold', {
    places: ['step', 'board', 'receiving'],
    species: ['fish'],
    text: 'Fish that can form histamine stays at or below 4 °C (39 °F) throughout. Wild catch: season, bag and size limits.',
  }),
  caution('vacuum-fish', {
    places: ['step', 'receiving'],
    species: ['fish'],
    text: 'A vacuum pack of fish is opened before it thaws: sealed and warm, it can grow what is neither seen nor smelled.',
  }),
  caution('risk-material', {
    places: ['step'],
    species: ['red-meat'],
    text: 'Spinal cord of sheep and cattle comes out before any bone is used: into a marked container of its own, disposed of by the local rule, never to stock, render, mince or pets.',
  }),
  caution('poultry-dry', {
    places: ['step'],
    species: ['poultry'],
    text: 'Do not rinse poultry: splashes carry bacteria across the room. Pat it dry; a wet bird slides too.',
  }),
  caution('poultry-last', {
    places: ['board'],
    species: ['poultry'],
    text: 'Poultry is cut last, alone. Clean and sanitise board, knife, hands and scale after it.',
  }),
  caution('fish-first', {
    places: ['board'],
    species: ['fish'],
    text: 'Fish is cut after ready-to-eat food and before meat, alone. It is an allergen: board, knife and containers are cleaned before and after.',
  }),
  caution('meat-order', {
    places: ['board'],
    species: ['red-meat'],
    text: 'One species at a time: whole red meat after fish, before minced meat, before poultry. Clean board, knife, hands and scale between.',
  }),
  caution('keep-apart', {
    places: ['step'],
    species: null,
    text: 'A container of its own for each pile, clean, and never one that held another species.',
  }),
  caution('bones-felt', {
    places: ['step'],
    species: null,
    text: 'Feel every piece with a fingertip for bone chips, pin bones and cartilage; mark the step done only when you have.',
  }),
  caution('purge', {
    places: ['step', 'receiving'],
    species: ['red-meat', 'fish'],
    text: 'Liquid from the bag is thrown away. Keeping meat in it gives no extra day.',
  }),
  caution('hot-fat', {
    places: ['step'],
    species: null,
    text: 'Rendered fat is hot oil: low heat, dry pieces, never water into hot fat.',
  }),
  caution('game', {
    places: ['board', 'receiving'],
    species: null,
    text: 'Game and wild birds: legal source and inspection as the local rules ask. Feel for shot.',
  }),
  caution('stuffing', {
    places: ['step'],
    species: null,
    text: 'Anything stuffed is cooked until its middle, stuffing and all, is at 74 °C (165 °F). Crumbs hold gluten, some binders milk.',
  }),
  caution('raw-fish', {
    places: ['step', 'cooking'],
    species: ['fish'],
    text: 'Served raw or lightly cured, it needs the parasite freezing that the code sets.',
  }),
  caution('thawing', {
    places: ['receiving'],
    species: null,
    severity: 'note',
    text: 'Thaw in the refrigerator, about a day for each 2 kg of bird, in a tray below ready-to-eat food.',
  }),
  caution('poultry-core', {
    places: ['cooking', 'label'],
    species: ['poultry'],
    severity: 'note',
    text: 'Cook to a core of 74 °C (165 °F), at once or as long as the local code says. Portions keep 2 days chilled or 9 months frozen, stock bones 2 days or 4 months.',
  }),
  caution('fish-core', {
    places: ['cooking', 'label'],
    species: ['fish'],
    severity: 'note',
    text: 'Cook to a core of 63 °C (145 °F), held for 15 seconds. Fish keeps 1 to 2 days chilled, 2 to 6 months frozen, fat fish for less. Allergen: fish.',
  }),
  caution('meat-core', {
    places: ['cooking', 'label'],
    species: ['red-meat'],
    severity: 'note',
    text: 'Whole-muscle beef and lamb: core of 63 °C (145 °F), held for 15 seconds or rested for 3 minutes, as the local code has it; rarer only with the notice that the code asks for. Portions keep 4 days chilled; minced or cubed trim 1 to 2, cooked to 71 °C (160 °F).',
  }),
  caution('bonded-label', {
    places: ['cooking', 'label'],
    species: ['red-meat'],
    severity: 'note',
    text: 'Bonded portions: label as formed or reformed meat, list the enzyme, cook as the code asks for non-intact meat, commonly 68 °C (155 °F) held for 17 seconds, 74 °C (165 °F) where stuffed; 3 days chilled after setting.',
  }),
]

const byId = new Map(CAUTIONS.map((caution) => [caution.id, caution]))
export const cautionById = (id: string): Caution | undefined => byId.get(id)

/** Every caution of a species at a place, the gravest first. Those of game and bonding stand only where a style names them. */
export function cautionsFor(species: Species, place: CautionPlace): readonly Caution[] {
  return CAUTIONS.filter(
    (caution) =>
      caution.places.includes(place) &&
      (caution.species === null || caution.species.includes(species)) &&
      caution.id !== 'game' &&
      caution.id !== 'bonded-label',
  ).sort((a, b) => Number(b.severity === 'warning') - Number(a.severity === 'warning'))
}
