import { addressOf } from '@fleam/contract/client'
import { editOf } from '@fleam/contract/fabrication/edit'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { sheetOperations } from '@fleam/contract/sheet/operations'
import Button from 'react-bootstrap/Button'
import { useNavigate } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useUpdateFabrication } from '../../data/queries.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { AssumptionFields } from './assumption-fields.tsx'
import type { TryOut } from './use-try-out.ts'
import css from './verdict.module.css'

const { exportDocument, exportPiles, readAppraisal } = fabricationOperations

interface AssumptionsProps {
  record: FabricationRecord
  tryOut: TryOut
}

/** What the verdict rests on, each of it to be tried out in place, and the record as open files. */
export function Assumptions({ record, tryOut }: AssumptionsProps) {
  const { format } = useAppraised()
  const kitchen = useKitchen()
  const navigate = useNavigate()
  const change = useUpdateFabrication(record.id)
  const of = { kitchenId: kitchen.id, fabricationId: record.id }
  const sheet = addressOf(sheetOperations.readSheet, { ...of, query: { 'what-if': tryOut.opened?.id } })
  const weighMore = () => {
    if (record.status === 'open') navigate(`/bench/${record.id}`)
    else change.mutate(editOf(record, { status: 'open' }), { onSuccess: () => navigate(`/bench/${record.id}`) })
  }
  return (
    <section aria-labelledby="rests-on" className={css.assumptions}>
      <h2 id="rests-on">Inputs</h2>
      <p className="quiet">
        {format.weight(record.purchase.invoiceWeight)}{' '}
        {record.weightFrom === 'estimated' ? 'estimated, no invoice yet' : 'on the invoice'}. Change a field and
        everything above follows; the record stays as it is until you save it.
      </p>
      <AssumptionFields
        key={tryOut.fieldsKey}
        assumptions={tryOut.assumptions}
        currency={record.currency}
        onChange={tryOut.change}
      />
      <div className="actions">
        <Button variant="outline-dark" onClick={weighMore}>
          Weigh more
        </Button>
        <a className="btn btn-outline-dark" href={addressOf(exportDocument, of)} download>
          Record as JSON
        </a>
        <a className="btn btn-outline-dark" href={addressOf(exportPiles, of)} download>
          Piles as CSV
        </a>
        <a className="btn btn-outline-dark" href={addressOf(readAppraisal, of)} download>
          All figures as JSON
        </a>
        {tryOut.isEdited ? null : (
          <a className="btn btn-outline-dark" href={sheet} target="_blank" rel="noreferrer">
            One page to print, PDF
          </a>
        )}
      </div>
    </section>
  )
}
