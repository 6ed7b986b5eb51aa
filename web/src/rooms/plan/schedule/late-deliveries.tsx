import { addDays, type Day, daysBetween } from '@fleam/core/calendar'
import type { KeptSchedule, Plan } from '@fleam/core/plans'
import { MINUTES_OF_A_DAY } from '@fleam/core/scheduling'
import { clockWords } from '@fleam/core/wording'
import { dayWords } from '../../../parts/dates.ts'
import { DayField } from '../../../parts/day-field.tsx'
import { NumberField } from '../../../parts/number-field.tsx'
import css from './schedule.module.css'

interface LateDeliveriesProps {
  accepted: NonNullable<Plan['accepted']>
  from: Day
  days: number
  late: KeptSchedule['late']
  onChange: (late: KeptSchedule['late']) => void
}

const HOUR = 60
const LAST_HOUR = 24

/** Deliveries that have not come: when each really comes is what the work waits for. */
export function LateDeliveries({ accepted, from, days, late, onChange }: LateDeliveriesProps) {
  const awaited = accepted.expected.filter(({ arrived, lots }) => arrived === null && lots.length === 0)
  const cut = awaited.filter(({ id }) => accepted.planned.some(({ expectedLineId }) => expectedLineId === id))
  if (cut.length === 0) return null
  const say = (expectedLineId: string, comes: number | null) =>
    onChange([
      ...late.filter((delivery) => delivery.expectedLineId !== expectedLineId),
      ...(comes === null ? [] : [{ expectedLineId, comes: Math.max(0, comes) }]),
    ])
  return (
    <section aria-labelledby="late-deliveries" className="no-print">
      <h2 id="late-deliveries">Deliveries it waits for</h2>
      <ul className={css.late}>
        {cut.map(({ id, name, packs, day }) => {
          const comes = late.find((delivery) => delivery.expectedLineId === id)?.comes ?? null
          const at = comes ?? daysBetween(from, day) * MINUTES_OF_A_DAY
          const daysLater = Math.floor(at / MINUTES_OF_A_DAY)
          return (
            <li key={id}>
              <span>
                {packs} × {name}, ordered for {dayWords(day)}
                {comes === null ? '' : `: comes ${dayWords(addDays(from, daysLater))}, ${clockWords(comes)}`}
              </span>
              <DayField
                label={`Day on which ${name} comes`}
                value={addDays(from, daysLater)}
                onChange={(next) => {
                  const place = next === null ? 0 : daysBetween(from, next)
                  if (next === day && at % MINUTES_OF_A_DAY === 0) say(id, null)
                  else if (next !== null && place >= 0 && place <= days) {
                    say(id, place * MINUTES_OF_A_DAY + (at % MINUTES_OF_A_DAY))
                  }
                }}
              />
              <NumberField
                label="Hour it comes"
                value={comes === null ? null : (at % MINUTES_OF_A_DAY) / HOUR}
                max={LAST_HOUR}
                onChange={(hour, isValid) => {
                  if (isValid) say(id, hour === null ? null : daysLater * MINUTES_OF_A_DAY + hour * HOUR)
                }}
              />
            </li>
          )
        })}
      </ul>
      <p className="form-text">“Reschedule what is left” moves the work that waits for a delivery behind it.</p>
    </section>
  )
}
