import { DEFERS_TO, type ReceivingCheck, receivingChecksFor } from '@fleam/catalogue'
import type { LotCheck } from '@fleam/contract/receiving/schemas'
import type { Species } from '@fleam/core/style'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../../data/kitchen-context.ts'
import cautionsCss from '../../parts/cautions.module.css'
import type { KitchenCaution } from '../../parts/cautions.ts'
import { NumberField } from '../../parts/number-field.tsx'
import css from './lot-checks.module.css'
import { withCheck } from './lot-draft.ts'

interface LotChecksProps {
  species: Species
  checks: readonly LotCheck[]
  onChange: (checks: LotCheck[]) => void
  cautions: readonly KitchenCaution[]
}

/** What to look at before the driver leaves, each with one tap. */
export const LotChecks = ({ species, checks, onChange, cautions }: LotChecksProps) => (
  <section aria-labelledby="checks">
    <h2 id="checks">Before the driver leaves</h2>
    <ul className={css.checks}>
      {receivingChecksFor(species).map((check) => (
        <CheckRow
          key={check.id}
          check={check}
          answer={checks.find((other) => other.checkId === check.id) ?? null}
          onAnswer={(answer) =>
            onChange(answer ? withCheck(checks, answer) : checks.filter((other) => other.checkId !== check.id))
          }
        />
      ))}
    </ul>
    <div className={cautionsCss.cautionNotes}>
      {cautions.map((caution) => (
        <p key={caution.id} className="mb-1">
          {caution.text}
          {caution.reason ? ` Our own plan: ${caution.reason}` : ''}
        </p>
      ))}
      <p className="quiet mb-0">{DEFERS_TO}</p>
    </div>
  </section>
)

interface CheckRowProps {
  check: ReceivingCheck
  answer: LotCheck | null
  onAnswer: (answer: LotCheck | null) => void
}

function CheckRow({ check, answer, onAnswer }: CheckRowProps) {
  const say = (isFault: boolean) =>
    onAnswer(
      answer?.isFault === isFault
        ? null
        : {
            checkId: check.id,
            isFault,
            value: answer?.value ?? null,
            note: answer?.note ?? null,
            worth: answer?.worth ?? null,
          },
    )
  const measure = (value: number | null) => {
    if (value === null) return onAnswer(answer && { ...answer, value })
    const limit = check.number?.faultAbove ?? null
    onAnswer({
      checkId: check.id,
      isFault: limit !== null && value > limit,
      value,
      note: answer?.note ?? null,
      worth: answer?.worth ?? null,
    })
  }
  return (
    <li>
      <span>{check.question}</span>
      {check.states ? (
        <CheckStates check={check} answer={answer} onAnswer={onAnswer} />
      ) : (
        <>
          <Button variant="outline-dark" aria-pressed={answer?.isFault === false} onClick={() => say(false)}>
            {check.right}
          </Button>
          <Button
            variant="outline-dark"
            className={css.fault}
            aria-pressed={answer?.isFault === true}
            onClick={() => say(true)}
          >
            {check.fault}
          </Button>
        </>
      )}
      {check.number ? (
        <MeasuredField
          question={check.question}
          unit={check.number.unit}
          value={answer?.value ?? null}
          onChange={measure}
        />
      ) : answer?.isFault ? (
        <Form.Control
          aria-label={`${check.question}, in words`}
          placeholder="in words"
          maxLength={600}
          value={answer.note ?? ''}
          onChange={(event) => onAnswer({ ...answer, note: event.target.value === '' ? null : event.target.value })}
        />
      ) : (
        <span />
      )}
      {answer?.isFault ? <FaultWorth question={check.question} answer={answer} onAnswer={onAnswer} /> : null}
    </li>
  )
}

/** More ways than right and wrong: each is one touch. */
function CheckStates({ check, answer, onAnswer }: CheckRowProps) {
  return (
    <fieldset className={css.checkStates} aria-label={check.question}>
      {check.states?.map(({ words, isFault }, index) => {
        const isSaid = answer?.value === index
        return (
          <Button
            key={words}
            variant="outline-dark"
            className={isFault ? css.fault : ''}
            aria-pressed={isSaid}
            onClick={() =>
              onAnswer(
                isSaid
                  ? null
                  : {
                      checkId: check.id,
                      isFault,
                      value: index,
                      note: answer?.note ?? null,
                      worth: answer?.worth ?? null,
                    },
              )
            }
          >
            {words}
          </Button>
        )
      })}
    </fieldset>
  )
}

interface FaultWorthProps {
  question: string
  answer: LotCheck
  onAnswer: (answer: LotCheck) => void
}

/** What the supplier owes for a fault. */
function FaultWorth({ question, answer, onAnswer }: FaultWorthProps) {
  const { currency } = useKitchen()
  return (
    <div className={css.faultWorth}>
      <NumberField
        isLabelHidden
        label={`${question}: worth, ${currency}`}
        hint={`${currency} to claim for it, if any`}
        value={answer.worth}
        onChange={(worth) => onAnswer({ ...answer, worth })}
      />
    </div>
  )
}

interface MeasuredFieldProps {
  question: string
  unit: string
  value: number | null
  onChange: (value: number | null) => void
}

/** The coldest and lowest that a check measures. */
const LEAST = -50
const fahrenheitOf = (celsius: number) => Number((celsius * 1.8 + 32).toFixed(1))
const celsiusOf = (fahrenheit: number) => (fahrenheit - 32) / 1.8

/** What is measured at the door; a temperature is typed as the kitchen's thermometer says it, and kept in Celsius. */
function MeasuredField({ question, unit, value, onChange }: MeasuredFieldProps) {
  const { units } = useKitchen()
  const isFahrenheit = unit === '°C' && units === 'imperial'
  const shown = isFahrenheit ? '°F' : unit
  return (
    <NumberField
      isLabelHidden
      label={`${question}, ${shown}`}
      value={value === null || !isFahrenheit ? value : fahrenheitOf(value)}
      min={LEAST}
      onChange={(typed) => onChange(typed === null || !isFahrenheit ? typed : celsiusOf(typed))}
      hint={shown}
    />
  )
}
