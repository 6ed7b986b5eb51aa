import { stockInOrder } from '@fleam/core'
import Table from 'react-bootstrap/Table'
import { Link } from 'react-router-dom'
import { useLots } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { dayIn, dayWords } from '../../parts/dates.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { daysLeftWords, stockLots } from '../../parts/stock-words.ts'
import { useFormat } from '../../parts/use-format.ts'

/** What is in the cold: what must go first at the top, and what is opened. */
export function Component() {
  const lots = useLots()
  const items = useItems()
  const { timeZone } = useKitchen()
  const format = useFormat()
  if (!lots.data || !items.data) {
    return (
      <BuyingRoom title="Cold store">
        {lots.isError ? (
          <Failed error={lots.error} retry={() => void lots.refetch()} />
        ) : (
          <Loading what="what is in the cold" />
        )}
      </BuyingRoom>
    )
  }
  const stock = stockInOrder(stockLots(lots.data, items.data), dayIn(timeZone, new Date()))
  const lotOf = (id: string) => lots.data.find((row) => row.lot.id === id)?.lot
  return (
    <BuyingRoom title="Cold store">
      {stock.length === 0 ? (
        <Empty title="Nothing raw is in the cold">
          <p>
            <Link to="/buying/receiving/new">Take a delivery in</Link>, and it stands here until it is cut.
          </p>
        </Empty>
      ) : (
        <Table className="list-table" responsive>
          <thead>
            <tr>
              <th scope="col">Use by</th>
              <th scope="col">What</th>
              <th scope="col">Lot</th>
              <th scope="col">Supplier</th>
              <th scope="col" className="number">
                Left
              </th>
              <th scope="col">Opened</th>
              <th scope="col">
                <span className="visually-hidden">What to do with it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {stock.map(({ id, left, lastDay, daysLeft, state }) => {
              const lot = lotOf(id)
              return lot ? (
                <tr key={id}>
                  <td className={`use-by ${state}`}>
                    {lastDay ? `${dayWords(lastDay)}, ${daysLeftWords(daysLeft)}` : 'nobody says'}
                  </td>
                  <th scope="row">{lot.item}</th>
                  <td>
                    <Link to={`/buying/lots/${id}`}>{lot.code ?? 'no number'}</Link>
                  </td>
                  <td>{lot.supplier}</td>
                  <td className="number">{format.weight(left)}</td>
                  <td>{lot.openedOn ? dayWords(lot.openedOn) : 'closed'}</td>
                  <td>
                    <Link
                      className="btn btn-outline-dark btn-sm"
                      to={`/bench?lot=${id}`}
                      aria-label={`Cut from lot ${lot.code ?? 'without a number'}`}
                    >
                      Cut from it
                    </Link>
                  </td>
                </tr>
              ) : null
            })}
          </tbody>
        </Table>
      )}
    </BuyingRoom>
  )
}
