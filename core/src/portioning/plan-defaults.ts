/** Rules of a plan where nobody says others: those of a knife, mm. */
export const DEFAULT_PLAN_RULES = { minScrap: 10, kerf: 0, step: 1 } as const

/** How portions are laid together where a kitchen has set nothing else: mm of thickness, and the share of the worth that it may cost. */
export const USUAL_TOGETHER = { thickness: 10, costsAtMost: 0.01 } as const
