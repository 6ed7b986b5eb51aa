import { CAUTIONS } from '@fleam/catalogue'
import { TOOLS } from '@fleam/core/style'
import { useId } from 'react'
import Form from 'react-bootstrap/Form'
import { Controller } from 'react-hook-form'
import { Link } from 'react-router-dom'
import { FormNumber, FormSelect, FormText } from '../../parts/form-fields.tsx'
import css from './style-editor.module.css'
import type { StyleForm } from './use-style-form.ts'

const MAX_WORDS = 600
const TOOL_WORDS = Object.fromEntries(TOOLS.map((tool) => [tool, tool]))
const toggled = (list: readonly string[], text: string) =>
  list.includes(text) ? list.filter((other) => other !== text) : [...list, text]

interface StepFieldsProps {
  editing: StyleForm
  /** Place of the step in the style. */
  at: number
  /** Cautions that may be reworded with a reason, but not dropped. */
  kept: readonly string[]
}

/** Everything that can be said of one step. */
export function StepFields({ editing, at, kept }: StepFieldsProps) {
  const { form, style } = editing
  const { control, register } = form
  const id = useId()
  return (
    <div className="fields">
      <FormText control={control} name={`steps.${at}.title`} label="Step" />
      <FormSelect control={control} name={`steps.${at}.tool`} label="In the hand" choices={TOOL_WORDS} />
      <FormNumber
        control={control}
        name={`steps.${at}.minutes`}
        label="Minutes of the step"
        hint="shared evenly if left empty"
      />
      <Form.Check type="switch" id={`${id}-optional`} label="Optional" {...register(`steps.${at}.isOptional`)} />
      <FormText
        control={control}
        name={`steps.${at}.doing`}
        label="What to do"
        rows={2}
        maxLength={MAX_WORDS}
        className={css.words}
      />
      <FormText
        control={control}
        name={`steps.${at}.check`}
        label="Done when"
        rows={2}
        maxLength={MAX_WORDS}
        className={css.words}
      />
      <Mistakes editing={editing} at={at} />
      <Ticks
        {...{ editing, at, name: 'pileIds', legend: 'Piles that leave the board here' }}
        choices={style.piles.map((pile) => ({ id: pile.id, words: pile.name }))}
      />
      <Ticks
        {...{ editing, at, name: 'cautions', legend: 'Cautions that stand here', kept }}
        choices={CAUTIONS.filter(({ places }) => places.includes('step')).map((caution) => ({
          id: caution.id,
          words: caution.text,
        }))}
      >
        <p className="quiet">
          One that stands here stays. Where your own plan says otherwise,{' '}
          <Link to="/guide/cautions">say so with the reason</Link>.
        </p>
      </Ticks>
    </div>
  )
}

/** What goes wrong at a step, one a line. */
const Mistakes = ({ editing: { form }, at }: Omit<StepFieldsProps, 'kept'>) => {
  const id = useId()
  return (
    <Controller
      control={form.control}
      name={`steps.${at}.mistakes`}
      render={({ field }) => (
        <Form.Group controlId={id} className={css.words}>
          <Form.Label>Avoid (one a line)</Form.Label>
          <Form.Control
            as="textarea"
            rows={2}
            maxLength={MAX_WORDS}
            defaultValue={field.value.join('\n')}
            onChange={(event) => field.onChange(event.target.value.split('\n').filter((line) => line.trim() !== ''))}
          />
        </Form.Group>
      )}
    />
  )
}

interface TicksProps extends Omit<StepFieldsProps, 'kept'> {
  name: 'pileIds' | 'cautions'
  legend: string
  choices: readonly { id: string; words: string }[]
  /** What is ticked and stays so. */
  kept?: readonly string[]
  children?: React.ReactNode
}

/** Some of many, each with a tick. */
function Ticks({ editing: { form }, at, name, legend, choices, kept = [], children }: TicksProps) {
  const id = useId()
  return (
    <Controller
      control={form.control}
      name={`steps.${at}.${name}`}
      render={({ field }) => (
        <fieldset>
          <legend>{legend}</legend>
          {children}
          {choices.map((choice) => (
            <Form.Check
              key={choice.id}
              id={`${id}-${choice.id}`}
              label={choice.words}
              checked={field.value.includes(choice.id)}
              disabled={kept.includes(choice.id)}
              onChange={() => field.onChange(toggled(field.value, choice.id))}
            />
          ))}
        </fieldset>
      )}
    />
  )
}
