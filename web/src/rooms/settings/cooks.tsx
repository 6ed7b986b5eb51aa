import type { Cook } from '@fleam/contract/kitchen/schemas'
import { LONGEST_COOK_NAME } from '@fleam/core/limits'
import { zodResolver } from '@hookform/resolvers/zod'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm } from 'react-hook-form'
import { v7 as newId } from 'uuid'
import { z } from 'zod'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useCooks } from '../../data/queries.ts'
import { useUpdateCooks } from '../../data/settings-queries.ts'
import { FormNumber } from '../../parts/form-fields.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import css from './settings.module.css'

const fields = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'A cook needs a name.')
    .max(LONGEST_COOK_NAME, `At most ${LONGEST_COOK_NAME} letters.`),
  wagePerHour: z.number({ error: 'What does an hour cost?' }).min(0, 'At least 0.'),
})
type Fields = z.infer<typeof fields>

/** Who cuts here, and what an hour of each costs from now on; records keep the wage that was paid. */
export function Cooks() {
  const cooks = useCooks()
  const { wagePerHour } = useKitchen()
  const { add, change } = useUpdateCooks()
  if (cooks.isError) return <Failed error={cooks.error} retry={() => void cooks.refetch()} />
  if (!cooks.data) return <Loading what="the cooks" />
  return (
    <section aria-labelledby="cooks">
      <h2 id="cooks">Cooks</h2>
      {cooks.data.map((cook) => (
        <CookRow
          key={cook.id}
          cook={cook}
          onSave={(values) => change.mutateAsync({ id: cook.id, week: cook.week, skills: cook.skills, ...values })}
        />
      ))}
      <CookRow
        key={`new ${cooks.data.length}`}
        cook={null}
        wagePerHour={wagePerHour}
        onSave={(values) => add.mutateAsync({ id: newId(), week: null, skills: null, ...values })}
      />
      {add.isError ? <Failed error={add.error} /> : null}
      {change.isError ? <Failed error={change.error} /> : null}
    </section>
  )
}

interface CookRowProps {
  /** Null for one that is added. */
  cook: Cook | null
  wagePerHour?: number
  onSave: (values: Fields) => Promise<unknown>
}

function CookRow({ cook, wagePerHour = 0, onSave }: CookRowProps) {
  const { currency } = useKitchen()
  const form = useForm<Fields>({
    resolver: zodResolver(fields),
    defaultValues: cook ?? { name: '', wagePerHour },
  })
  const { errors, isDirty, isSubmitting } = form.formState
  const of = cook ? ` of ${cook.name}` : ' of a new cook'
  const save = form.handleSubmit((values) =>
    onSave(values).then(
      () => form.reset(values),
      // What went wrong stands below the list; what was typed stays.
      () => {},
    ),
  )
  return (
    <Form onSubmit={(event) => void save(event)} className={css.settingsForm} noValidate>
      <Form.Group controlId={`cook-name-${cook?.id ?? 'new'}`}>
        <Form.Label>
          Name<span className="visually-hidden">{of}</span>
        </Form.Label>
        <Form.Control autoComplete="off" isInvalid={errors.name !== undefined} {...form.register('name')} />
        <Form.Text className="refusal">{errors.name?.message}</Form.Text>
      </Form.Group>
      <FormNumber control={form.control} name="wagePerHour" label={`Wage${of}, ${currency} an hour`} />
      <Button type="submit" variant="outline-dark" disabled={!isDirty || isSubmitting}>
        {cook ? 'Save' : 'Add cook'}
        <span className="visually-hidden">{of}</span>
      </Button>
    </Form>
  )
}
