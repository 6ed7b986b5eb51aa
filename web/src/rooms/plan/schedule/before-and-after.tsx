import { type PlacedTask, type Schedule, type ScheduleRequest, scheduleFaults } from '@fleam/core'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import { clockWords } from '../../../parts/dates.ts'
import { useFormat } from '../../../parts/use-format.ts'

interface BeforeAndAfterProps {
  request: ScheduleRequest
  before: readonly PlacedTask[]
  after: Schedule
  onTake: () => void
  onLeave: () => void
  nameOf: (id: string) => string
  cookName: (id: string | null) => string
}

/** What stands, and what was found for the rest of it, beside each other; nothing changes before it is taken. */
export function BeforeAndAfter({ request, before, after, onTake, onLeave, nameOf, cookName }: BeforeAndAfterProps) {
  const format = useFormat()
  const late = (tasks: readonly PlacedTask[]) =>
    tasks.reduce((sum, { id, end }) => {
      const due = request.tasks.find((task) => task.id === id)?.due ?? null
      return sum + (due === null ? 0 : Math.max(0, end - due))
    }, 0)
  const changed = after.tasks.filter((task) => {
    const was = before.find(({ id }) => id === task.id)
    return was && (Math.abs(was.start - task.start) >= 1 || was.cook !== task.cook)
  })
  return (
    <section aria-labelledby="before-after" className="no-print">
      <h2 id="before-after">Before and after</h2>
      <Table className="list-table">
        <thead>
          <tr>
            <th />
            <th scope="col" className="number">
              before
            </th>
            <th scope="col" className="number">
              after
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Late</th>
            <td className="number">{format.quantity(late(before), 'minutes')}</td>
            <td className="number">{format.quantity(after.lateMinutes, 'minutes')}</td>
          </tr>
          <tr>
            <th scope="row">Does not fit</th>
            <td className="number">{scheduleFaults(request, before).length}</td>
            <td className="number">{scheduleFaults(request, after.tasks).length}</td>
          </tr>
        </tbody>
      </Table>
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
