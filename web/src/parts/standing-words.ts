import type { Lot } from '@fleam/contract/receiving/schemas'

export const STANDING_WORDS: Readonly<Record<Lot['standing'], string>> = {
  accepted: 'accepted',
  quarantined: 'in quarantine',
  returned: 'returned',
  refused: 'refused at the door',
}

/** How a lot stands, why, and who said so. */
export const standingWords = ({ standing, standingReason, standingBy }: Lot): string =>
  `${STANDING_WORDS[standing]}: ${standingReason ?? ''}${standingBy === null ? '' : ` (${standingBy})`}`
