import { factsOf } from '@fleam/catalogue'
import type { Item, Style, StylePile } from '@fleam/contract'
import {
  PILE_CLASSES,
  PILE_KINDS,
  type PileClass,
  type PileKind,
  pricePerKg,
  pricePerWeight,
  type Weighing,
} from '@fleam/core'
import { useId } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../data/kitchen-context.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { newPile, withoutPile, withPile } from './style-draft.ts'

interface PilesEditorProps {
  style: Style
  species: Item['species']
  onChange: (style: Style) => void
}

/** Piles of a style with their shares, bounds and values. */
export function PilesEditor({ style, species, onChange }: PilesEditorProps) {
  return (
    <section aria-label="Piles">
      <h2>Piles</h2>
      {style.piles.map((pile, at) => (
        <PileEditor
          // biome-ignore lint/suspicious/noArrayIndexKey: a pile has no other name while its name is typed
          key={at}
          pile={pile}
          species={species}
          onChange={(changes) => onChange(withPile(style, at, changes))}
          onRemove={() => onChange(withoutPile(style, at))}
        />
      ))}
      <Button
        variant="outline-dark"
        onClick={() => onChange({ ...style, piles: [...style.piles, newPile(newId(), species)] })}
      >
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
const USUAL_KIND: Readonly<Record<PileClass, PileKind>> = { primary: 'portions', 'by-product': 'trim', waste: 'waste' }
const PERCENT = 100
const percentOf = (share: number) => Number((share * PERCENT).toFixed(4))

interface PileEditorProps {
  pile: StylePile
  species: Item['species']
  onChange: (changes: Partial<StylePile>) => void
  onRemove: () => void
}

function PileEditor({ pile, species, onChange, onRemove }: PileEditorProps) {
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
          onChange={(event) => {
            const chosen = event.target.value as PileClass
            onChange({ class: chosen, valuePerKg: null, ...factsOf(species, USUAL_KIND[chosen], pile.boneShare) })
          }}
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
        value={pile.expectedShare === null ? null : percentOf(pile.expectedShare)}
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
        label={`${pile.class === 'waste' ? 'Disposal cost' : 'Value'}, ${currency} a ${per}`}
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
      <WhatItIs pile={pile} species={species} onChange={onChange} />
      <Button variant="outline-dark" className="remove" aria-label={`Remove ${pile.name}`} onClick={onRemove}>
        Remove
      </Button>
    </fieldset>
  )
}

/** What a pile is, whatever it is called: from it follow how long it keeps and what is left of it on a plate. */
function WhatItIs({ pile, species, onChange }: Omit<PileEditorProps, 'onRemove'>) {
  const format = useFormat()
  const id = useId()
  return (
    <>
      <Form.Group controlId={id}>
        <Form.Label>What it is</Form.Label>
        <Form.Select
          value={pile.kind}
          onChange={(event) => onChange(factsOf(species, event.target.value as PileKind, pile.boneShare))}
        >
          {PILE_KINDS.map((each) => (
            <option key={each} value={each}>
              {each}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <NumberField
        label="Bone, %"
        max={PERCENT}
        value={percentOf(pile.boneShare)}
        onChange={(percent) => onChange({ boneShare: (percent ?? 0) / PERCENT })}
      />
      <NumberField
        key={`${pile.kind}-loss`}
        label="Cooking loss, %"
        max={PERCENT}
        value={percentOf(pile.cookingLoss)}
        onChange={(percent) => onChange({ cookingLoss: (percent ?? 0) / PERCENT })}
      />
      <NumberField
        key={`${pile.kind}-chilled`}
        label="Keeps in the cold, days"
        hint={`at or below ${format.words('5 °C (41 °F)')}; your local code or plan may say less`}
        value={pile.chilledDays}
        onChange={(days) => onChange({ chilledDays: days === null ? null : Math.floor(days) })}
      />
      <NumberField
        key={`${pile.kind}-frozen`}
        label="Keeps frozen, months"
        value={pile.frozenMonths}
        onChange={(months) => onChange({ frozenMonths: months === null ? null : Math.floor(months) })}
      />
    </>
  )
}
