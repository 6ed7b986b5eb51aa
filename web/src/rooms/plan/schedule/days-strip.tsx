import { addDays, type Day } from '@fleam/core/calendar'
import { cuttingMinutes, type FollowedTask, MINUTES_OF_A_DAY } from '@fleam/core/scheduling'
import { dayWords } from '../../../parts/dates.ts'
import { useFormat } from '../../../parts/use-format.ts'
import { daysWithWork, hoursShown, tasksOn } from './day-shown.ts'
import type { LanesProps } from './lane-row.tsx'
import { isIn, laneKey, lanesOf } from './moved.ts'
import css from './schedule.module.css'

interface DaysStripProps extends Pick<LanesProps, 'work' | 'jobs' | 'faults'> {
  from: Day
  days: number
  placed: readonly FollowedTask[]
  chosen: number
  onChoose: (day: number) => void
}

/** All days of a plan beside each other, each with its work in small; one with work is chosen by touch. */
export function DaysStrip({ from, days, placed, work, jobs, faults, chosen, onChoose }: DaysStripProps) {
  const format = useFormat()
  const busy = daysWithWork(placed, days)
  const shown = Array.from({ length: Math.max(days, (busy.at(-1) ?? 0) + 1) }, (_, index) => index)
  const lanes = lanesOf(work.request, { by: 'cook', own: [] })
  // One scale for all of them: the hours of the day in which anything is done on any.
  const spans = busy.map((day) => {
    const { first, last } = hoursShown(tasksOn(placed, day), day, lanes)
    return [first - day * MINUTES_OF_A_DAY, last - day * MINUTES_OF_A_DAY] as const
  })
  const first = Math.min(...spans.map(([begins]) => begins))
  const last = Math.max(...spans.map(([, ends]) => ends))
  const speciesOf = new Map(
    work.tasks.map(({ id, jobId }) => [id, jobs.find((job) => job.id === jobId)?.species ?? '']),
  )
  const late = new Set(faults.flatMap(({ task, rule }) => (rule === 'late' ? [task] : [])))
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset is for what is filled in.
    <div role="group" aria-label="Day" className={css.strip}>
      {shown.map((day) => {
        const cooksTasks = tasksOn(placed, day).filter(({ cook }) => cook !== null)
        const words = dayWords(addDays(from, day))
        if (!busy.includes(day)) {
          return (
            <div key={day} className={css.stripDay}>
              {words}
              <span className="quiet">nothing</span>
            </div>
          )
        }
        const minutes = cuttingMinutes(cooksTasks)
        const place = (at: number) => `${((at - day * MINUTES_OF_A_DAY - first) / (last - first)) * 100}%`
        return (
          <button
            key={day}
            type="button"
            className={css.stripDay}
            aria-pressed={day === chosen}
            onClick={() => onChoose(day)}
          >
            {words}
            <span className="quiet">
              {minutes > 0 ? `${format.quantity(minutes, 'minutes')} of cutting` : 'no cutting'}
            </span>
            {cooksTasks.some(({ id }) => late.has(id)) ? <span className={css.stripLate}>late</span> : null}
            <span className={css.stripRows} aria-hidden>
              {lanes.map((lane) => (
                <span key={laneKey(lane)} className={css.stripRow}>
                  {cooksTasks
                    .filter((task) => isIn(lane, task))
                    .map(({ id, start, end }) => (
                      <span
                        key={id}
                        className={`${css.stripBar} ${css[speciesOf.get(id) ?? ''] ?? ''}`}
                        style={{ left: place(start), width: `calc(${place(end)} - ${place(start)})` }}
                      />
                    ))}
                </span>
              ))}
            </span>
          </button>
        )
      })}
    </div>
  )
}
