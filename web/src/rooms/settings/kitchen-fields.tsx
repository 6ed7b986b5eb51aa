import { LIGHT_PLATES } from '@fleam/core/buying'
import { zodResolver } from '@hookform/resolvers/zod'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm } from 'react-hook-form'
import { z } from 'zod'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useUpdateKitchen } from '../../data/settings-queries.ts'
import { FormNumber } from '../../parts/form-fields.tsx'
import { DecimalOptions, LightPlateOptions, UnitOptions } from '../../parts/kitchen-options.tsx'
import { Failed } from '../../parts/states.tsx'
import { TIME_ZONES } from '../../parts/time-zones.ts'
import css from './settings.module.css'

const fields = z.object({
  name: z.string().trim().min(1, 'A kitchen needs a name.').max(120, 'At most 120 letters.'),
  units: z.enum(['metric', 'imperial']),
  decimalMark: z.enum(['point', 'comma']),
  timeZone: z.string(),
  wagePerHour: z.number({ error: 'What does an hour cost?' }).min(0, 'At least 0.'),
  lightPlates: z.enum(LIGHT_PLATES),
  address: z
    .string()
    .max(600, 'At most 600 letters.')
    .nullable()
    .transform((text) => (text?.trim() ? text.trim() : null)),
})

/** The kitchen itself. Its money stays that of everything that was ever bought. */
export function KitchenFields() {
  const { id: _id, currency, ...kitchen } = useKitchen()
  const change = useUpdateKitchen()
  const form = useForm<z.infer<typeof fields>>({ resolver: zodResolver(fields), defaultValues: kitchen })
  const { register, formState } = form
  const zones = TIME_ZONES.includes(kitchen.timeZone) ? TIME_ZONES : [kitchen.timeZone, ...TIME_ZONES]
  const save = form.handleSubmit((values) => change.mutate(values, { onSuccess: () => form.reset(values) }))
  return (
    <section aria-labelledby="kitchen">
      <h2 id="kitchen">Kitchen</h2>
      <Form onSubmit={(event) => void save(event)} className={css.settingsForm} noValidate>
        <Form.Group controlId="settings-name">
          <Form.Label>Name</Form.Label>
          <Form.Control isInvalid={formState.errors.name !== undefined} {...register('name')} />
          <Form.Text className="refusal">{formState.errors.name?.message}</Form.Text>
        </Form.Group>
        <Form.Group controlId="settings-units">
          <Form.Label>Weights</Form.Label>
          <Form.Select {...register('units')}>
            <UnitOptions />
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="settings-decimals">
          <Form.Label>Decimals</Form.Label>
          <Form.Select {...register('decimalMark')}>
            <DecimalOptions />
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="settings-zone">
          <Form.Label>Time zone</Form.Label>
          <Form.Select {...register('timeZone')}>
            {zones.map((zone) => (
              <option key={zone}>{zone}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <FormNumber
          control={form.control}
          name="wagePerHour"
          label={`Wage with on-costs, ${currency} an hour`}
          hint="for work that no cook is named for"
        />
        <Form.Group controlId="settings-light-plates">
          <Form.Label>A light portion is counted as</Form.Label>
          <Form.Select {...register('lightPlates')}>
            <LightPlateOptions />
          </Form.Select>
          <Form.Text>within its bounds; in true costs and plans</Form.Text>
        </Form.Group>
        <Form.Group controlId="settings-address">
          <Form.Label>Address, for claims</Form.Label>
          <Form.Control as="textarea" rows={2} {...register('address')} />
          <Form.Text className="refusal">{formState.errors.address?.message}</Form.Text>
        </Form.Group>
        <Button type="submit" variant="outline-dark" disabled={!formState.isDirty || change.isPending}>
          Save
        </Button>
      </Form>
      {change.isError ? <Failed error={change.error} /> : null}
    </section>
  )
}
