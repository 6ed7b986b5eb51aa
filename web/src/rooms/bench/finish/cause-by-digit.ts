import { type LossCause, likelyCauses, type PileOutcome } from '@fleam/core/weighing'

/** The cause that a number key names: for the first pile without one, among its likely causes. Null where it names none. */
export function causeByDigit(
  digit: number | null,
  outcomes: readonly PileOutcome[],
  named: readonly { pileId: string }[],
  species: string | null,
): { pileId: string; cause: LossCause } | null {
  const open = outcomes.find(({ pile }) => !named.some((entry) => entry.pileId === pile.id))
  const cause = open && digit !== null ? likelyCauses(open, species)[digit - 1] : undefined
  return open && cause ? { pileId: open.pile.id, cause } : null
}
