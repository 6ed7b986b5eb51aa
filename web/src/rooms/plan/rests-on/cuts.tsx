import type { ChangeableField, PlanGoods } from '@fleam/core/planning'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { SmallTable } from '../../../parts/small-table.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import css from '../plan.module.css'
import { type RestsOnProps, ValueCell } from './value-cell.tsx'

/** What each way to cut gives of one, how long it takes, and whose figures these are. */
export function Cuts({ state, goods }: RestsOnProps) {
  const { currency } = useKitchen()
  const format = useFormat()
  const productOf = (id: string) => goods.products.find((product) => product.id === id)
  if (goods.cuts.length === 0) return <p className="quiet">No priced article gives what is on the menu.</p>
  return (
    <div className="table-responsive">
      <SmallTable
        heads={['Cut', 'Gives of one', 'Minutes', 'Set-up', `Bags, ${currency}`, 'Days of rest', 'Most a day']}
      >
        {goods.cuts.map((cut) => {
          const of = (field: ChangeableField) => ({ kind: 'cut', id: cut.id, field }) as const
          const portions = cut.yields.filter(({ productId }) => productOf(productId)?.unit === 'portion')
          return (
            <tr key={cut.id}>
              <th scope="row">{cut.name}</th>
              <td>
                <SmallTable className={css.inner}>
                  {portions.map((portion) => (
                    <tr key={portion.productId}>
                      <td>
                        {productOf(portion.productId)?.name}
                        <span className="quiet">
                          {' '}
                          {portion.carries === null ? '' : `${format.weight(portion.carries)} each, `}
                          {spreadWords(portion)}
                        </span>
                      </td>
                      <ValueCell
                        state={state}
                        of={{ kind: 'yield', id: cut.id, productId: portion.productId, field: 'quantity' }}
                        known={portion.quantity}
                        label={`Portions of ${productOf(portion.productId)?.name} from ${cut.name}`}
                      />
                    </tr>
                  ))}
                </SmallTable>
              </td>
              <ValueCell state={state} of={of('minutes')} known={cut.minutes} label={`Minutes of ${cut.name}`} />
              <ValueCell state={state} of={of('setUp')} known={cut.setUp} label={`Set-up for ${cut.name}`} />
              <ValueCell state={state} of={of('consumables')} known={cut.consumables} label={`Bags for ${cut.name}`} />
              <ValueCell
                state={state}
                of={of('restDays')}
                known={cut.restDays}
                label={`Days of rest of ${cut.name}`}
                wholeFrom={0}
              />
              <ValueCell
                state={state}
                of={of('mostPerDay')}
                known={null}
                label={`Most a day of ${cut.name}`}
                wholeFrom={0}
              />
            </tr>
          )
        })}
      </SmallTable>
    </div>
  )
}

/** Whose spread makes it safe. */
function spreadWords({ spread, tests }: PlanGoods['cuts'][number]['yields'][number]): string {
  if (spread === 'own') return `${tests} records`
  return spread === 'pooled' ? 'spread of the item’s styles' : 'planned at its mean'
}
