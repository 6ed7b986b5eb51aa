import { Link } from 'react-router-dom'
import { dayWords } from '../../parts/dates.ts'
import css from './logbook.module.css'

interface PointsTableProps {
  points: readonly { id: string; day: string; value: number }[]
  header: string
  words: (value: number) => string
}

/** What a chart shows as a table, newest first; each row leads to its record. */
export const PointsTable = ({ points, header, words }: PointsTableProps) => (
  <details className={css.points}>
    <summary>As a table</summary>
    <table className="table table-sm">
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col" className="number">
            {header}
          </th>
        </tr>
      </thead>
      <tbody>
        {[...points].reverse().map(({ id, day, value }) => (
          <tr key={id}>
            <td>
              <Link to={`/verdict/${id}`}>{dayWords(day)}</Link>
            </td>
            <td className="number">{words(value)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </details>
)
