import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { labourAnswered, labourDoubt } from '@fleam/core/fabrication'
import type { Fact } from '@fleam/core/facts'
import { useCooks, useUpdateFabrication } from '../../data/queries.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { LabourQuestion } from '../../parts/labour-question.tsx'
import { Failed } from '../../parts/states.tsx'
import css from './warnings.module.css'

/** Which minutes hold, of a record that was finished without saying it. */
export function LabourAsked({ record, facts }: { record: FabricationRecord; facts: readonly Fact[] }) {
  const { format } = useAppraised()
  const { data: cooks = [] } = useCooks()
  const change = useUpdateFabrication(record.id)
  if (record.closedAt === null) return null
  const endMs = Date.parse(record.closedAt)
  const doubt = labourDoubt(record, facts, endMs)
  if (!doubt) return null
  const cookName = (id: string) => cooks.find((cook) => cook.id === id)?.name
  return (
    <section className={css.warnings} aria-label="Which minutes are right">
      <LabourQuestion
        doubt={doubt}
        answer={null}
        format={format}
        isBusy={change.isPending}
        onAnswer={(answer) => {
          const { entries, source } = labourAnswered(record, facts, endMs, cookName, answer)
          change.mutate(editOf(record, { labour: [...entries], labourFrom: source }))
        }}
      />
      {change.isError ? <Failed error={change.error} /> : null}
    </section>
  )
}
