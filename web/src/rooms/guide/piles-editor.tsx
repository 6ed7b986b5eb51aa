import type { Style, StylePile } from '@fleam/contract'
import { PILE_CLASSES, type PileClass, pricePerKg, pricePerWeight, type Weighing } from '@fleam/core'
import { useId } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../data/kitchen-context.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { WeightField } from '../../parts/weight-field.tsx'
import { newPile, withoutPile, withPile } from './style-draft.ts'

interface PilesEditorProps {
  style: Style
  onChange: (style: Style) => void
}

/** Piles of a style with their shares, bounds and values. */
export function PilesEditor({ style, onChange }: PilesEditorProps) {
  return (
    <section aria-label="Piles">
      <h2>Piles</h2>
      {style.piles.map((pile, at) => (
        <PileEditor
          // biome-ignore lint/suspicious/noArrayIndexKey: a pile has no other name while its name is typed
          key={at}
          pile={pile}
          onChange={(changes) => onChange(withPile(style, at, changes))}
          onRemove={() => onChange(withoutPile(style, at))}
        />
      ))}
      <Button variant="outline-dark" onClick={() => onChange({ ...style, piles: [...style.piles, newPile(newId())] })}>
        Add a pile
      </Button>
    </section>
  )
}

const CLASS_WORDS: Readonly<Record<PileClass, string>> = {
  primary: 'portions',
  'by-product': 'by-product',
  waste: 'waste',
}
const PERCENT = 100

interface PileEditorProps {
  pile: StylePile
  onChange: (changes: Partial<StylePile>) => void
  onRemove: () => void
}

function PileEditor({ pile, onChange, onRemove }: PileEditorProps) {
  const { units, currency } = useKitchen()
  const id = useId()
  const per = units === 'metric' ? 'kilo' : 'pound'
  const { bounds } = pile
  const setBound = (key: 'target' | 'low' | 'high', grams: number | null) => {
    if (grams === null) return
    onChange({ bounds: { ...(bounds ?? { target: grams, low: grams, high: grams }), [key]: grams } })
  }
  return (
    <fieldset className="fields pile-editor">
      <legend>{pile.name || 'A new pile'}</legend>
      <Form.Group controlId={`${id}-name`}>
        <Form.Label>Name</Form.Label>
        <Form.Control
          value={pile.name}
          maxLength={120}
          required
          onChange={(event) => onChange({ name: event.target.value })}
        />
      </Form.Group>
      <Form.Group controlId={`${id}-class`}>
        <Form.Label>Use</Form.Label>
        <Form.Select
          value={pile.class}
          onChange={(event) => onChange({ class: event.target.value as PileClass, valuePerKg: null })}
        >
          {PILE_CLASSES.map((each) => (
            <option key={each} value={each}>
              {CLASS_WORDS[each]}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId={`${id}-weighing`}>
        <Form.Label>Weighed</Form.Label>
        <Form.Select value={pile.weighing} onChange={(event) => onChange({ weighing: event.target.value as Weighing })}>
          <option value="pieces">piece by piece</option>
          <option value="whole">as a whole</option>
        </Form.Select>
      </Form.Group>
      <NumberField
        label="Share of the whole, %"
        max={PERCENT}
        value={pile.expectedShare === null ? null : Number((pile.expectedShare * PERCENT).toFixed(4))}
        onChange={(percent) => onChange({ expectedShare: percent === null ? null : percent / PERCENT })}
      />
      {pile.class === 'primary' ? (
        <>
          <NumberField
            label="Portions of one unit"
            value={pile.portionsPerUnit}
            onChange={(portionsPerUnit) => onChange({ portionsPerUnit })}
          />
          <WeightField label="Target" grams={bounds?.target ?? null} onChange={(grams) => setBound('target', grams)} />
          <WeightField
            label="Too light below"
            grams={bounds?.low ?? null}
            onChange={(grams) => setBound('low', grams)}
          />
          <WeightField
            label="Too heavy above"
            grams={bounds?.high ?? null}
            onChange={(grams) => setBound('high', grams)}
          />
        </>
      ) : null}
      <NumberField
        key={`${pile.class}-value`}
        label={`${pile.class === 'waste' ? 'Haulage' : 'Value'}, ${currency} a ${per}`}
        min={pile.class === 'waste' ? -1_000_000 : 0}
        {...(pile.class === 'waste' ? { max: 0 } : {})}
        value={pile.valuePerKg === null ? null : pricePerWeight(pile.valuePerKg, units).amount}
        onChange={(amount) => onChange({ valuePerKg: amount === null ? null : pricePerKg(amount, units) })}
      />
      {pile.class === 'by-product' ? (
        <NumberField
          label="Used, 0 to 1"
          max={1}
          value={pile.usedShare}
          onChange={(usedShare) => onChange({ usedShare })}
        />
      ) : null}
      <Button variant="outline-dark" className="remove" aria-label={`Remove ${pile.name}`} onClick={onRemove}>
        Remove
      </Button>
    </fieldset>
  )
}
