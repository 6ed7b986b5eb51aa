import type { Caution } from '@fleam/catalogue'
import type { CautionOverride } from '@fleam/contract/cautions/operations'
import { DEFAULT_COLD_LIMITS } from '@fleam/core/fabrication'
import { zodResolver } from '@hookform/resolvers/zod'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { type UseFormReturn, useForm } from 'react-hook-form'
import { z } from 'zod'
import { useItems } from '../../data/queries.ts'
import { useUpdateCautions } from '../../data/style-queries.ts'
import { FormNumber } from '../../parts/form-fields.tsx'
import { Failed } from '../../parts/states.tsx'
import css from './caution-form.module.css'
import guideCss from './guide.module.css'

const minutes = z.number({ error: 'Whole minutes.' }).int('Whole minutes.').min(1, 'At least 1.').nullable()

const fields = z.object({
  text: z.string().trim().min(1, 'What does your plan say?').max(600, 'At most 600 letters.'),
  reason: z.string().trim().min(1, 'Say why: the plan, its section and day.').max(600, 'At most 600 letters.'),
  boardMinutes: minutes,
  outMinutes: minutes,
  itemId: z.string(),
  styleId: z.string(),
  step: z.string(),
})
type CautionFields = z.infer<typeof fields>

interface CautionFormProps {
  caution: Caution
  /** What is changed; null for a new one. */
  override: CautionOverride | null
  onDone: () => void
}

/** The kitchen's own words for a caution, their reason, and what they hold for. */
export function CautionForm({ caution, override, onDone }: CautionFormProps) {
  const { override: save } = useUpdateCautions()
  const form = useForm<CautionFields>({
    resolver: zodResolver(fields),
    defaultValues: {
      text: override?.text ?? caution.text,
      reason: override?.reason ?? '',
      boardMinutes: override?.boardMinutes ?? null,
      outMinutes: override?.outMinutes ?? null,
      itemId: override?.itemId ?? '',
      styleId: override?.styleId ?? '',
      step: override?.step ?? '',
    },
  })
  const { register, control, formState } = form
  const { errors } = formState
  const submit = form.handleSubmit(({ itemId, styleId, step, ...values }) =>
    save.mutate(
      {
        cautionId: caution.id,
        ...values,
        // A style is of one item already.
        itemId: styleId ? null : itemId || null,
        styleId: styleId || null,
        step: (styleId && step) || null,
      },
      { onSuccess: onDone },
    ),
  )
  return (
    <Form onSubmit={(event) => void submit(event)} className={css.override} noValidate>
      <Form.Group controlId={`own-${caution.id}`}>
        <Form.Label>As our plan has it</Form.Label>
        <Form.Control as="textarea" rows={2} isInvalid={errors.text !== undefined} {...register('text')} />
        <Form.Text className="refusal">{errors.text?.message}</Form.Text>
      </Form.Group>
      <Form.Group controlId={`why-${caution.id}`}>
        <Form.Label>Why</Form.Label>
        <Form.Control
          placeholder="approved plan, section and date"
          isInvalid={errors.reason !== undefined}
          {...register('reason')}
        />
        <Form.Text className="refusal">{errors.reason?.message}</Form.Text>
      </Form.Group>
      {override === null ? (
        <WhereFields form={form} id={caution.id} hasSteps={caution.places.includes('step')} />
      ) : null}
      {caution.id === 'cold-chain' ? (
        <div className="fields">
          <FormNumber
            control={control}
            name="boardMinutes"
            label="Minutes on the board at a stretch"
            hint={`${DEFAULT_COLD_LIMITS.boardMinutes} unless you say otherwise`}
            min={1}
          />
          <FormNumber
            control={control}
            name="outMinutes"
            label="Minutes out of the cold in all"
            hint={`${DEFAULT_COLD_LIMITS.outMinutes} unless you say otherwise`}
            min={1}
          />
        </div>
      ) : null}
      <div className={guideCss.guideActions}>
        <Button type="submit" disabled={save.isPending}>
          Save
        </Button>
        <Button variant="outline-dark" onClick={onDone}>
          Cancel
        </Button>
      </div>
      {save.isError ? <Failed error={save.error} /> : null}
    </Form>
  )
}

interface WhereFieldsProps {
  form: UseFormReturn<CautionFields>
  id: string
  /** It may stand at a step. */
  hasSteps: boolean
}

/** What the words hold for: an item, one of its styles, one of its steps; everything where nothing is chosen. */
function WhereFields({ form: { register, watch }, id, hasSteps }: WhereFieldsProps) {
  const items = useItems().data ?? []
  const { itemId, styleId } = watch()
  const styles = items.find((item) => item.id === itemId)?.styles.filter((style) => !style.isArchived) ?? []
  const steps = (styles.find((style) => style.id === styleId)?.steps ?? []).filter((step) => step.cautions.includes(id))
  return (
    <div className="fields">
      <Form.Group controlId={`item-${id}`}>
        <Form.Label>Holds for</Form.Label>
        <Form.Select {...register('itemId')}>
          <option value="">everything in this kitchen</option>
          {items.map((item) => (
            <option key={item.id} value={item.id}>
              {item.name}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {styles.length > 0 ? (
        <Form.Group controlId={`style-${id}`}>
          <Form.Label>Cut style</Form.Label>
          <Form.Select {...register('styleId')}>
            <option value="">all of its styles</option>
            {styles.map((style) => (
              <option key={style.id} value={style.id}>
                {style.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      ) : null}
      {hasSteps && steps.length > 0 ? (
        <Form.Group controlId={`step-${id}`}>
          <Form.Label>Step</Form.Label>
          <Form.Select {...register('step')}>
            <option value="">all of its steps</option>
            {steps.map((step) => (
              <option key={step.id} value={step.id}>
                {step.title}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      ) : null}
    </div>
  )
}
