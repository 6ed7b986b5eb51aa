import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import Button from 'react-bootstrap/Button'
import { useUpdateFabrication } from '../../data/queries.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { Failed } from '../../parts/states.tsx'
import css from './warnings.module.css'

/** What to know before trusting the figures, in plain words. */
export function Warnings({ record }: { record: FabricationRecord }) {
  const { appraisal, format } = useAppraised()
  const change = useUpdateFabrication(record.id)
  if (appraisal.warnings.length === 0) return null
  const mayConfirm = appraisal.weights.balance === 'over' && !record.confirmed
  return (
    <section className={css.warnings} aria-label="Before you trust it">
      <ul>
        {appraisal.warnings.map((warning) => (
          <li key={warning.code}>{format.words(warning.message)}</li>
        ))}
      </ul>
      {mayConfirm ? (
        <Button
          variant="outline-dark"
          disabled={change.isPending}
          onClick={() => change.mutate(editOf(record, { confirmed: true }))}
        >
          I have checked the weights: they stand
        </Button>
      ) : null}
      {change.isError ? <Failed error={change.error} /> : null}
    </section>
  )
}
