import { constant, type Explanation, KILO, minus, over, times, value } from '../explanation/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'

const SECONDS_PER_HOUR = 3600

export interface StepWorthInput {
  /** Extra grams of the pile for one unit. */
  grams: number
  /** What a kilo of that pile is worth, money. */
  valuePerKg: number
  /** Extra seconds for one unit, zero or more. */
  seconds: number
  wagePerHour: number
}

export interface StepWorth {
  /** Money that the step brings for one unit; negative where the seconds cost more than the grams. */
  worth: number
  /** The same for an hour of doing it; null for a step that takes no time. */
  worthPerHour: number | null
  /** Wage at which it brings nothing; null for a step that takes no time. */
  wageAtZero: number | null
  /** How the worth is worked out, with its numbers in it. */
  explanation: Explanation
}

/** Is an optional step worth its time? Grams gained × value against seconds × wage, for one unit. */
export function stepWorth({ grams, valuePerKg, seconds, wagePerHour }: StepWorthInput): StepWorth {
  const gain = (grams / GRAMS_PER_KILOGRAM) * valuePerKg
  const worth = gain - (seconds / SECONDS_PER_HOUR) * wagePerHour
  return {
    worth,
    worthPerHour: seconds > 0 ? worth / (seconds / SECONDS_PER_HOUR) : null,
    wageAtZero: seconds > 0 ? gain / (seconds / SECONDS_PER_HOUR) : null,
    explanation: {
      title: 'What this step is worth, one unit',
      quantity: 'money',
      expression: minus(
        times(
          over(value('grams gained', grams, 'weight'), KILO),
          value('value of the pile', valuePerKg, 'money-per-kg'),
        ),
        times(
          over(value('seconds', seconds, 'count'), constant(SECONDS_PER_HOUR)),
          value('wage', wagePerHour, 'money-per-hour'),
        ),
      ),
    },
  }
}
