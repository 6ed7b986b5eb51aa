import type { FabricationRecord } from '@fleam/contract'
import { editOf } from '@fleam/contract'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Offcanvas from 'react-bootstrap/Offcanvas'
import { useNavigate } from 'react-router-dom'
import { fabricationPath, useChangeFabrication } from '../../data/queries.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { useKitchen } from '../../parts/kitchen-context.ts'
import { AssumptionsForm } from './assumptions-form.tsx'
import { ALLOCATION_WORDS, POLICY_WORDS } from './policy-words.ts'

/** What the verdict rests on, where to change it, and the record as open files. */
export function Assumptions({ record }: { record: FabricationRecord }) {
  const { document, appraisal, format } = useAppraised()
  const kitchen = useKitchen()
  const navigate = useNavigate()
  const change = useChangeFabrication(record.id)
  const [isOpen, setOpen] = useState(false)
  const { price } = document.purchase
  const path = fabricationPath(kitchen.id, record.id)
  const weighMore = () => {
    if (record.status === 'open') navigate(`/bench/${record.id}`)
    else change.mutate(editOf(record, { status: 'open' }), { onSuccess: () => navigate(`/bench/${record.id}`) })
  }
  return (
    <section aria-labelledby="rests-on">
      <h2 id="rests-on">What it rests on</h2>
      <p>
        {format.weight(document.purchase.invoiceWeight)} at {format.money(price.amount)} per {price.per};{' '}
        {(document.labour ?? [])
          .map((each) => `${each.minutes} min to ${each.task} at ${format.money(each.ratePerHour)} an hour`)
          .join(', ') || 'no labour'}
        . By-products count {POLICY_WORDS[document.creditPolicy].name}; the cost is spread{' '}
        {ALLOCATION_WORDS[appraisal.cost.allocation]}.
      </p>
      <div className="actions">
        <Button className="main-action" onClick={() => setOpen(true)}>
          Change prices, values, labour
        </Button>
        <Button variant="outline-dark" onClick={weighMore}>
          Weigh more
        </Button>
        <a className="btn btn-outline-dark" href={`${path}/document.json`} download>
          Record as JSON
        </a>
        <a className="btn btn-outline-dark" href={`${path}/piles.csv`} download>
          Piles as CSV
        </a>
        <a className="btn btn-outline-dark" href={`${path}/appraisal.json`} download>
          All figures as JSON
        </a>
        <Button variant="outline-dark" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <Offcanvas
        show={isOpen}
        onHide={() => setOpen(false)}
        placement="end"
        className="assumptions"
        aria-labelledby="assumptions-title"
      >
        <Offcanvas.Header closeButton>
          <Offcanvas.Title as="h2" id="assumptions-title">
            What it rests on
          </Offcanvas.Title>
        </Offcanvas.Header>
        <Offcanvas.Body>
          <AssumptionsForm record={record} onSaved={() => setOpen(false)} />
        </Offcanvas.Body>
      </Offcanvas>
    </section>
  )
}
