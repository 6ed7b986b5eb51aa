import type { ChangeableField } from '@fleam/core/planning'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { SmallTable } from '../../../parts/small-table.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import { type RestsOnProps, ValueCell } from './value-cell.tsx'

/** What a pack of each article holds and costs. */
export function Prices({ state, goods }: RestsOnProps) {
  const { currency } = useKitchen()
  const format = useFormat()
  const supplierOf = (id: string) => goods.suppliers.find((supplier) => supplier.id === id)?.name ?? ''
  const goodsRows = [
    ...goods.wholes.map((whole) => ({
      ...whole,
      kind: 'whole' as const,
      holds: `${whole.pack} ${whole.pack === 1 ? whole.unitName.one : whole.unitName.many}`,
    })),
    ...goods.ready.map((offer) => ({ ...offer, kind: 'ready' as const, holds: 'portions' })),
  ]
  return (
    <div className="table-responsive">
      <SmallTable
        heads={[
          'Article',
          'Supplier',
          'A pack is',
          `A pack costs, ${currency}`,
          'Most packs a delivery',
          'Minutes of unpacking',
        ]}
      >
        {goodsRows.map((goodsRow) => {
          const of = (field: ChangeableField) => ({ kind: goodsRow.kind, id: goodsRow.id, field })
          return (
            <tr key={goodsRow.id}>
              <th scope="row">
                {goodsRow.name}
                {goodsRow.kind === 'ready' && goodsRow.carries !== null ? (
                  <span className="quiet"> {format.weight(goodsRow.carries)} on a plate</span>
                ) : null}
              </th>
              <td>{supplierOf(goodsRow.supplierId)}</td>
              {goodsRow.kind === 'ready' ? (
                <ValueCell
                  state={state}
                  of={of('quantity')}
                  known={goodsRow.quantity}
                  label={`Portions of a pack of ${goodsRow.name}`}
                />
              ) : (
                <td>{goodsRow.holds}</td>
              )}
              <ValueCell state={state} of={of('price')} known={goodsRow.price} label={`Price of ${goodsRow.name}`} />
              <ValueCell
                state={state}
                of={of('mostPacks')}
                known={null}
                label={`Most packs of ${goodsRow.name}`}
                wholeFrom={0}
              />
              {goodsRow.kind === 'ready' ? (
                <ValueCell
                  state={state}
                  of={of('handling')}
                  known={goodsRow.handling}
                  label={`Minutes of unpacking ${goodsRow.name}`}
                />
              ) : (
                <td />
              )}
            </tr>
          )
        })}
      </SmallTable>
    </div>
  )
}
