import { type Explanation, over, times, value } from '../explanation/index.ts'

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
  const most = mostInTime({ units, minutesPerUnit, cooks, boardMinutes })
  const loads = Math.max(1, Math.ceil(units / most))
  return { perLoad: Math.ceil(units / loads), loads, minutes: units * minutesPerUnit }
}

/** Units that are cut within the limit, at least one; all of them where nobody knows how long one takes. */
const mostInTime = ({ units, minutesPerUnit, cooks, boardMinutes }: LoadsInput): number =>
  minutesPerUnit > 0 ? Math.max(1, Math.floor((boardMinutes * cooks) / minutesPerUnit)) : units

/** The formula of a batch's minutes, or of how many come out of the cold at once, with its numbers in it. */
export function explainLoads(input: LoadsInput, figure: 'minutes' | 'perLoad'): Explanation {
  const { units, minutesPerUnit, cooks, boardMinutes } = input
  const perUnit = value('for one', minutesPerUnit, 'minutes')
  if (figure === 'minutes') {
    return {
      title: 'Minutes of one cook',
      quantity: 'minutes',
      expression: times(value('units', units, 'count'), perUnit),
    }
  }
  const { loads } = batchLoads(input)
  const most = mostInTime(input)
  const by = cooks > 1 ? ` by ${cooks} cooks` : ''
  return {
    title: 'At once out of the cold',
    quantity: 'count',
    expression: over(value('units', units, 'count'), value('loads', loads, 'count')),
    note: `Loads of one size, whole units: no more than ${most} are cut within ${boardMinutes} minutes${by}.`,
  }
}
