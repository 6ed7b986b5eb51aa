import type { PileResult } from '@fleam/core/costing'
import { memo } from 'react'
import Table from 'react-bootstrap/Table'
import { useAppraised } from '../../parts/appraised-context.ts'
import { MaybeFigure } from '../../parts/figure.tsx'
import type { Format } from '../../parts/use-format.ts'
import css from './piles-table.module.css'

const CLASS_WORDS = { primary: 'portions', 'by-product': 'by-product', waste: 'waste' } as const

/** Every pile with what it weighs, gives back and costs. */
export function PilesTable() {
  const { appraisal, format } = useAppraised()
  const heads = [
    'Weight',
    'Share',
    'Credit',
    'Cost',
    `per ${format.perWeightUnit}`,
    'Portions',
    'per portion',
    'On average',
    'Overweight cost',
    'Factor',
  ]
  return (
    <section aria-labelledby="piles">
      <h2 id="piles">Piles</h2>
      <Table className={css.piles} responsive>
        <thead>
          <tr>
            <th scope="col">Pile</th>
            <th scope="col">Kind</th>
            {heads.map((head) => (
              <th key={head} scope="col" className="number">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {appraisal.piles.map((pile, index) => (
            <PileRow key={pile.name} pile={pile} number={index + 1} format={format} />
          ))}
        </tbody>
      </Table>
    </section>
  )
}

interface PileRowProps {
  pile: PileResult
  number: number
  format: Format
}

/** A price that somebody tries out changes few rows of many: the others are not drawn anew. */
const PileRow = memo(
  DrawnRow,
  (before, after) =>
    before.format === after.format && before.number === after.number && isSame(before.pile, after.pile),
)

const isSame = (one: PileResult, other: PileResult) =>
  (Object.keys(one) as (keyof PileResult)[]).every((key) => one[key] === other[key])

function DrawnRow({ pile, number, format }: PileRowProps) {
  const cell = (
    figure: Parameters<typeof MaybeFigure>[0]['of'] & { group: 'pile' },
    value: number | null,
    word: (value: number) => string,
  ) => (
    <td className="number">
      <MaybeFigure of={figure} value={value} word={word} />
    </td>
  )
  const of = <F extends string>(figure: F) => ({ group: 'pile' as const, pile: pile.name, figure })
  const count = (value: number) => format.number(value, 0)
  return (
    <tr className={css[pile.class] ?? ''}>
      <th scope="row">
        <span className={css.pileNumber}>{number}</span> {pile.name}
      </th>
      <td>{CLASS_WORDS[pile.class]}</td>
      {cell(of('weight'), pile.weight, format.weight)}
      {cell(of('share'), pile.share, format.share)}
      {cell(of('credit'), pile.credit, format.money)}
      {cell(of('cost'), pile.cost, format.money)}
      {cell(of('costPerKg'), pile.costPerKg, format.perWeightAmount)}
      {cell(of('portions'), pile.portions, count)}
      {cell(of('costPerPortion'), pile.costPerPortion, format.money)}
      {cell(of('mean'), pile.mean, format.weight)}
      {cell(of('givenAway'), pile.givenAway, format.money)}
      {cell(of('factorPerPortion'), pile.factorPerPortion, (value) => format.quantity(value, 'factor-per-kg'))}
    </tr>
  )
}
