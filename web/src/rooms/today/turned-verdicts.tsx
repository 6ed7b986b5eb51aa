import type { TurnedRow } from '@fleam/contract/buying/schemas'
import { type PriceChange, turnedVerdict } from '@fleam/core/buying'
import type { Comparison } from '@fleam/core/comparison'
import { explain } from '@fleam/core/explanation'
import { VERDICT_WORDS } from '@fleam/core/wording'
import { Link } from 'react-router-dom'
import { useTurned } from '../../data/buying-queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { PER_WORDS } from '../../parts/price-words.ts'
import { useFormat } from '../../parts/use-format.ts'

/** Verdicts that new prices have turned since their record was made, with what turned them. */
export function TurnedVerdicts() {
  const turned = useTurned()
  if (!turned.data || turned.data.length === 0) return null
  return (
    <section aria-labelledby="turned">
      <h2 id="turned">Verdicts that have turned</h2>
      <ul className="turned">
        {turned.data.map((row) => (
          <TurnedEntry key={row.id} row={row} />
        ))}
      </ul>
    </section>
  )
}

function TurnedEntry({ row: { id, document, changes } }: { row: TurnedRow }) {
  const format = useFormat(document.currency)
  const turned = turnedVerdict(document, changes)
  if (!turned) return null
  const { before, after, turnedBy } = turned
  const cost = (recosted: typeof before) => {
    const amount = recosted.leading?.costPerPortion ?? null
    const pile = (recosted.leading as Comparison).pile
    return amount === null ? null : (
      <OpenFigure
        explain={() =>
          explain(recosted.document, recosted.appraisal, { group: 'pile', pile, figure: 'costPerPortion' })
        }
        format={format}
      >
        {format.money(amount)}
      </OpenFigure>
    )
  }
  const sinceOf = (change: PriceChange) =>
    changes.find(
      (other) =>
        other.kind === change.kind &&
        (other.kind === 'purchase' || (change.kind === 'offer' && other.offer === change.offer)),
    )?.since
  const was = (change: PriceChange) =>
    change.kind === 'purchase'
      ? document.purchase.price.amount
      : (document.offers?.find((offer) => offer.name === change.offer)?.price.amount ?? 0)
  return (
    <li>
      <Link to={`/verdict/${id}`}>
        {document.item}: {document.style.toLowerCase()}
      </Link>{' '}
      has turned from <strong>{VERDICT_WORDS[before.leading?.verdict ?? 'none']}</strong> to{' '}
      <strong className={`verdict-word ${after.leading?.verdict}`}>
        {VERDICT_WORDS[after.leading?.verdict ?? 'none']}
      </strong>
      :{' '}
      {turnedBy.map((change, index) => (
        <span key={change.kind === 'offer' ? change.offer : 'purchase'}>
          {index > 0 ? ' and ' : ''}
          {change.kind === 'purchase' ? `${document.meta?.supplier ?? 'the supplier'} asks` : `${change.offer} costs`}{' '}
          {format.money(change.price.amount)} {PER_WORDS[change.price.per]} instead of {format.money(was(change))}
          {sinceOf(change) ? ` since ${dayWords(sinceOf(change) as string)}` : ''}
        </span>
      ))}
      . A portion of {after.leading?.pile} now costs {cost(after)}, before {cost(before)}; bought ready it is{' '}
      {format.money(after.leading?.buyPerPortionSameWeight ?? 0)}.
    </li>
  )
}
