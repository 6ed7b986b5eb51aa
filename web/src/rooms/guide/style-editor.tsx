import type { Item, Style } from '@fleam/core/style'
import { choicesOf, shareLeft } from '@fleam/core/style'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useNavigate } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useUpdateStyle } from '../../data/style-queries.ts'
import { FormNumber, FormText } from '../../parts/form-fields.tsx'
import { Failed } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WithStyle } from '../../parts/with-style.tsx'
import { PilesEditor } from './piles-editor.tsx'
import { StepsEditor } from './steps-editor.tsx'
import { withDefault } from './style-draft.ts'
import css from './style-editor.module.css'
import { type StyleForm, useStyleForm } from './use-style-form.ts'

/** Changes one of the kitchen's styles; records made before keep their own copy. */
export const Component = () => (
  <WithStyle>{(item, style) => <Editor key={style.id} item={item} saved={style} />}</WithStyle>
)

function Editor({ item, saved }: { item: Item; saved: Style }) {
  const editing = useStyleForm(saved)
  const { form } = editing
  const navigate = useNavigate()
  const change = useUpdateStyle()
  const save = form.handleSubmit((style) => change.mutate(style, { onSuccess: () => navigate(`/guide/${saved.id}`) }))
  const isRefused = Object.keys(form.formState.errors).length > 0
  return (
    <Form className={`room ${css.guideEditor}`} onSubmit={(event) => void save(event)} noValidate>
      <div className="room-heading">
        <h1>
          {item.name} <span className="quiet">for</span> {saved.name.toLowerCase()}
        </h1>
        <Button type="submit" className="main-action" disabled={change.isPending}>
          Save the style
        </Button>
        <Link className="btn btn-outline-dark" to={`/guide/${saved.id}`}>
          Discard changes
        </Link>
      </div>
      {isRefused ? (
        <p className="refusal" role="alert">
          Check the highlighted fields: nothing is saved yet.
        </p>
      ) : null}
      {change.isError ? <Failed error={change.error} /> : null}
      <div className="fields">
        <FormText control={form.control} name="name" label="Name" />
        <FormNumber control={form.control} name="minutesPerUnit" label={`Minutes for one ${item.unitName.one}`} />
      </div>
      <Choices editing={editing} />
      <Consumables editing={editing} unit={item.unitName.one} />
      <PilesEditor editing={editing} species={item.species} />
      <WhatIsLeft style={editing.style} />
      <StepsEditor editing={editing} saved={saved} />
    </Form>
  )
}

/** What the kitchen does where nobody says otherwise. */
function Choices({ editing: { style, apply } }: { editing: StyleForm }) {
  const choices = choicesOf(style, {})
  if (choices.length === 0) return null
  return (
    <fieldset className="fields">
      <legend>Usual choices</legend>
      {choices.map(({ option, question, choice }) => (
        <Form.Group key={option} controlId={`default-${option}`}>
          <Form.Label>{question}</Form.Label>
          <Form.Select value={choice.id} onChange={(event) => apply(withDefault(style, option, event.target.value))}>
            {style.options
              .find((other) => other.id === option)
              ?.choices.map((choice) => (
                <option key={choice.id} value={choice.id}>
                  {choice.name}
                </option>
              ))}
          </Form.Select>
        </Form.Group>
      ))}
    </fieldset>
  )
}

function Consumables({ editing: { form, style }, unit }: { editing: StyleForm; unit: string }) {
  const { currency } = useKitchen()
  if (style.consumables.length === 0) return null
  return (
    <fieldset className="fields">
      <legend>What one {unit} uses up</legend>
      {style.consumables.map((consumable, index) => (
        <FormNumber
          key={consumable.name}
          control={form.control}
          name={`consumables.${index}.costPerUnit`}
          label={`${consumable.name}, ${currency}`}
        />
      ))}
    </fieldset>
  )
}

/** What of the whole is in no pile; more than the whole is in the piles where it is less than nothing. */
function WhatIsLeft({ style }: { style: Style }) {
  const format = useFormat()
  const left = shareLeft(style.piles.filter((pile) => typeof pile.expectedShare !== 'string'))
  return (
    <p className={left < 0 ? 'refusal' : 'quiet'} role={left < 0 ? 'alert' : undefined}>
      {left < 0
        ? `The piles expect ${format.share(-left)} more than the whole.`
        : `${format.share(left)} is left for drip and drying.`}
    </p>
  )
}
