import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { judgementOf } from '@fleam/core/appraisal'
import { judgementWords } from '@fleam/core/wording'
import { useQuery } from '@tanstack/react-query'
import { useKitchen } from '../../data/kitchen-context.ts'
import { kitchenQuery } from '../../data/operations.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { useFormat } from '../../parts/use-format.ts'
import css from './warnings.module.css'

/** An answer that was given by earlier formulas and is another one today: both, and what has changed. */
export function JudgedBefore({ record }: { record: FabricationRecord }) {
  const { id } = useKitchen()
  const { appraisal } = useAppraised()
  const format = useFormat(record.currency)
  const query = kitchenQuery(id, fabricationOperations.readJudgement, { fabricationId: record.id })
  const before = useQuery({
    ...query,
    queryKey: [...query.queryKey, record.version],
    enabled: record.status === 'closed',
  })
  const words = before.data ? judgementWords(before.data, judgementOf(appraisal), format) : null
  if (words === null) return null
  return (
    <section className={css.warnings} aria-label="Other formulas">
      <p>
        <strong>Judged by earlier formulas.</strong> {words}
      </p>
    </section>
  )
}
