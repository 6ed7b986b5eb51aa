import { otherLabelWeight, repeatedLabels } from '@fleam/core'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Table from 'react-bootstrap/Table'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useScale } from '../../data/scale.ts'
import { dayIn } from '../../parts/dates.ts'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { claimOf, type LotDraft, scanned } from './lot-draft.ts'

interface LotCasesProps {
  draft: LotDraft
  onChange: (draft: LotDraft) => void
}

/** Cases of a delivery: scanned or added, weighed one by one, and what is missing. */
export function LotCases({ draft, onChange }: LotCasesProps) {
  const { timeZone } = useKitchen()
  const format = useFormat()
  const { reading } = useScale()
  const [text, setText] = useState('')
  const [refusal, setRefusal] = useState('')
  const [takenBy, setTakenBy] = useState<Readonly<Record<string, number>>>({})
  const settled = reading?.state === 'stable' && reading.grams > 0 ? reading.grams : null
  const claim = claimOf(draft)
  const repeated = repeatedLabels(draft.cases)
  const scan = (event: FormEvent) => {
    event.preventDefault()
    const result = scanned(draft, text, dayIn(timeZone, new Date()), newId())
    if (!result.ok) return setRefusal(result.words)
    setRefusal('')
    setText('')
    onChange(result.draft)
  }
  const changeCase = (id: string, changes: Partial<LotDraft['cases'][number]>) =>
    onChange({ ...draft, cases: draft.cases.map((each) => (each.id === id ? { ...each, ...changes } : each)) })
  // A field is drawn anew when the scale fills it; while somebody types it stays.
  const takeScale = (id: string) => {
    changeCase(id, { weighed: settled })
    setTakenBy({ ...takenBy, [id]: (takenBy[id] ?? 0) + 1 })
  }
  const add = () =>
    onChange({
      ...draft,
      cases: [...draft.cases, { id: newId(), label: null, serial: null, invoiceWeight: 0, weighed: null }],
    })
  return (
    <section aria-labelledby="cases">
      <h2 id="cases">Cases</h2>
      <Form onSubmit={scan} className="form-actions">
        <Form.Control
          aria-label="Scan the case label"
          placeholder="scan the case label, or type it with its brackets"
          value={text}
          maxLength={400}
          autoComplete="off"
          isInvalid={refusal !== ''}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            // A scanner ends fields with a separator that a text field would swallow.
            if (event.key === ']' && event.ctrlKey) {
              event.preventDefault()
              setText(`${text}\u001d`)
            }
          }}
        />
        <Button type="submit" variant="outline-dark">
          Read
        </Button>
        <Button variant="outline-dark" onClick={add}>
          Add without a label
        </Button>
      </Form>
      {refusal ? (
        <p className="refusal" role="alert">
          {refusal}
        </p>
      ) : null}
      {draft.cases.length > 0 ? (
        <Table className="list-table" responsive>
          <thead>
            <tr>
              <th scope="col">Case</th>
              <th scope="col">On the invoice</th>
              <th scope="col">Weighed</th>
              <th scope="col">
                <span className="visually-hidden">What to do with it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {draft.cases.map((each, at) => (
              <tr key={each.id}>
                <th scope="row">{each.serial ?? at + 1}</th>
                <td>
                  <WeightField
                    label={`Invoice weight of case ${at + 1}`}
                    isLabelHidden
                    grams={each.invoiceWeight || null}
                    onChange={(grams) => changeCase(each.id, { invoiceWeight: grams ?? 0 })}
                  />
                  <LabelWeight grams={otherLabelWeight(each.label, each.invoiceWeight, draft.receivedOn)} />
                </td>
                <td>
                  <WeightField
                    key={takenBy[each.id] ?? 0}
                    label={`Weight of case ${at + 1}`}
                    isLabelHidden
                    grams={each.weighed}
                    onChange={(weighed) => changeCase(each.id, { weighed })}
                  />
                </td>
                <td className="form-actions">
                  <Button
                    size="sm"
                    variant="outline-dark"
                    disabled={settled === null}
                    aria-label={`Take the scale’s weight for case ${at + 1}`}
                    onClick={() => takeScale(each.id)}
                  >
                    {settled === null ? 'Scale' : format.weight(settled)}
                  </Button>
                  <Button
                    size="sm"
                    variant="outline-dark"
                    aria-label={`Remove case ${at + 1}`}
                    onClick={() => onChange({ ...draft, cases: draft.cases.filter((other) => other.id !== each.id) })}
                  >
                    Remove
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
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
