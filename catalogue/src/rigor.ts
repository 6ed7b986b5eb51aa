/** How stiff a fish is, from the catch on; the same words at the door, on the board and in the style. */
export const RIGOR_STATES = ['not yet stiff', 'in rigor', 'just past rigor', 'stale-soft'] as const
