import type { ChangeableField } from '@fleam/core/planning'
import Table from 'react-bootstrap/Table'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useFormat } from '../../../parts/use-format.ts'
import { Heads, type RestsOnProps, ValueCell } from './value-cell.tsx'

/** What a pack of each article holds and costs. */
export function Prices({ state, goods }: RestsOnProps) {
  const { currency } = useKitchen()
  const format = useFormat()
  const supplierOf = (id: string) => goods.suppliers.find((each) => each.id === id)?.name ?? ''
  const goodsRows = [
    ...goods.wholes.map((each) => ({
      ...each,
      kind: 'whole' as const,
      holds: `${each.pack} ${each.pack === 1 ? each.unitName.one : each.unitName.many}`,
    })),
    ...goods.ready.map((each) => ({ ...each, kind: 'ready' as const, holds: 'portions' })),
  ]
  return (
    <div className="table-responsive">
      <Table className="list-table">
        <Heads
          words={[
            'Article',
            'Supplier',
            'A pack is',
            `A pack costs, ${currency}`,
            'Most packs a delivery',
            'Minutes of unpacking',
          ]}
        />
        <tbody>
          {goodsRows.map((each) => {
            const of = (field: ChangeableField) => ({ kind: each.kind, id: each.id, field })
            return (
              <tr key={each.id}>
                <th scope="row">
                  {each.name}
                  {each.kind === 'ready' && each.carries !== null ? (
                    <span className="quiet"> {format.weight(each.carries)} on a plate</span>
                  ) : null}
                </th>
                <td>{supplierOf(each.supplierId)}</td>
                {each.kind === 'ready' ? (
                  <ValueCell
                    state={state}
                    of={of('quantity')}
                    known={each.quantity}
                    label={`Portions of a pack of ${each.name}`}
                  />
                ) : (
                  <td>{each.holds}</td>
                )}
                <ValueCell state={state} of={of('price')} known={each.price} label={`Price of ${each.name}`} />
                <ValueCell
                  state={state}
                  of={of('mostPacks')}
                  known={null}
                  label={`Most packs of ${each.name}`}
                  wholeFrom={0}
                />
                {each.kind === 'ready' ? (
                  <ValueCell
                    state={state}
                    of={of('handling')}
                    known={each.handling}
                    label={`Minutes of unpacking ${each.name}`}
                  />
                ) : (
                  <td />
                )}
              </tr>
            )
          })}
        </tbody>
      </Table>
    </div>
  )
}
