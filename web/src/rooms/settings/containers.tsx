import { zodResolver } from '@hookform/resolvers/zod'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm } from 'react-hook-form'
import { v7 as newId } from 'uuid'
import { z } from 'zod'
import { useContainers, useUpdateContainers } from '../../data/style-queries.ts'
import { FormWeight } from '../../parts/form-fields.tsx'
import { Failed } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './settings.module.css'

const fields = z.object({
  name: z.string().trim().min(1, 'What is it called?').max(120, 'At most 120 letters.'),
  grams: z.number({ error: 'What does it weigh empty?' }).gt(0, 'What does it weigh empty?'),
})
type Fields = z.infer<typeof fields>

/** Tubs and trays whose weight is taken off at the bench. */
export function Containers() {
  const containers = useContainers()
  const { create, remove } = useUpdateContainers()
  const format = useFormat()
  const form = useForm<Fields>({
    resolver: zodResolver(fields),
    defaultValues: { name: '', grams: null as unknown as number },
  })
  const add = form.handleSubmit((values) =>
    create.mutate({ id: newId(), ...values }, { onSuccess: () => form.reset() }),
  )
  return (
    <section aria-labelledby="containers">
      <h2 id="containers">Containers</h2>
      {containers.data && containers.data.length > 0 ? (
        <ul className={css.settingsList}>
          {containers.data.map((row) => (
            <li key={row.id}>
              {row.name}, {format.weight(row.grams)}{' '}
              <Button
                size="sm"
                variant="outline-dark"
                aria-label={`Delete ${row.name}`}
                onClick={() => remove.mutate(row.id)}
              >
                Delete
              </Button>
            </li>
          ))}
        </ul>
      ) : (
        <p className="quiet">None yet.</p>
      )}
      <Form
        key={containers.data?.length ?? 0}
        onSubmit={(event) => void add(event)}
        className={css.settingsForm}
        noValidate
      >
        <Form.Group controlId="container-name">
          <Form.Label>Container</Form.Label>
          <Form.Control
            autoComplete="off"
            isInvalid={form.formState.errors.name !== undefined}
            {...form.register('name')}
          />
          <Form.Text className="refusal">{form.formState.errors.name?.message}</Form.Text>
        </Form.Group>
        <FormWeight control={form.control} name="grams" label="Weight, empty" />
        <Button type="submit" variant="outline-dark" disabled={create.isPending}>
          Add container
        </Button>
      </Form>
      {create.isError ? <Failed error={create.error} /> : null}
      {remove.isError ? <Failed error={remove.error} /> : null}
    </section>
  )
}
