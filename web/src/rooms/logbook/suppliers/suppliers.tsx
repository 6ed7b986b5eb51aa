import { dayIn } from '@fleam/core/calendar'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router-dom'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useSupplierCards } from '../../../data/logbook-queries.ts'
import { dayWords } from '../../../parts/dates.ts'
import { Empty, Failed, Loading } from '../../../parts/states.tsx'
import { useView } from '../use-view.ts'
import { SupplierCardFigure } from './supplier-card.tsx'

/** What is known of each supplier, a card each: to be printed for the next talk with them. */
export function Component() {
  const { timeZone } = useKitchen()
  const [today] = useState(() => dayIn(timeZone, new Date()))
  const { filters } = useView(today)
  const cards = useSupplierCards({ from: filters.from, to: filters.to })
  const span = filters.from && filters.to ? `${dayWords(filters.from)} to ${dayWords(filters.to)}` : 'all records'
  return (
    <div className="room">
      <div className="room-heading">
        <h1>Suppliers</h1>
        <Link className="btn btn-outline-dark no-print" to="/logbook">
          Logbook
        </Link>
        <Button variant="outline-dark" className="no-print" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <p className="quiet">Of {span}: one card on each sheet.</p>
      {cards.isError ? <Failed error={cards.error} retry={() => void cards.refetch()} /> : null}
      {cards.data ? (
        cards.data.length > 0 ? (
          cards.data.map((card) => <SupplierCardFigure key={card.id} card={card} today={today} />)
        ) : (
          <Empty title="No supplier brought anything">
            <p>Choose another span in the logbook.</p>
          </Empty>
        )
      ) : cards.isError ? null : (
        <Loading what="the suppliers" />
      )}
    </div>
  )
}
