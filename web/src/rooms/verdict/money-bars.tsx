import { type MoneyPart, type MoneyPartName, moneyBars } from '@fleam/core/appraisal'
import { leadingComparison } from '@fleam/core/comparison'
import { moneyPartFigure } from '@fleam/core/explanation'
import { minorDigits, roundParts } from '@fleam/core/units'
import { useAppraised } from '../../parts/appraised-context.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import css from './money-bars.module.css'

const PART_WORDS: Readonly<Record<MoneyPartName, string>> = {
  product: 'product',
  labour: 'labour',
  bags: 'bags',
  'by-products': 'by-product credit',
  price: 'price',
  handling: 'handling',
  rejects: 'rejects',
}

/** Where each euro of a portion goes, made above and bought below, on one scale. */
export function MoneyBars() {
  const { document, appraisal, format } = useAppraised()
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const bars = at === null ? null : moneyBars(document, appraisal, at)
  if (!bars || at === null) return null
  const leading = at
  const spent = (parts: readonly MoneyPart[]) => parts.reduce((sum, part) => sum + Math.max(0, part.amount), 0)
  const most = Math.max(spent(bars.make.parts), spent(bars.buy.parts))
  const row = (name: string, { parts, total }: typeof bars.make) => {
    // Rounded parts add up to the rounded total.
    const shown = roundParts(
      parts.map((part) => part.amount),
      minorDigits(document.currency),
      total,
    )
    const share = (amount: number) => `${(amount / most) * 100}%`
    // What comes back is taken off the end of what was spent.
    const given = spent(parts) - total
    return (
      <tr>
        <th scope="row">
          {name}
          <br />
          <strong className="number">{format.money(total)}</strong>
        </th>
        <td>
          <div className={css.moneyBar}>
            {parts.map((part) =>
              part.amount > 0 ? (
                <div
                  key={part.name}
                  className={`${css.moneyPart} ${css[part.name] ?? ''}`}
                  style={{ width: share(part.amount) }}
                />
              ) : null,
            )}
            {given > 0 ? <div className={css.moneyBack} style={{ left: share(total), width: share(given) }} /> : null}
          </div>
          <ul className={css.moneyWords}>
            {parts.map((part, place) =>
              shown[place] === 0 ? null : (
                <li key={part.name}>
                  <span className={`${css.moneyMark} ${css[part.name] ?? ''}`} aria-hidden />{' '}
                  {format.words(PART_WORDS[part.name])}{' '}
                  <OpenFigure explain={() => moneyPartFigure(document, appraisal, leading, part.name)} format={format}>
                    {format.money(shown[place] as number)}
                  </OpenFigure>
                </li>
              ),
            )}
          </ul>
        </td>
      </tr>
    )
  }
  return (
    <section aria-labelledby="euros">
      <h2 id="euros">Where each portion’s money goes</h2>
      <table className={css.moneyBars}>
        <tbody>
          {row('made', bars.make)}
          {row('bought', bars.buy)}
        </tbody>
      </table>
    </section>
  )
}
