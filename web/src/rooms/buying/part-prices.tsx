import { explainPartPrice, type PartedValue } from '@fleam/core/buying'
import { OpenFigure } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import buyingCss from './buying.module.css'

const ASSUMED_WORDS = {
  'price-book': 'assumed: as bought ready',
  'same-product': 'assumed: as in other styles',
  'same-kind': 'assumed: as its like in other styles',
} as const

/** For a shop: what each part must cost so that all of them reach the target margin. */
export function PartPrices({ value, marginShare }: { value: PartedValue; marginShare: number }) {
  const format = useFormat()
  return (
    <section aria-labelledby="part-prices">
      <h2 id="part-prices">
        {value.form.style}, {value.form.article}: a price for each part
      </h2>
      <SmallTable
        heads={[
          'Part',
          numbers('Weight'),
          numbers(`Worth a ${format.perWeightUnit}`),
          numbers('Worth in all'),
          numbers(`For ${format.share(marginShare)}, a ${format.perWeightUnit}`),
        ]}
        responsive
      >
        {value.parts.map((part) => (
          <tr key={part.name}>
            <th scope="row">{part.name}</th>
            <td className="number">{format.weight(part.weight)}</td>
            <td className="number">
              {format.perWeightAmount(part.valuePerKg)}
              {part.assumedFrom ? (
                <>
                  <br />
                  <span className={buyingCss.basis}>{ASSUMED_WORDS[part.assumedFrom]}</span>
                </>
              ) : null}
            </td>
            <td className="number">{format.money(part.worth)}</td>
            <td className="number">
              {part.priceForMargin === null || part.valuePerKg <= 0 ? (
                '–'
              ) : (
                <OpenFigure explain={() => explainPartPrice(value, part, marginShare)} format={format}>
                  {format.perWeightAmount(part.priceForMargin)}
                </OpenFigure>
              )}
            </td>
          </tr>
        ))}
      </SmallTable>
    </section>
  )
}
