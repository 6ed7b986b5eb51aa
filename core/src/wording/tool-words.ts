import type { Tool } from '../style/index.ts'

/** What the hand holds, as a cook lays it out. */
export const TOOL_WORDS: Readonly<Record<Tool, string>> = {
  hands: 'bare hands',
  knife: 'knife and steel',
  shears: 'poultry shears',
  saw: 'bone saw, and a cloth for bone dust',
  enzyme: 'enzyme, scale for grams, gloves and dust mask, film',
  scale: 'scale',
}
