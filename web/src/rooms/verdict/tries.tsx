import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { reprice } from '@fleam/core/appraisal'
import { recost } from '@fleam/core/buying'
import { leadingComparison, minutesPerPortion, yearly } from '@fleam/core/comparison'
import { labourMinutes } from '@fleam/core/costing'
import { checkClaim } from '@fleam/core/fabrication'
import { pricePerKg, pricePerWeight, shownDifference } from '@fleam/core/units'
import { useMemo, useState } from 'react'
import { Link } from 'react-router-dom'
import { useMovedPrices } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { ClaimStrip } from './claim-strip.tsx'
import css from './tries.module.css'

/** Quick questions to the record; nothing here changes it. */
export function Tries({ record }: { record: FabricationRecord }) {
  const { document } = useAppraised()
  return (
    <section aria-labelledby="tries">
      <h2 id="tries">Ask the record</h2>
      <p>
        <Link to="card">Cost factors as a card for the wall</Link> ·{' '}
        <Link to={`/verdict/styles?of=${encodeURIComponent(document.item)}`}>Its cut styles side by side</Link>
      </p>
      <div className={css.verdictColumns}>
        <NewPrice />
        <InAYear record={record} />
        <Claim />
      </div>
    </section>
  )
}

/** Re-costs at another purchase price, by factor and in full. */
function NewPrice() {
  const { document, appraisal, format } = useAppraised()
  const { units } = useKitchen()
  const [amount, setAmount] = useState<number | null>(null)
  const now = pricePerWeight(appraisal.cost.apPricePerKg, units).amount
  const piles = amount === null ? [] : reprice(document, appraisal, pricePerKg(amount, units))
  return (
    <div>
      <NumberField
        label={`If a ${format.perWeightUnit} cost, charges in`}
        hint={`now ${format.number(now, 2)}`}
        value={null}
        onChange={setAmount}
      />
      {piles.map(({ name, byFactor, inFull }) => (
        <p key={name} className={css.answer}>
          A portion of {name}: <strong>{inFull === null ? '–' : format.money(inFull)}</strong> summed in full
          {byFactor === null || inFull === null
            ? ''
            : `, ${format.money(byFactor)} by its factor, ${format.money(Math.abs(shownDifference(byFactor, inFull, document.currency)))} apart because ${format.words('labour')} and by-products do not move with the price`}
          .
        </p>
      ))}
    </div>
  )
}

/** A year of making instead of buying, at today's prices where they have moved since. */
function InAYear({ record }: { record: FabricationRecord }) {
  const { document: recorded, format } = useAppraised()
  const { data: changes } = useMovedPrices(record.id, record.status === 'closed')
  const { document, appraisal } = useMemo(() => recost(recorded, changes ?? []), [recorded, changes])
  const [portions, setPortions] = useState<number | null>(null)
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const comparison = at === null ? undefined : appraisal.comparisons[at]
  const pile = appraisal.piles.find((pile) => pile.name === comparison?.pile)
  if (!comparison || !pile || comparison.saving === null) return null
  const minutes = minutesPerPortion(labourMinutes(document.labour), pile, appraisal.cost.net)
  const year = portions === null || minutes === null ? null : yearly(comparison.saving, portions, minutes)
  return (
    <div>
      <NumberField label={`Portions of ${pile.name} a week`} value={null} onChange={setPortions} />
      {year ? (
        <p className={css.answer}>
          In a year making {year.saving >= 0 ? 'keeps' : 'costs'}{' '}
          <strong className={year.saving > 0 ? 'kept' : ''}>{format.money(Math.abs(year.saving))}</strong>
          {year.saving >= 0 ? '' : ' more'}, and takes {format.number(year.labourHours, 0)} hours at the board
          {(changes ?? []).length > 0 ? ', at today’s prices' : ''}.
        </p>
      ) : null}
    </div>
  )
}

const MAX_PERCENT = 100

/** Which definition of yield a claimed figure fits, or that no weight supports it. */
function Claim() {
  const { appraisal } = useAppraised()
  const [percent, setPercent] = useState<number | null>(null)
  return (
    <div>
      <NumberField label="Somebody claims a yield of, %" max={MAX_PERCENT} value={null} onChange={setPercent} />
      {percent === null ? null : (
        <>
          <p className={css.answer}>{checkClaim(percent / 100, appraisal.weights).sentence}</p>
          <ClaimStrip claimed={percent / 100} />
        </>
      )}
    </div>
  )
}
