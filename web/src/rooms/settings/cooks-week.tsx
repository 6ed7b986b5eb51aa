import type { Cook } from '@fleam/contract'
import Table from 'react-bootstrap/Table'
import { useCooks } from '../../data/queries.ts'
import { useUpdateCooks } from '../../data/settings-queries.ts'
import { WEEKDAYS } from '../../parts/dates.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './settings.module.css'

const HOURS_OF_A_DAY = 24

/** Hours that each cook stands at the board on each day of a usual week: plans take them from here. */
export function CooksWeek() {
  const cooks = useCooks()
  const { change } = useUpdateCooks()
  const format = useFormat()
  if (!cooks.data || cooks.data.length === 0) return null
  const total = (at: number) => cooks.data.reduce((sum, cook) => sum + (cook.weekHours?.[at] ?? 0), 0)
  const set = ({ id, weekHours, ...cook }: Cook, at: number, hours: number) => {
    const next = WEEKDAYS.map((_, place) => (place === at ? hours : (weekHours?.[place] ?? 0)))
    change.mutate({ id, ...cook, weekHours: next.some((each) => each > 0) ? next : null })
  }
  return (
    <section aria-labelledby="cooks-week">
      <h2 id="cooks-week">Hours at the board</h2>
      <div className="table-responsive">
        <Table className={`list-table ${css.week}`}>
          <thead>
            <tr>
              <th scope="col">Cook</th>
              {WEEKDAYS.map((day) => (
                <th key={day} scope="col">
                  {day}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {cooks.data.map((cook) => (
              <tr key={cook.id}>
                <th scope="row">{cook.name}</th>
                {WEEKDAYS.map((day, at) => (
                  <td key={day}>
                    <NumberField
                      label={`Hours of ${cook.name} on ${day}`}
                      isLabelHidden
                      max={HOURS_OF_A_DAY}
                      value={cook.weekHours?.[at] || null}
                      onChange={(hours, isValid) => {
                        if (isValid) set(cook, at, hours ?? 0)
                      }}
                    />
                  </td>
                ))}
              </tr>
            ))}
            <tr>
              <th scope="row">together</th>
              {WEEKDAYS.map((day, at) => (
                <td key={day}>{format.quantity(total(at), 'count')}</td>
              ))}
            </tr>
          </tbody>
        </Table>
      </div>
      {change.isError ? <Failed error={change.error} /> : null}
    </section>
  )
}
