import type { FigureRef } from '@fleam/core/explanation'
import type { LabourSource } from '@fleam/core/fabrication'
import { useAppraised } from '../../parts/appraised-context.ts'
import { MaybeFigure } from '../../parts/figure.tsx'
import { LABOUR_SOURCE_WORDS } from '../../parts/labour-question.tsx'
import { moneyParts } from './money-parts.ts'

/** Where the weight and the money went, in sums that add up on the page. */
export function Totals({ labourSource }: { labourSource: LabourSource }) {
  const { document, appraisal, format } = useAppraised()
  const { weights, cost } = appraisal
  const money = moneyParts(appraisal, document.currency)
  const line = (
    label: string,
    of: FigureRef,
    value: number | null,
    word: (value: number) => string,
    className = '',
  ) => (
    <div key={label} className={className}>
      <dt>{label}</dt>
      <dd>
        <MaybeFigure of={of} value={value} word={word} />
      </dd>
    </div>
  )
  return (
    <section aria-labelledby="totals">
      <h2 id="totals">Where it went</h2>
      <dl className="sums">
        {line('Purchase', { group: 'cost', figure: 'ap' }, money.ap, format.money)}
        {line(
          format.words(`Labour, ${LABOUR_SOURCE_WORDS[labourSource]}`),
          { group: 'cost', figure: 'labour' },
          money.labour,
          format.money,
        )}
        {line('Bags and the like', { group: 'cost', figure: 'consumables' }, money.consumables, format.money)}
        {line(
          'By-product credit',
          { group: 'cost', figure: 'credit' },
          cost.credit === 0 ? 0 : -money.credit,
          format.money,
        )}
        {line('Net cost', { group: 'cost', figure: 'net' }, money.net, format.money, 'sum')}
        {line('Portion yield', { group: 'weights', figure: 'portionYield' }, weights.portionYield, format.share)}
        {line('Drained yield', { group: 'weights', figure: 'drainedYield' }, weights.drainedYield, format.share)}
        {line(
          format.words('Utilisation'),
          { group: 'weights', figure: 'utilisation' },
          weights.utilisation,
          format.share,
        )}
        {line('Not accounted for', { group: 'weights', figure: 'unaccounted' }, weights.unaccounted, format.weight)}
        {weights.short > 0
          ? line('Short on delivery', { group: 'weights', figure: 'short' }, weights.short, format.weight)
          : null}
        {cost.shortClaim > 0
          ? line('To claim', { group: 'cost', figure: 'shortClaim' }, cost.shortClaim, format.money)
          : null}
      </dl>
    </section>
  )
}
