import type { Cook } from '@fleam/contract/kitchen/schemas'
import { addDays, type Day } from '@fleam/core/calendar'
import type { KeptSchedule } from '@fleam/core/plans'
import { workCooks } from '@fleam/core/plans'
import { shiftsOfDay, type WorkSettings } from '@fleam/core/scheduling'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router-dom'
import { dayWords } from '../../../parts/dates.ts'
import { ShiftGrid } from '../../../parts/shift-grid.tsx'

interface WhoIsOnProps {
  cooks: readonly Cook[]
  from: Day
  days: number
  settings: WorkSettings
  exceptions: KeptSchedule['days']
  onChange: (days: KeptSchedule['days']) => void
}

/** Who is at the board on the days of this plan: as in the week, until somebody says otherwise for a day. */
export function WhoIsOn({ cooks, from, days, settings, exceptions, onChange }: WhoIsOnProps) {
  const working = workCooks(cooks, { away: [], days: exceptions })
  return (
    <section aria-labelledby="who-is-on" className="no-print">
      <h2 id="who-is-on">Who is on</h2>
      <ShiftGrid
        rows={cooks.map(({ id, name }) => ({ id, name }))}
        columns={Array.from({ length: days }, (_, index) => dayWords(addDays(from, index)))}
        shifts={working.flatMap((cook) =>
          Array.from({ length: days }, (_, index) => index).flatMap((column) =>
            shiftsOfDay(cook, column, { from, cooks: working, settings }).map(([begins, ends]) => ({
              ...{ cookId: cook.id, column, from: begins, until: ends },
            })),
          ),
        )}
        onChange={(cookId, day, shifts) =>
          onChange([
            ...exceptions.filter((row) => row.cookId !== cookId || row.day !== day),
            { cookId, day, shifts: shifts.map((shift): [number, number] => [shift.from, shift.until]) },
          ])
        }
      />
      <p className="form-text">
        For this plan alone; the usual week stands in the <Link to="/settings#cooks-week">settings</Link>.{' '}
        {exceptions.length > 0 ? (
          <Button size="sm" variant="link" onClick={() => onChange([])}>
            As in the usual week
          </Button>
        ) : null}
      </p>
    </section>
  )
}
