import { type PlannedPile, pricePerKg, pricePerWeight } from '@fleam/core'
import { useKitchen } from '../../parts/kitchen-context.ts'
import { NumberField } from '../../parts/number-field.tsx'

interface PileValuesProps {
  piles: PlannedPile[]
  onChange: (piles: PlannedPile[]) => void
}

const HIGHEST_SHARE = 1

/** What each pile is worth, and how much of it is really used. */
export function PileValues({ piles, onChange }: PileValuesProps) {
  const { units, currency } = useKitchen()
  const per = units === 'metric' ? 'kilo' : 'pound'
  const change = (id: string, changes: Partial<PlannedPile>) =>
    onChange(piles.map((pile) => (pile.id === id ? { ...pile, ...changes } : pile)))
  const shown = (perKg: number | null) => (perKg === null ? null : pricePerWeight(perKg, units).amount)
  const kept = (amount: number | null) => (amount === null ? null : pricePerKg(amount, units))
  return (
    <fieldset>
      <legend>What the piles are worth</legend>
      <table className="pile-values">
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
            <tr key={pile.id}>
              <th scope="row">{pile.name}</th>
              <td>
                <NumberField
                  isLabelHidden
                  label={`Value of ${pile.name}`}
                  min={pile.class === 'waste' ? -1_000_000 : 0}
                  {...(pile.class === 'waste' ? { max: 0 } : {})}
                  value={shown(pile.valuePerKg)}
                  onChange={(amount) => change(pile.id, { valuePerKg: kept(amount) })}
                />
              </td>
              <td>
                {pile.class === 'by-product' ? (
                  <NumberField
                    isLabelHidden
                    label={`Used share of ${pile.name}`}
                    max={HIGHEST_SHARE}
                    value={pile.usedShare}
                    onChange={(usedShare) => change(pile.id, { usedShare })}
                  />
                ) : null}
              </td>
              <td>
                {pile.class === 'by-product' ? (
                  <NumberField
                    isLabelHidden
                    label={`Processing of ${pile.name}`}
                    value={shown(pile.processingPerKg)}
                    onChange={(amount) => change(pile.id, { processingPerKg: kept(amount) })}
                  />
                ) : null}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </fieldset>
  )
}
