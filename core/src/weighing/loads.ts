/** What decides how much of a batch is out of the cold at once. */
export interface LoadsInput {
  /** Birds, fish, loins or racks in the batch, at least 1. */
  units: number
  /** Minutes of one cook for one of them; zero where nobody knows. */
  minutesPerUnit: number
  /** Cooks at work, at least 1. */
  cooks: number
  /** How long a load may be on the board at a stretch, minutes. */
  boardMinutes: number
}

/** A batch in loads, each back in the cold within the limit. */
export interface Loads {
  /** Units of one load; the last may have fewer. */
  perLoad: number
  loads: number
  /** Cooks' minutes in all. */
  minutes: number
}

/**
 * The fewest loads of about one size that are each cut within the limit; one unit at a time where even one takes
 * longer, and all at once where nobody knows how long it takes.
 */
export function batchLoads({ units, minutesPerUnit, cooks, boardMinutes }: LoadsInput): Loads {
  const most = minutesPerUnit > 0 ? Math.max(1, Math.floor((boardMinutes * cooks) / minutesPerUnit)) : units
  const loads = Math.max(1, Math.ceil(units / most))
  return { perLoad: Math.ceil(units / loads), loads, minutes: units * minutesPerUnit }
}
