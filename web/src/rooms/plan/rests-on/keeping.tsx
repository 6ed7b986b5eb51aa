import type { ChangeableField } from '@fleam/core/planning'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { NumberField } from '../../../parts/number-field.tsx'
import { SmallTable } from '../../../parts/small-table.tsx'
import css from '../plan.module.css'
import { type RestsOnProps, ValueCell } from './value-cell.tsx'

/** How long everything keeps, what room it takes, and what is over is worth. */
export function Keeping({ state, goods }: RestsOnProps) {
  const { currency } = useKitchen()
  return (
    <>
      <Form.Group className={css.coldSpace}>
        <NumberField
          label="Room in the cold, kg"
          value={state.draft.coldSpace}
          hint="empty: enough"
          onChange={(coldSpace, isValid) => {
            if (isValid) state.change({ coldSpace })
          }}
        />
      </Form.Group>
      <div className="table-responsive">
        <SmallTable
          heads={[
            'What',
            'Keeps, days',
            'Kilos of one',
            `One over is worth, ${currency}`,
            `Thrown away costs, ${currency}`,
            'Used in a week',
          ]}
        >
          {goods.wholes.map((whole) => (
            <tr key={whole.id}>
              <th scope="row">{whole.name}</th>
              <ValueCell
                state={state}
                of={{ kind: 'whole', id: whole.id, field: 'keepsDays' }}
                known={whole.keepsDays}
                label={`Days that ${whole.name} keeps`}
                wholeFrom={1}
              />
              <ValueCell
                state={state}
                of={{ kind: 'whole', id: whole.id, field: 'cold' }}
                known={whole.cold}
                label={`Kilos of ${whole.name}`}
              />
              <td />
              <td />
              <td />
            </tr>
          ))}
          {goods.products.map((product) => {
            const of = (field: ChangeableField) => ({ kind: 'product', id: product.id, field }) as const
            return (
              <tr key={product.id}>
                <th scope="row">
                  {product.name}
                  <span className="quiet"> {product.unit === 'kg' ? 'a kilo' : 'a portion'}</span>
                </th>
                {product.unit === 'portion' ? (
                  <>
                    <ValueCell
                      state={state}
                      of={of('keepsDays')}
                      known={product.keepsDays}
                      label={`Days that ${product.name} keeps`}
                      wholeFrom={1}
                    />
                    <ValueCell state={state} of={of('cold')} known={product.cold} label={`Kilos of ${product.name}`} />
                  </>
                ) : (
                  <td colSpan={2} />
                )}
                <ValueCell
                  state={state}
                  of={of('surplusValue')}
                  known={product.surplusValue}
                  label={`What ${product.name} over is worth`}
                />
                <ValueCell
                  state={state}
                  of={of('disposal')}
                  known={product.disposal}
                  label={`What throwing ${product.name} away costs`}
                />
                {product.unit === 'kg' && !product.isWaste ? (
                  <ValueCell
                    state={state}
                    of={of('usedPerWeek')}
                    known={product.usedPerWeek}
                    label={`Used of ${product.name} in a week`}
                    unknown="nobody knows: all of it"
                  />
                ) : (
                  <td />
                )}
              </tr>
            )
          })}
        </SmallTable>
      </div>
      {state.draft.changes.length > 0 ? (
        <Button variant="outline-dark" onClick={() => state.change({ changes: [] })}>
          Take back every value said for this plan
        </Button>
      ) : null}
    </>
  )
}
