import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { leadingComparison } from '@fleam/core/comparison'
import { assumptionChanges } from '@fleam/core/explanation'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { VERDICT_WORDS } from '@fleam/core/wording'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm } from 'react-hook-form'
import { v7 as newId } from 'uuid'
import { useUpdateFabrication } from '../../data/queries.ts'
import type { useWhatIfs } from '../../data/what-if-queries.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { Failed } from '../../parts/states.tsx'
import { changeWords } from './change-words.ts'
import { labourFromOf, priceFromOf } from './labour-from.ts'
import css from './try-out-bar.module.css'
import type { TryOut } from './use-try-out.ts'
import verdictCss from './verdict.module.css'

interface TryOutBarProps {
  record: FabricationRecord
  /** The record as it was weighed and entered. */
  recorded: FabricationDocument
  tryOut: TryOut
  whatIfs: ReturnType<typeof useWhatIfs>
}

const MAX_WORDED = 4

const firstUpper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** The line between the record and what is only tried out; it stays in sight while one types. */
export function TryOutBar({ record, recorded, tryOut, whatIfs }: TryOutBarProps) {
  const { document, format } = useAppraised()
  const change = useUpdateFabrication(record.id)
  const { opened, isEdited, assumptions } = tryOut
  if (!isEdited && !opened) return null
  const changes = assumptionChanges(recorded, document)
  const worded = changes.slice(0, MAX_WORDED).map((assumptionChange) => changeWords(assumptionChange, format))
  const putIn = () =>
    change.mutate(
      editOf(record, {
        ...assumptions,
        labourFrom: labourFromOf(record, assumptions.labour),
        priceFrom: priceFromOf(record, assumptions),
      }),
      {
        onSuccess: () => tryOut.open(null),
      },
    )
  return (
    <section className={verdictCss.tryOut} aria-label="Tried out">
      <p>
        <strong>{opened && !isEdited ? `What if: ${opened.name}.` : 'Tried out, not in the record.'}</strong>{' '}
        {worded.length === 0 ? 'Nothing is different from the record.' : `${firstUpper(worded.join('; '))}.`}
        {changes.length > MAX_WORDED ? ` And ${changes.length - MAX_WORDED} more.` : ''} <Headline />
      </p>
      <div className={css.tryOutActions}>
        <Button variant="light" onClick={() => tryOut.open(null)}>
          Back to the record
        </Button>
        {isEdited ? <KeepForm tryOut={tryOut} whatIfs={whatIfs} /> : null}
        <Button variant="outline-light" disabled={change.isPending || changes.length === 0} onClick={putIn}>
          Save to record
        </Button>
      </div>
      {change.isError ? <Failed error={change.error} /> : null}
      {whatIfs.create.isError ? <Failed error={whatIfs.create.error} /> : null}
    </section>
  )
}

/** The two amounts again, for somebody who types far below the sentence. */
function Headline() {
  const { appraisal, format } = useAppraised()
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const comparison = at === null ? undefined : appraisal.comparisons[at]
  if (!comparison || comparison.costPerPortion === null || comparison.buyPerPortionSameWeight === null) return null
  return (
    <strong className={css.tryOutAnswer}>
      {format.money(comparison.costPerPortion)} made, {format.money(comparison.buyPerPortionSameWeight)} bought:{' '}
      {VERDICT_WORDS[comparison.verdict ?? 'none']}.
    </strong>
  )
}

/** Keeps what is tried out under a name; of one that is open, under its own name it takes its place. */
function KeepForm({
  tryOut: { opened, assumptions, open },
  whatIfs: { create },
}: Pick<TryOutBarProps, 'tryOut' | 'whatIfs'>) {
  const form = useForm({ defaultValues: { name: opened?.name ?? '' } })
  const submit = form.handleSubmit((values) => {
    const name = values.name.trim()
    const isSame = opened !== null && opened.name === name
    const id = isSame ? opened.id : newId()
    const createdAt = isSame ? opened.createdAt : new Date().toISOString()
    create.mutate({ id, name, assumptions, createdAt }, { onSuccess: () => open(id) })
  })
  return (
    <Form onSubmit={(event) => void submit(event)} className={css.tryOutKeep}>
      <Form.Control
        aria-label="Name of this what-if"
        placeholder="What if …"
        required
        maxLength={120}
        pattern=".*\S.*"
        {...form.register('name')}
      />
      <Button type="submit" variant="light" disabled={create.isPending}>
        Keep as a what-if
      </Button>
    </Form>
  )
}
