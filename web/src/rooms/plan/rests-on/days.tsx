import { comesOn, daysOf, hoursHeld, hoursOn, rateOf } from '@fleam/core/planning'
import Form from 'react-bootstrap/Form'
import { dayWords } from '../../../parts/dates.ts'
import { NumberField } from '../../../parts/number-field.tsx'
import { SmallTable } from '../../../parts/small-table.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import css from '../plan.module.css'
import { type RestsOnProps, SOURCE_WORDS, ValueCell } from './value-cell.tsx'

/** Which supplier comes on which day, and the hours at the board. */
export function Days({ state, goods }: RestsOnProps) {
  const format = useFormat()
  const { draft, change } = state
  const days = daysOf(draft)
  const setHours = (day: string, hours: number | null) => {
    const others = draft.hours.filter((hour) => hour.day !== day)
    change({ hours: hours === null ? others : [...others, { day, hours }] })
  }
  const setComes = (supplierId: string, day: string, comes: boolean) => {
    const others = draft.deliveries.filter((delivery) => delivery.supplierId !== supplierId || delivery.day !== day)
    change({ deliveries: [...others, { supplierId, day, comes }] })
  }
  return (
    <div className="table-responsive">
      {goods.held.plans.length > 0 ? (
        <p className="quiet">
          Hours, lots and room in the cold are without what is planned in {goods.held.plans.join(', ')}.
        </p>
      ) : null}
      {goods.boardShare.schedules > 0 ? (
        <p className="quiet">
          Of the cooks’ hours {format.share(goods.boardShare.value)} is cutting, as in the last{' '}
          {goods.boardShare.schedules} schedules: set-up, packing and cleaning take the rest.
        </p>
      ) : null}
      <SmallTable heads={['', ...days.map((day) => dayWords(day)), 'Charge', 'Minimum']}>
        {goods.suppliers.map((supplier) => (
          <tr key={supplier.id}>
            <th scope="row">
              {supplier.name}
              <span className="quiet"> {supplier.deliveryDays === null ? 'any day, assumed' : ''}</span>
            </th>
            {days.map((day) => (
              <td key={day}>
                <Form.Check
                  id={`comes-${supplier.id}-${day}`}
                  aria-label={`${supplier.name} comes on ${dayWords(day)}`}
                  checked={comesOn(draft, supplier, day)}
                  onChange={(event) => setComes(supplier.id, day, event.target.checked)}
                />
              </td>
            ))}
            <ValueCell
              state={state}
              of={{ kind: 'supplier', id: supplier.id, field: 'charge' }}
              known={supplier.charge}
              label={`Delivery charge of ${supplier.name}`}
            />
            <ValueCell
              state={state}
              of={{ kind: 'supplier', id: supplier.id, field: 'minimum' }}
              known={supplier.minimum}
              label={`Minimum order of ${supplier.name}`}
            />
          </tr>
        ))}
        <tr>
          <th scope="row">
            Hours at the board
            <span className="quiet"> at {format.money(rateOf(goods))} an hour</span>
          </th>
          {days.map((day) => {
            const hours = draft.hours.find((hour) => hour.day === day)
            const usual = hoursOn(goods, day)
            const held = hoursHeld(goods.held, day)
            return (
              <td key={day} className={css.value}>
                <NumberField
                  label={`Hours at the board on ${dayWords(day)}`}
                  isLabelHidden
                  value={hours?.hours ?? usual.value}
                  max={1200}
                  hint={`${SOURCE_WORDS[hours ? 'plan' : usual.source]}${held > 0 ? `, without ${format.number(held, 1)} h that are planned` : ''}`}
                  onChange={(hours, isValid) => {
                    if (isValid) setHours(day, hours)
                  }}
                />
              </td>
            )
          })}
          <td colSpan={2} />
        </tr>
      </SmallTable>
    </div>
  )
}
