import { type LossCause, likelyCauses, type PileOutcome } from '@fleam/core'

/** The cause that a number key names: for the first pile without one, among its likely causes. Null where it names none. */
export function causeByKey(
  key: string,
  outcomes: readonly PileOutcome[],
  named: readonly { pile: string }[],
): { pile: string; cause: LossCause } | null {
  const open = outcomes.find(({ pile }) => !named.some((each) => each.pile === pile.name))
  const cause = open && /^[1-9]$/.test(key) ? likelyCauses(open)[Number(key) - 1] : undefined
  return open && cause ? { pile: open.pile.name, cause } : null
}
