import type { Fact } from '@fleam/core/facts'

/** What a fact says of itself again each time it is sent: when, in which place and who may be said anew, or not at all. */
const SAID_ANEW = ['order', 'takenAt', 'cookId'] as const
/** Decimals that the database keeps of a number. */
const DECIMALS = 9

/**
 * The same fact as the one that is stored. A version before this one named cooks, and what its outbox still holds
 * names none: it is kept all the same, and must not be refused.
 */
export function isSameFact(stored: Fact, sent: Fact): boolean {
  const cookOf = (fact: Fact) => ('cookId' in fact ? fact.cookId : null)
  const isAnother = cookOf(sent) !== null && cookOf(sent) !== cookOf(stored)
  return !isAnother && saidBy(stored) === saidBy(sent)
}

const saidBy = (fact: Fact) =>
  JSON.stringify(
    Object.entries(fact)
      .filter(([field]) => !(SAID_ANEW as readonly string[]).includes(field))
      .map(([field, value]) => [field, typeof value === 'number' ? value.toFixed(DECIMALS) : value])
      .sort(),
  )
