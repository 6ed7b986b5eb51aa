import { appraise } from '@fleam/core/appraisal'
import { explainParted, type PartedFigure, type PartedValue } from '@fleam/core/buying'
import { explain } from '@fleam/core/explanation'
import { useState } from 'react'
import figureCss from '../../parts/figure.module.css'
import { OpenFigure } from '../../parts/figure.tsx'
import { quoteWords } from '../../parts/price-words.ts'
import { numbers, SmallTable, unseen } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import buyingCss from './buying.module.css'
import { PartPrices } from './part-prices.tsx'

interface PartedTableProps {
  values: readonly PartedValue[]
  marginShare: number
}

/** Styles and suppliers with what their parts leave over, best first; one of them opens to its parts. */
export function PartedTable({ values: all, marginShare }: PartedTableProps) {
  const [openId, setOpenId] = useState<string | null>(null)
  // A style of which nobody has said what its parts are worth would stand there as a loss.
  const values = all.filter((item) => item.worth > 0)
  const silent = [...new Set(all.filter((item) => item.worth <= 0).map((item) => item.form.style))]
  const open = values.find((value) => value.form.id === openId) ?? values[0]
  return (
    <>
      {silent.length > 0 ? (
        <p className="quiet">
          Nothing tells what its parts are worth, so not ranked: {silent.join(', ')}. Say in the Guide, at the cut
          style, what its piles are worth.
        </p>
      ) : null}
      <SmallTable
        heads={[
          'Cut style',
          'From',
          numbers('Parts are worth'),
          numbers('Spent'),
          numbers('Left over'),
          numbers('Each'),
          numbers('Hours'),
          numbers('Left over an hour'),
          unseen('Prices of its parts'),
        ]}
        className={buyingCss.ranking}
        responsive
      >
        {values.map((value, index) => (
          <PartedRow
            key={value.form.id}
            value={value}
            isFirst={index === 0}
            isOpen={open?.form.id === value.form.id}
            onOpen={() => setOpenId(value.form.id)}
          />
        ))}
      </SmallTable>
      {open ? <PartPrices value={open} marginShare={marginShare} /> : null}
    </>
  )
}

interface PartedRowProps {
  value: PartedValue
  isFirst: boolean
  isOpen: boolean
  onOpen: () => void
}

function PartedRow({ value, isFirst, isOpen, onOpen }: PartedRowProps) {
  const format = useFormat()
  const figure = (name: PartedFigure, text: string) => (
    <OpenFigure explain={() => explainParted(value, name)} format={format}>
      {text}
    </OpenFigure>
  )
  return (
    <tr className={isFirst ? buyingCss.first : ''}>
      <th scope="row">{value.form.style}</th>
      <td>
        {value.form.article}
        <br />
        <span className="quiet">
          {value.form.supplier} · {quoteWords(value.form.quote, format)} · {Math.round(value.units)} bought
        </span>
      </td>
      <td className="number">
        {figure('worth', format.money(value.worth))}
        <br />
        <span className={buyingCss.basis}>{worthWords(value)}</span>
      </td>
      <td className="number">
        <OpenFigure
          explain={() => explain(value.document, appraise(value.document), { group: 'cost', figure: 'in' })}
          format={format}
        >
          {format.money(value.cost)}
        </OpenFigure>
      </td>
      <td className="number">{figure('margin', format.money(value.margin))}</td>
      <td className={`number ${buyingCss.cost}`}>{figure('marginPerUnit', format.money(value.marginPerUnit))}</td>
      <td className="number">{format.quantity(value.labourHours, 'count')}</td>
      <td className="number">
        {value.marginPerHour === null ? '–' : figure('marginPerHour', format.money(value.marginPerHour))}
      </td>
      <td>
        <button
          type="button"
          className={figureCss.figure}
          aria-pressed={isOpen}
          aria-label={`Prices of the parts of ${value.form.style}, ${value.form.article}`}
          onClick={onOpen}
        >
          parts
        </button>
      </td>
    </tr>
  )
}

/** Whether the kitchen said what the parts are worth, and what is missing. */
function worthWords({ parts, unvalued }: PartedValue): string {
  const assumed = parts.filter((part) => part.assumedFrom !== null).length
  const missing = unvalued.length > 0 ? `without ${unvalued.join(', ')}` : ''
  const words = [assumed > 0 ? `${assumed} of ${parts.length} assumed` : '', missing]
  return words.filter((word) => word !== '').join('; ')
}
