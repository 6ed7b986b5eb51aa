import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { type PriceChange, type Recosted, recost } from '@fleam/core/buying'
import type { Comparison } from '@fleam/core/comparison'
import { explain } from '@fleam/core/explanation'
import { VERDICT_WORDS } from '@fleam/core/wording'
import { useMovedPrices } from '../../data/buying-queries.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { dayWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { PER_WORDS } from '../../parts/price-words.ts'
import { type Format, useFormat } from '../../parts/use-format.ts'
import css from './warnings.module.css'

/** Prices have moved since a record was made: today's figures beside the record's, before anything is decided by it. */
export function MovedPrices({ record }: { record: FabricationRecord }) {
  const { document } = useAppraised()
  const format = useFormat(record.currency)
  const { data: changes = [] } = useMovedPrices(record.id, record.status === 'closed')
  if (changes.length === 0) return null
  const today = recost(document, changes)
  const was = (change: PriceChange) =>
    change.kind === 'purchase'
      ? document.purchase.price.amount
      : (document.offers?.find((offer) => offer.name === change.offer)?.price.amount ?? 0)
  return (
    <section className={`${css.warnings} moved-prices`} aria-label="Prices have moved">
      <p>
        <strong>Prices have moved.</strong>{' '}
        {changes.map((change, index) => (
          <span key={change.kind === 'offer' ? change.offer : 'purchase'}>
            {index > 0 ? '; ' : ''}
            {change.kind === 'purchase' ? (record.supplier ?? 'the supplier') : change.offer}:{' '}
            {format.money(change.price.amount)} {PER_WORDS[change.price.per]} since {dayWords(change.since)}, here{' '}
            {format.money(was(change))}
          </span>
        ))}
        . {today.leading ? <Today recosted={today} leading={today.leading} format={format} /> : null}
      </p>
    </section>
  )
}

interface TodayProps {
  recosted: Recosted
  leading: Comparison
  format: Format
}

/** What a portion costs made and bought at today's prices, weights and minutes as they were. */
function Today({ recosted: { document, appraisal }, leading, format }: TodayProps) {
  const at = appraisal.comparisons.indexOf(leading)
  if (leading.costPerPortion === null || leading.buyPerPortionSameWeight === null) return null
  return (
    <>
      Today a portion of {leading.pile} costs{' '}
      <OpenFigure
        explain={() => explain(document, appraisal, { group: 'pile', pile: leading.pile, figure: 'costPerPortion' })}
        format={format}
      >
        {format.money(leading.costPerPortion)}
      </OpenFigure>{' '}
      made and{' '}
      <OpenFigure
        explain={() => explain(document, appraisal, { group: 'comparison', at, figure: 'buyPerPortionSameWeight' })}
        format={format}
      >
        {format.money(leading.buyPerPortionSameWeight)}
      </OpenFigure>{' '}
      bought: <strong>{VERDICT_WORDS[leading.verdict ?? 'none']}</strong>.
    </>
  )
}
