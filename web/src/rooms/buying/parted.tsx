import { type PartedValue, partedValue, rankParted, type WholeForm } from '@fleam/core/buying'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { firstItem, ItemChoice, WithForms } from '../../parts/item-choice.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { PartedTable } from './parted-table.tsx'

type Order = 'marginPerUnit' | 'marginPerHour'
const USUAL_MARGIN_PERCENT = 30

/** What something whole is worth parted, in every cut style and from every supplier. */
export function Component() {
  const { wagePerHour, currency } = useKitchen()
  const items = useItems().data
  const [chosen, setChosen] = useState<string | null>(null)
  const itemId = chosen ?? firstItem(items)
  const [units, setUnits] = useState<number | null>(6)
  const [percent, setPercent] = useState<number | null>(USUAL_MARGIN_PERCENT)
  const [order, setOrder] = useState<Order>('marginPerUnit')
  const request = {
    units: Math.max(1, units ?? 1),
    wagePerHour,
    currency,
    marginShare: Math.min(0.95, (percent ?? 0) / 100),
  }
  return (
    <BuyingRoom title="Whole or in parts">
      <div className="question">
        <ItemChoice itemId={itemId} onChoose={setChosen} />
        <NumberField label="Cut at once" value={units} onChange={setUnits} min={1} />
        <NumberField
          label="Target margin, %"
          value={percent}
          onChange={setPercent}
          max={95}
          hint="of the selling price, for a shop"
        />
        <Form.Group controlId="order">
          <Form.Label>Best first by</Form.Label>
          <Form.Select value={order} onChange={(event) => setOrder(event.target.value as Order)}>
            <option value="marginPerUnit">what each leaves over</option>
            <option value="marginPerHour">what an hour of work brings</option>
          </Form.Select>
        </Form.Group>
      </div>
      <WithForms itemId={itemId}>
        {(forms) => <PartedTable values={valuesOf(forms, request, order)} marginShare={request.marginShare} />}
      </WithForms>
    </BuyingRoom>
  )
}

function valuesOf(
  forms: readonly WholeForm[],
  request: Parameters<typeof partedValue>[1],
  order: Order,
): PartedValue[] {
  return rankParted(
    forms.flatMap((form) => partedValue(form, request) ?? []),
    order,
  )
}
