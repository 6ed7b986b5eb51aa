import {
  type HeldTask,
  type PlacedTask,
  SCHEDULE_FIGURES,
  type Schedule,
  type ScheduleRequest,
  scheduleFaults,
} from '@fleam/core/scheduling'
import { clockWords } from '@fleam/core/wording'
import Button from 'react-bootstrap/Button'
import { numbers, SmallTable, unseen } from '../../../parts/small-table.tsx'
import { FIGURE_WORDS, FigureOfSchedule } from './figures.tsx'

interface BeforeAndAfterProps {
  request: ScheduleRequest
  held: readonly HeldTask[]
  before: readonly PlacedTask[]
  after: Schedule
  onTake: () => void
  onLeave: () => void
  nameOf: (id: string) => string
  cookName: (id: string | null) => string
}

/** What stands, and what was found for the rest of it, beside each other; nothing changes before it is taken. */
export function BeforeAndAfter({
  request,
  held,
  before,
  after,
  onTake,
  onLeave,
  nameOf,
  cookName,
}: BeforeAndAfterProps) {
  const changed = after.tasks.filter((task) => {
    const was = before.find(({ id }) => id === task.id)
    return was && (Math.abs(was.start - task.start) >= 1 || was.cook !== task.cook)
  })
  return (
    <section aria-labelledby="before-after" className="no-print">
      <h2 id="before-after">Before and after</h2>
      <SmallTable heads={[unseen('Figure'), numbers('before'), numbers('after')]}>
        {SCHEDULE_FIGURES.map((figure) => (
          <tr key={figure}>
            <th scope="row">{FIGURE_WORDS[figure]}</th>
            <td className="number">
              <FigureOfSchedule {...{ request, figure, nameOf }} placed={before} />
            </td>
            <td className="number">
              <FigureOfSchedule {...{ request, figure, nameOf }} placed={after.tasks} />
            </td>
          </tr>
        ))}
        <tr>
          <th scope="row">Does not fit</th>
          <td className="number">{scheduleFaults(request, before, held).length}</td>
          <td className="number">{scheduleFaults(request, after.tasks, held).length}</td>
        </tr>
      </SmallTable>
      <ul>
        {changed.slice(0, 12).map((task) => {
          const was = before.find(({ id }) => id === task.id)
          return (
            <li key={task.id}>
              {nameOf(task.id)}: {was ? `${clockWords(was.start)}${was.cook ? ` ${cookName(was.cook)}` : ''}` : ''} →{' '}
              {clockWords(task.start)} {cookName(task.cook)}
            </li>
          )
        })}
        {changed.length > 12 ? <li>{changed.length - 12} more</li> : null}
      </ul>
      <Button onClick={onTake}>Take the new one</Button>{' '}
      <Button variant="outline-dark" onClick={onLeave}>
        Keep it as it is
      </Button>
    </section>
  )
}
