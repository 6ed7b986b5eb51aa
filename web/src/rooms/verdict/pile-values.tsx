import type { PlannedPile } from '@fleam/core/fabrication'
import { pricePerKg, pricePerWeight } from '@fleam/core/units'
import { memo } from 'react'
import { useKitchen } from '../../data/kitchen-context.ts'
import { NumberField } from '../../parts/number-field.tsx'
import css from './pile-values.module.css'
import type { ChangeAssumptions } from './use-try-out.ts'

interface PileValuesProps {
  piles: PlannedPile[]
  onChange: ChangeAssumptions
}

const HIGHEST_SHARE = 1

/** What each pile is worth, and how much of it is really used. */
export const PileValues = memo(function PileValues({ piles, onChange }: PileValuesProps) {
  const { units, currency } = useKitchen()
  const per = units === 'metric' ? 'kilo' : 'pound'
  return (
    <fieldset>
      <legend>What the piles are worth</legend>
      <table className={css.pileValues}>
        <thead>
          <tr>
            <th scope="col">Pile</th>
            <th scope="col">
              {currency} a {per}
            </th>
            <th scope="col">Used, 0 to 1</th>
            <th scope="col">Work, {currency}</th>
          </tr>
        </thead>
        <tbody>
          {piles.map((pile) => (
            <PileValueRow key={pile.id} pile={pile} onChange={onChange} />
          ))}
        </tbody>
      </table>
    </fieldset>
  )
})

interface PileValueRowProps {
  pile: PlannedPile
  onChange: ChangeAssumptions
}

/** The values of one pile; of sixty, only the one that changes is drawn anew. */
const PileValueRow = memo(function PileValueRow({ pile, onChange }: PileValueRowProps) {
  const { units } = useKitchen()
  const change = (changes: Partial<PlannedPile>) =>
    onChange(({ piles }) => ({
      piles: piles.map((other) => (other.id === pile.id ? { ...other, ...changes } : other)),
    }))
  const shown = (perKg: number | null) => (perKg === null ? null : pricePerWeight(perKg, units).amount)
  const kept = (amount: number | null) => (amount === null ? null : pricePerKg(amount, units))
  return (
    <tr>
      <th scope="row">{pile.name}</th>
      <td>
        <NumberField
          isLabelHidden
          label={`Value of ${pile.name}`}
          min={pile.class === 'waste' ? -1_000_000 : 0}
          {...(pile.class === 'waste' ? { max: 0 } : {})}
          value={shown(pile.valuePerKg)}
          onChange={(amount) => change({ valuePerKg: kept(amount) })}
        />
      </td>
      <td>
        {pile.class === 'by-product' ? (
          <NumberField
            isLabelHidden
            label={`Used share of ${pile.name}`}
            max={HIGHEST_SHARE}
            value={pile.usedShare}
            onChange={(usedShare) => change({ usedShare })}
          />
        ) : null}
      </td>
      <td>
        {pile.class === 'by-product' ? (
          <NumberField
            isLabelHidden
            label={`Processing of ${pile.name}`}
            value={shown(pile.processingPerKg)}
            onChange={(amount) => change({ processingPerKg: kept(amount) })}
          />
        ) : null}
      </td>
    </tr>
  )
})
