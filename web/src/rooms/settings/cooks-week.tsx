import type { Cook } from '@fleam/contract/kitchen/schemas'
import { type CookWeekIssue, cookWeekCsv, readCookWeek } from '@fleam/core/csv'
import { hoursOfWeek } from '@fleam/core/scheduling'
import { SPECIES, type Species } from '@fleam/core/style'
import { type ChangeEvent, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import ButtonGroup from 'react-bootstrap/ButtonGroup'
import { useCooks } from '../../data/queries.ts'
import { useUpdateCookWeeks } from '../../data/schedule-queries.ts'
import { download } from '../../parts/data-table/csv.ts'
import { WEEKDAYS } from '../../parts/dates.ts'
import { ShiftGrid } from '../../parts/shift-grid.tsx'
import { Failed } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './settings.module.css'

const SKILL_WORDS: Readonly<Record<Species, string>> = { fish: 'fish', 'red-meat': 'meat', poultry: 'birds' }

/** Who is at the board when in a usual week, and may cut what: plans and schedules take it from here. */
export function CooksWeek() {
  const cooks = useCooks()
  const update = useUpdateCookWeeks()
  const format = useFormat()
  if (!cooks.data || cooks.data.length === 0) return null
  const allCooks = cooks.data
  const hoursOn = (at: number) => allCooks.reduce((sum, { week }) => sum + (week ? (hoursOfWeek(week)[at] ?? 0) : 0), 0)
  return (
    <section aria-labelledby="cooks-week">
      <h2 id="cooks-week">Hours at the board</h2>
      <ShiftGrid
        rows={allCooks.map((cook) => ({
          ...{ id: cook.id, name: cook.name },
          more: <Skills cook={cook} onChange={(skills) => update.mutate([{ id: cook.id, week: cook.week, skills }])} />,
        }))}
        columns={WEEKDAYS.map((day, index) => `${day} ${format.quantity(hoursOn(index), 'count')} h`)}
        shifts={allCooks.flatMap(({ id, week }) =>
          (week ?? []).map(({ day, from, until }) => ({ cookId: id, column: day - 1, from, until })),
        )}
        onChange={(cookId, column, shifts) => {
          const cook = allCooks.find(({ id }) => id === cookId)
          if (!cook) return
          const week = [
            ...(cook.week ?? []).filter(({ day }) => day !== column + 1),
            ...shifts.map((shift) => ({ day: column + 1, ...shift })),
          ]
          update.mutate([{ id: cookId, skills: cook.skills, week: week.length > 0 ? week : null }])
        }}
      />
      <p className="form-text">
        Touch + for hours, drag them, or their ends; by keys: arrows move, Shift with arrows makes longer, Delete
        removes. Where nobody has any, every cook counts as there all day.
      </p>
      <WeekFiles cooks={allCooks} />
      {update.isError ? <Failed error={update.error} /> : null}
    </section>
  )
}

/** What a cook may cut; all of it counts as nobody having said. */
function Skills({ cook, onChange }: { cook: Cook; onChange: (skills: Species[] | null) => void }) {
  const skills = cook.skills ?? SPECIES
  return (
    <ButtonGroup size="sm" aria-label={`What ${cook.name} may cut`} className={css.skills}>
      {SPECIES.map((skill) => (
        <Button
          key={skill}
          variant={skills.includes(skill) ? 'dark' : 'outline-dark'}
          aria-pressed={skills.includes(skill)}
          onClick={() => {
            const next = SPECIES.filter((species) => skills.includes(species) !== (species === skill))
            onChange(next.length === SPECIES.length ? null : next)
          }}
        >
          {SKILL_WORDS[skill]}
        </Button>
      ))}
    </ButtonGroup>
  )
}

/** The week as a file, and one taken in: all of it, or nothing and what is wrong with it. */
function WeekFiles({ cooks }: { cooks: readonly Cook[] }) {
  const update = useUpdateCookWeeks()
  const input = useRef<HTMLInputElement>(null)
  const [issues, setIssues] = useState<readonly CookWeekIssue[]>([])
  const take = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    if (!file) return
    const read = readCookWeek(await file.text(), cooks)
    setIssues(read.issues)
    if (read.issues.length === 0) update.mutate(read.cooks)
  }
  return (
    <>
      <div className={css.files}>
        <Button variant="outline-dark" onClick={() => download('cooks-week.csv', cookWeekCsv(cooks))}>
          Week as CSV
        </Button>
        <input ref={input} type="file" accept=".csv,text/csv" hidden onChange={(event) => void take(event)} />
        <Button variant="outline-dark" onClick={() => input.current?.click()}>
          Import a week from CSV
        </Button>
      </div>
      {issues.length > 0 ? (
        <div className="refusal" role="alert">
          <p>Nothing was imported:</p>
          <ul>
            {issues.slice(0, 10).map(({ row, column, message }) => (
              <li key={`${row} ${column}`}>
                Row {row}, {column}: {message}
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      {update.isError ? <Failed error={update.error} /> : null}
    </>
  )
}
