import './guide.css'
import type { Item, Style } from '@fleam/contract'
import { choicesOf, shareLeft } from '@fleam/core'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useNavigate } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useUpdateStyle } from '../../data/style-queries.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WithStyle } from '../../parts/with-style.tsx'
import { PilesEditor } from './piles-editor.tsx'
import { StepsEditor } from './steps-editor.tsx'
import { withDefault } from './style-draft.ts'

/** Changes one of the kitchen's styles; records made before keep their own copy. */
export const Component = () => (
  <WithStyle>{(item, style) => <Editor key={style.id} item={item} saved={style} />}</WithStyle>
)

function Editor({ item, saved }: { item: Item; saved: Style }) {
  const [style, setStyle] = useState(saved)
  const { currency } = useKitchen()
  const format = useFormat()
  const navigate = useNavigate()
  const change = useUpdateStyle()
  const left = shareLeft(style.piles)
  const submit = (event: FormEvent) => {
    event.preventDefault()
    change.mutate(style, { onSuccess: () => navigate(`/guide/${style.id}`) })
  }
  return (
    <Form className="room guide-editor" onSubmit={submit}>
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
      {change.isError ? <Failed error={change.error} /> : null}
      <div className="fields">
        <Form.Group controlId="style-name">
          <Form.Label>Name</Form.Label>
          <Form.Control
            value={style.name}
            maxLength={120}
            required
            onChange={(event) => setStyle({ ...style, name: event.target.value })}
          />
        </Form.Group>
        <NumberField
          label={`Minutes for one ${item.unitName.one}`}
          value={style.minutesPerUnit}
          isRequired
          onChange={(minutes) => minutes !== null && setStyle({ ...style, minutesPerUnit: minutes })}
        />
      </div>
      {choicesOf(style, {}).length > 0 ? (
        <fieldset className="fields">
          <legend>What this kitchen does unless somebody says otherwise</legend>
          {choicesOf(style, {}).map(({ option, question, choice }) => (
            <Form.Group key={option} controlId={`default-${option}`}>
              <Form.Label>{question}</Form.Label>
              <Form.Select
                value={choice.id}
                onChange={(event) => setStyle(withDefault(style, option, event.target.value))}
              >
                {style.options
                  .find((each) => each.id === option)
                  ?.choices.map((each) => (
                    <option key={each.id} value={each.id}>
                      {each.name}
                    </option>
                  ))}
              </Form.Select>
            </Form.Group>
          ))}
        </fieldset>
      ) : null}
      {style.consumables.length > 0 ? (
        <fieldset className="fields">
          <legend>What one {item.unitName.one} uses up</legend>
          {style.consumables.map((each, at) => (
            <NumberField
              key={each.name}
              label={`${each.name}, ${currency}`}
              value={each.costPerUnit}
              onChange={(costPerUnit) =>
                setStyle({
                  ...style,
                  consumables: style.consumables.map((other, place) =>
                    place === at ? { ...other, costPerUnit } : other,
                  ),
                })
              }
            />
          ))}
        </fieldset>
      ) : null}
      <PilesEditor style={style} species={item.species} onChange={setStyle} />
      <p className={left < 0 ? 'refusal' : 'quiet'} role={left < 0 ? 'alert' : undefined}>
        {left < 0
          ? `The piles expect ${format.share(-left)} more than the whole.`
          : `${format.share(left)} is left for drip and drying.`}
      </p>
      <StepsEditor style={style} saved={saved} onChange={setStyle} />
    </Form>
  )
}
