import { type BuyingForm, SIDE_FIGURES, type SideBySide, type SideFigure } from '@fleam/core/buying'
import { evaluate } from '@fleam/core/explanation'
import Table from 'react-bootstrap/Table'
import { OpenFigure } from '../../parts/figure.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './side-table.module.css'

const HEADS: Readonly<Record<SideFigure, { name: string; isLessBetter: boolean }>> = {
  costPerPlate: { name: 'Cost a plate', isLessBetter: true },
  costPer100gEdible: { name: '100 g edible', isLessBetter: true },
  platesFromOne: { name: 'Plates from one', isLessBetter: false },
  minutesPerPlate: { name: 'Minutes a plate', isLessBetter: true },
  byProductsPerPlate: { name: 'By-products a plate', isLessBetter: false },
  wastePerPlate: { name: 'Waste a plate', isLessBetter: true },
}

interface SideTableProps {
  /** What a row is. */
  head?: string
  sides: readonly SideBySide[]
  nameOf: (form: BuyingForm) => string
}

/** Every form as a row, every figure as a column with bars on one scale; the best of each is marked. */
export function SideTable({ head = 'Cut style or form', sides, nameOf }: SideTableProps) {
  const { smallWeightUnit } = useFormat()
  const amountOf = (side: SideBySide, figure: SideFigure) => {
    const explanation = side.figures[figure]
    return explanation ? evaluate(explanation.expression) : null
  }
  const columns = SIDE_FIGURES.map((figure) => {
    const values = sides.flatMap((side) => amountOf(side, figure) ?? [])
    const best = HEADS[figure].isLessBetter ? Math.min(...values) : Math.max(...values)
    return { figure, most: Math.max(0, ...values), best }
  })
  return (
    <Table className={css.sideTable} responsive>
      <thead>
        <tr>
          <th scope="col">{head}</th>
          {columns.map(({ figure }) => (
            <th key={figure} scope="col">
              {figure === 'costPer100gEdible' ? `${smallWeightUnit} edible` : HEADS[figure].name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {sides.map((side) => (
          <tr key={side.form.id}>
            <th scope="row">
              {nameOf(side.form)}
              <br />
              <span className="quiet">{Math.round(side.count)} bought</span>
            </th>
            {columns.map((column) => (
              <SideCell key={column.figure} side={side} {...column} value={amountOf(side, column.figure)} />
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  )
}

interface SideCellProps {
  side: SideBySide
  figure: SideFigure
  value: number | null
  most: number
  best: number
}

function SideCell({ side, figure, value, most, best }: SideCellProps) {
  const format = useFormat()
  const explanation = side.figures[figure]
  if (value === null || !explanation) {
    return (
      <td>
        <span className="none">–</span>
      </td>
    )
  }
  return (
    <td className={value === best ? css.best : ''}>
      <OpenFigure explain={() => explanation} format={format}>
        {format.quantity(value, explanation.quantity)}
      </OpenFigure>
      <div className={css.sideBar} style={{ width: `${most > 0 ? (value / most) * 100 : 0}%` }} aria-hidden />
    </td>
  )
}
