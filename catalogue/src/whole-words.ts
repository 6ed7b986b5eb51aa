import type { Species } from '@fleam/core/style'

/** What one that is bought whole is called in a sentence. */
export const WHOLE_WORDS: Readonly<Record<Species, string>> = {
  poultry: 'bird',
  fish: 'fish',
  'red-meat': 'whole piece',
}
