import { LONGEST_COOK_NAME, MAX_COOKS } from '@fleam/core/limits'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { type UseFormReturn, useForm } from 'react-hook-form'
import { v7 as newId } from 'uuid'
import { z } from 'zod'
import { useSetUpKitchen } from '../../data/queries.ts'
import { FormNumber } from '../../parts/form-fields.tsx'
import { DecimalOptions, UnitOptions } from '../../parts/kitchen-options.tsx'
import { Failed } from '../../parts/states.tsx'
import { TIME_ZONES } from '../../parts/time-zones.ts'

const CURRENCIES = ['EUR', 'USD', 'GBP', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'CAD', 'AUD', 'NZD', 'JPY'] as const

/** Cooks as they are typed, each once. */
const namesIn = (text: string): string[] => [
  ...new Set(
    text
      .split(/[,\n]/)
      .map((name) => name.trim())
      .filter(Boolean),
  ),
]

/** What the server would refuse, said beside the field; null where nothing is wrong. */
function cooksIssue(text: string): string | null {
  const names = namesIn(text)
  if (names.length > MAX_COOKS) return `A kitchen has ${MAX_COOKS} cooks at most.`
  const long = names.find((name) => name.length > LONGEST_COOK_NAME)
  return long ? `A cook’s name has ${LONGEST_COOK_NAME} letters at most: ${long.slice(0, 20)}…` : null
}

const answers = z.object({
  name: z.string().trim().min(1, 'A kitchen needs a name.').max(120, 'At most 120 letters.'),
  currency: z.enum(CURRENCIES),
  units: z.enum(['metric', 'imperial']),
  decimalMark: z.enum(['point', 'comma']),
  timeZone: z.string(),
  wagePerHour: z.number({ error: 'What does an hour of a cook cost?' }),
  cooks: z.string().superRefine((text, check) => {
    const message = cooksIssue(text)
    if (message) check.addIssue({ code: 'custom', message })
  }),
})
type Answers = z.infer<typeof answers>

/** As this device writes numbers and days: the kitchen's country, most likely. */
const guesses = (): Omit<Answers, 'wagePerHour'> => ({
  name: '',
  currency: 'EUR',
  units: 'metric',
  decimalMark: (1.5).toLocaleString().includes(',') ? 'comma' : 'point',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  cooks: '',
})

/** The first thing a new kitchen sees: a few answers, and it can weigh. */
export default function SetUp() {
  const setUp = useSetUpKitchen()
  const [id] = useState(() => newId())
  // Sent again after a failure, each cook is the same one.
  const [cookIds] = useState(() => new Map<string, string>())
  const idOf = (cook: string) => {
    const cookId = cookIds.get(cook) ?? newId()
    cookIds.set(cook, cookId)
    return cookId
  }
  const form = useForm<Answers>({ resolver: zodResolver(answers), defaultValues: guesses(), mode: 'onChange' })
  const open = form.handleSubmit(({ cooks, ...kitchen }) =>
    setUp.mutate({
      kitchen: { id, ...kitchen, lightPlates: 'whole', address: null },
      cooks: namesIn(cooks).map((name) => ({
        id: idOf(name),
        name,
        wagePerHour: kitchen.wagePerHour,
        week: null,
        skills: null,
      })),
    }),
  )
  return (
    <main className="room set-up">
      <h1>A new kitchen</h1>
      <p>Fleam needs a few answers before the first bird. Everything can be weighed without a scale, too.</p>
      <Form onSubmit={(event) => void open(event)} noValidate>
        <SetUpFields form={form} />
        <Button type="submit" className="main-action" disabled={setUp.isPending}>
          Open the kitchen
        </Button>
      </Form>
      {setUp.isError ? <Failed error={setUp.error} /> : null}
    </main>
  )
}

function SetUpFields({ form }: { form: UseFormReturn<Answers> }) {
  const {
    register,
    control,
    formState: { errors },
  } = form
  const { currency, timeZone } = form.watch()
  const zones = TIME_ZONES.includes(timeZone) ? TIME_ZONES : [timeZone, ...TIME_ZONES]
  return (
    <>
      <Form.Group controlId="kitchen-name">
        <Form.Label>Name of the kitchen</Form.Label>
        <Form.Control isInvalid={errors.name !== undefined} {...register('name')} />
        <Form.Control.Feedback type="invalid">{errors.name?.message}</Form.Control.Feedback>
      </Form.Group>
      <Form.Group controlId="kitchen-currency">
        <Form.Label>Money</Form.Label>
        <Form.Select {...register('currency')}>
          {CURRENCIES.map((currency) => (
            <option key={currency}>{currency}</option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="kitchen-units">
        <Form.Label>Weights</Form.Label>
        <Form.Select {...register('units')}>
          <UnitOptions />
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="kitchen-decimals">
        <Form.Label>Decimals</Form.Label>
        <Form.Select {...register('decimalMark')}>
          <DecimalOptions />
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="kitchen-zone">
        <Form.Label>Time zone</Form.Label>
        <Form.Select {...register('timeZone')}>
          {zones.map((zone) => (
            <option key={zone}>{zone}</option>
          ))}
        </Form.Select>
      </Form.Group>
      <FormNumber control={control} name="wagePerHour" label={`Wage of a cook with on-costs, ${currency} an hour`} />
      <Form.Group controlId="kitchen-cooks">
        <Form.Label>Cooks, with commas between</Form.Label>
        <Form.Control isInvalid={errors.cooks !== undefined} {...register('cooks')} />
        <Form.Control.Feedback type="invalid">{errors.cooks?.message}</Form.Control.Feedback>
      </Form.Group>
    </>
  )
}
