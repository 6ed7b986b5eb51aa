import type { Kitchen } from '@fleam/contract'
import { LONGEST_COOK_NAME, MOST_COOKS } from '@fleam/core'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { v7 as newId } from 'uuid'
import { useSetUpKitchen } from '../../data/queries.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed } from '../../parts/states.tsx'
import { TIME_ZONES } from '../../parts/time-zones.ts'

const CURRENCIES = ['EUR', 'USD', 'GBP', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'CAD', 'AUD', 'NZD', 'JPY'] as const

/** Cooks as they are typed, each once. */
const namesIn = (text: string): string[] => [
  ...new Set(
    text
      .split(/[,\n]/)
      .map((each) => each.trim())
      .filter(Boolean),
  ),
]

/** What the server would refuse, said as it is typed; null where nothing is wrong. */
function cooksIssue(names: readonly string[]): string | null {
  if (names.length > MOST_COOKS) return `A kitchen has ${MOST_COOKS} cooks at most.`
  const long = names.find((name) => name.length > LONGEST_COOK_NAME)
  return long ? `A cook’s name has ${LONGEST_COOK_NAME} letters at most: ${long.slice(0, 20)}…` : null
}

/** The first thing a new kitchen sees: five answers, and it can weigh. */
export default function SetUp() {
  const setUp = useSetUpKitchen()
  const [id] = useState(() => newId())
  const [name, setName] = useState('')
  const [currency, setCurrency] = useState<string>('EUR')
  const [units, setUnits] = useState<Kitchen['units']>('metric')
  const [timeZone, setTimeZone] = useState(() => Intl.DateTimeFormat().resolvedOptions().timeZone)
  const [wage, setWage] = useState<number | null>(null)
  const [cooks, setCooks] = useState('')
  const names = namesIn(cooks)
  const issue = cooksIssue(names)
  // Sent again after a failure, each cook is the same one.
  const [cookIds] = useState(() => new Map<string, string>())
  const idOf = (cook: string) => {
    const known = cookIds.get(cook) ?? newId()
    cookIds.set(cook, known)
    return known
  }
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const wagePerHour = wage ?? 0
    setUp.mutate({
      kitchen: { id, name, currency, units, timeZone, wagePerHour },
      cooks: names.map((each) => ({ id: idOf(each), name: each, wagePerHour })),
    })
  }
  return (
    <main className="room set-up">
      <h1>A new kitchen</h1>
      <p>Fleam needs five answers before the first bird. Everything can be weighed without a scale, too.</p>
      <Form onSubmit={submit}>
        <Form.Group controlId="kitchen-name">
          <Form.Label>Name of the kitchen</Form.Label>
          <Form.Control value={name} required maxLength={120} onChange={(event) => setName(event.target.value)} />
        </Form.Group>
        <Form.Group controlId="kitchen-currency">
          <Form.Label>Money</Form.Label>
          <Form.Select value={currency} onChange={(event) => setCurrency(event.target.value)}>
            {CURRENCIES.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="kitchen-units">
          <Form.Label>Weights</Form.Label>
          <Form.Select value={units} onChange={(event) => setUnits(event.target.value as Kitchen['units'])}>
            <option value="metric">grams and kilos</option>
            <option value="imperial">pounds and ounces</option>
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="kitchen-zone">
          <Form.Label>Time zone</Form.Label>
          <Form.Select value={timeZone} onChange={(event) => setTimeZone(event.target.value)}>
            {(TIME_ZONES.includes(timeZone) ? TIME_ZONES : [timeZone, ...TIME_ZONES]).map((zone) => (
              <option key={zone}>{zone}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <NumberField
          label={`Wage of a cook with on-costs, ${currency} an hour`}
          value={wage}
          onChange={setWage}
          isRequired
        />
        <Form.Group controlId="kitchen-cooks">
          <Form.Label>Cooks, with commas between</Form.Label>
          <Form.Control value={cooks} isInvalid={issue !== null} onChange={(event) => setCooks(event.target.value)} />
          <Form.Control.Feedback type="invalid">{issue}</Form.Control.Feedback>
        </Form.Group>
        <Button
          type="submit"
          className="main-action"
          disabled={name.trim() === '' || wage === null || issue !== null || setUp.isPending}
        >
          Open the kitchen
        </Button>
      </Form>
      {setUp.isError ? <Failed error={setUp.error} /> : null}
    </main>
  )
}
