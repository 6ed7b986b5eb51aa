import type { Species } from './schema.ts'

interface BoneRule {
  species: Species
  words: RegExp
  share: number
}

/** Share of a raw portion that is bone, by what it is; the first that fits holds. Boneless things come first. */
const RULES: readonly BoneRule[] = [
  { species: 'poultry', words: /boneless|tenders|cutlets|rolls|leg meat/i, share: 0 },
  { species: 'poultry', words: /boned/i, share: 0.08 },
  { species: 'poultry', words: /supremes/i, share: 0.07 },
  { species: 'poultry', words: /breasts with wing/i, share: 0.1 },
  { species: 'poultry', words: /breasts with ribs|split breasts/i, share: 0.18 },
  { species: 'poultry', words: /front/i, share: 0.22 },
  { species: 'poultry', words: /wings/i, share: 0.45 },
  { species: 'poultry', words: /drumsticks/i, share: 0.3 },
  { species: 'poultry', words: /thighs/i, share: 0.2 },
  { species: 'poultry', words: /\blegs?\b|quarters|halves|flat bird|pieces/i, share: 0.26 },
  { species: 'fish', words: /sections/i, share: 0.22 },
  { species: 'red-meat', words: /back ribs/i, share: 0.45 },
  { species: 'red-meat', words: /racks|cutlets/i, share: 0.2 },
]

/** What of a portion of a pile is assumed to be bone, 0 to 1: starting values that a kitchen may replace. */
export const boneShareOf = (species: Species, pile: string): number =>
  RULES.find((rule) => rule.species === species && rule.words.test(pile))?.share ?? 0
