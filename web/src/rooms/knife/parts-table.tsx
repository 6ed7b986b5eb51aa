import { formatNumber, howFarOff, type JudgedCuts, type MeasuringWay } from '@fleam/core'
import Table from 'react-bootstrap/Table'
import { useFormat } from '../../parts/use-format.ts'
import { measuredCuts } from './measured.ts'
import { misfitWords } from './misfit-words.ts'

interface PartsTableProps {
  judged: JudgedCuts
  way: MeasuringWay
  shape: string
}

/** Every part between two lines, from the end where the knife begins. */
export function PartsTable({ judged, way, shape }: PartsTableProps) {
  const format = useFormat()
  const off = howFarOff(way, measuredCuts(way, shape))
  return (
    <section aria-labelledby="parts">
      <h2 id="parts">Cut by cut</h2>
      <Table className="buying-table" responsive>
        <thead>
          <tr>
            <th scope="col">Cut</th>
            <th scope="col">Product</th>
            <th scope="col" className="number">
              Thick, mm
            </th>
            <th scope="col" className="number">
              Weighs about
            </th>
            <th scope="col" className="number">
              Faces, mm
            </th>
            <th scope="col" className="number">
              Worth
            </th>
          </tr>
        </thead>
        <tbody>
          {judged.parts.map((part, at) => (
            <tr key={part.from}>
              <th scope="row">{at + 1}</th>
              <td>
                {part.product ?? 'scrap'}
                {misfitWords(part) ? <span className="quiet"> {misfitWords(part)}</span> : null}
              </td>
              <td className="number">{formatNumber(part.thickness, 0)}</td>
              <td className="number">
                {format.weight(part.weight)} <span className="quiet">± {format.weight(part.weight * off.share)}</span>
              </td>
              <td className="number">
                {formatNumber(part.faces[0], 0)} and {formatNumber(part.faces[1], 0)}
              </td>
              <td className="number">{format.money(part.worth)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </section>
  )
}
