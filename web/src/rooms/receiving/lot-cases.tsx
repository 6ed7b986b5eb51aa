import { otherLabelWeight, repeatedLabels } from '@fleam/core/receiving'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useFieldArray, useWatch } from 'react-hook-form'
import { v7 as newId } from 'uuid'
import { useScale } from '../../data/scale.ts'
import { FormWeight } from '../../parts/form-fields.tsx'
import { SmallTable, unseen } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { claimOf, type LotDraft } from './lot-draft.ts'
import { ScanCase } from './scan-case.tsx'
import type { LotFormState } from './use-lot-form.ts'

/** Cases of a delivery: scanned or added, weighed one by one, and what is missing. */
export function LotCases({ form }: { form: LotFormState }) {
  const { control, formState } = form
  const draft = useWatch({ control }) as LotDraft
  const { fields, append, remove } = useFieldArray({ control, name: 'cases', keyName: 'key' })
  const refusal = formState.errors.cases?.message ?? formState.errors.cases?.root?.message
  const claim = claimOf(draft)
  const repeated = repeatedLabels(draft.cases)
  const add = () => append({ id: newId(), label: null, serial: null, invoiceWeight: 0, weighed: null })
  return (
    <section aria-labelledby="cases">
      <h2 id="cases">Cases</h2>
      <ScanCase form={form} onAdd={add} />
      {refusal ? (
        <p className="refusal" role="alert">
          {refusal}
        </p>
      ) : null}
      {fields.length > 0 ? (
        <SmallTable heads={['Case', 'On the invoice', 'Weighed', unseen('What to do with it')]} responsive>
          {fields.map((field, index) => (
            <CaseRow key={field.key} form={form} at={index} onRemove={() => remove(index)} />
          ))}
        </SmallTable>
      ) : null}
      {repeated.length > 0 ? (
        <p role="status">
          Case {repeated.map((at) => at + 1).join(', ')} has the label of another case. Two cases alike, or one scanned
          twice?
        </p>
      ) : null}
      {claim ? <ClaimLine claim={claim} /> : null}
    </section>
  )
}

interface CaseRowProps {
  form: LotFormState
  at: number
  onRemove: () => void
}

function CaseRow({ form: { control, setValue }, at, onRemove }: CaseRowProps) {
  const { reading } = useScale()
  const format = useFormat()
  const [lotCase, receivedOn] = useWatch({ control, name: [`cases.${at}`, 'receivedOn'] })
  const settled = reading?.state === 'stable' && reading.grams > 0 ? reading.grams : null
  // A row that is being removed has no case any more.
  if (!lotCase) return null
  return (
    <tr>
      <th scope="row">{lotCase.serial ?? at + 1}</th>
      <td>
        <FormWeight
          control={control}
          name={`cases.${at}.invoiceWeight`}
          label={`Invoice weight of case ${at + 1}`}
          isLabelHidden
        />
        <LabelWeight grams={otherLabelWeight(lotCase.label, lotCase.invoiceWeight, receivedOn)} />
      </td>
      <td>
        <FormWeight control={control} name={`cases.${at}.weighed`} label={`Weight of case ${at + 1}`} isLabelHidden />
      </td>
      <td className="form-actions">
        <Button
          size="sm"
          variant="outline-dark"
          disabled={settled === null}
          aria-label={`Take the scale’s weight for case ${at + 1}`}
          onClick={() => setValue(`cases.${at}.weighed`, settled)}
        >
          {settled === null ? 'Scale' : format.weight(settled)}
        </Button>
        <Button size="sm" variant="outline-dark" aria-label={`Remove case ${at + 1}`} onClick={onRemove}>
          Remove
        </Button>
      </td>
    </tr>
  )
}

/** Asks for a second look where the invoice and the label name two weights. */
function LabelWeight({ grams }: { grams: number | null }) {
  const format = useFormat()
  return grams === null ? null : <Form.Text>The label says {format.weight(grams)}.</Form.Text>
}

function ClaimLine({ claim }: { claim: NonNullable<ReturnType<typeof claimOf>> }) {
  const format = useFormat()
  return (
    <p role="status">
      {format.weight(claim.receivedWeight)} of {format.weight(claim.invoiceWeight)}
      {claim.unweighed > 0 ? `, ${claim.unweighed} not weighed` : ''}.{' '}
      {claim.short > 0 ? (
        <strong>
          {format.weight(claim.short)} short{claim.claim > 0 ? `: ${format.money(claim.claim)} to claim` : ''}.
        </strong>
      ) : claim.unweighed > 0 ? (
        'Nothing is missing so far.'
      ) : (
        'Nothing is missing.'
      )}
    </p>
  )
}
