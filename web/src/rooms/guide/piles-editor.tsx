import { factsOf } from '@fleam/catalogue'
import { PILE_KINDS, type PileClass, type PileKind } from '@fleam/core/fabrication'
import type { Item } from '@fleam/core/style'
import { pricePerKg, pricePerWeight } from '@fleam/core/units'
import Button from 'react-bootstrap/Button'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../data/kitchen-context.ts'
import { FormNumber, FormSelect, FormText, FormWeight } from '../../parts/form-fields.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './piles-editor.module.css'
import { newPile, withoutPile, withPile } from './style-draft.ts'
import type { StyleForm } from './use-style-form.ts'

interface PilesEditorProps {
  editing: StyleForm
  species: Item['species']
}

/** Piles of a style with their shares, bounds and values. */
export function PilesEditor({ editing, species }: PilesEditorProps) {
  const { style, apply, revision } = editing
  return (
    <section aria-label="Piles">
      <h2>Piles</h2>
      {style.piles.map((pile, index) => (
        <PileEditor key={`${pile.id} ${revision}`} editing={editing} at={index} species={species} />
      ))}
      <Button
        variant="outline-dark"
        onClick={() => apply({ ...style, piles: [...style.piles, newPile(newId(), species)] })}
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
const WEIGHING_WORDS = { pieces: 'piece by piece', whole: 'as a whole' } as const
const KIND_WORDS = Object.fromEntries(PILE_KINDS.map((kind) => [kind, kind]))
const USUAL_KIND: Readonly<Record<PileClass, PileKind>> = { primary: 'portions', 'by-product': 'trim', waste: 'waste' }
const PERCENT = 100
/** A share as percent, and back. */
const asPercent = {
  shown: (share: number) => Number((share * PERCENT).toFixed(4)),
  kept: (percent: number) => percent / PERCENT,
}

interface PileEditorProps extends PilesEditorProps {
  /** Place of the pile in the style. */
  at: number
}

function PileEditor({ editing, at, species }: PileEditorProps) {
  const { form, style, apply } = editing
  const pile = style.piles[at]
  if (!pile) return null
  const { control } = form
  const setClass = (chosen: PileClass) =>
    apply(
      withPile(style, at, { class: chosen, valuePerKg: null, ...factsOf(species, USUAL_KIND[chosen], pile.boneShare) }),
    )
  return (
    <fieldset className={`fields ${css.pileEditor}`}>
      <legend>{pile.name || 'A new pile'}</legend>
      <FormText control={control} name={`piles.${at}.name`} label="Name" />
      <FormSelect
        control={control}
        name={`piles.${at}.class`}
        label="Use"
        choices={CLASS_WORDS}
        onChoose={(chosen) => setClass(chosen as PileClass)}
      />
      <FormSelect control={control} name={`piles.${at}.weighing`} label="Weighed" choices={WEIGHING_WORDS} />
      <FormNumber
        control={control}
        name={`piles.${at}.expectedShare`}
        label="Share of the whole, %"
        max={PERCENT}
        {...asPercent}
      />
      {pile.class === 'primary' ? <PortionFields editing={editing} at={at} /> : null}
      <ValueFields editing={editing} at={at} />
      <WhatItIs editing={editing} at={at} species={species} />
      <Button
        variant="outline-dark"
        className={css.remove}
        aria-label={`Remove ${pile.name}`}
        onClick={() => apply(withoutPile(style, at))}
      >
        Remove
      </Button>
    </fieldset>
  )
}

type FieldsProps = Omit<PileEditorProps, 'species'>

/** How many portions a pile is, and how heavy each may be. */
function PortionFields({ editing: { form, style, apply }, at }: FieldsProps) {
  const { control } = form
  if (style.piles[at]?.bounds === null) {
    const bounds = { target: null, low: null, high: null } as never
    return (
      <>
        <FormNumber control={control} name={`piles.${at}.portionsPerUnit`} label="Portions of one unit" />
        <Button variant="outline-dark" onClick={() => apply(withPile(style, at, { bounds }))}>
          Say how heavy a portion is
        </Button>
      </>
    )
  }
  return (
    <>
      <FormNumber control={control} name={`piles.${at}.portionsPerUnit`} label="Portions of one unit" />
      <FormWeight control={control} name={`piles.${at}.bounds.target`} label="Target" />
      <FormWeight control={control} name={`piles.${at}.bounds.low`} label="Too light below" />
      <FormWeight control={control} name={`piles.${at}.bounds.high`} label="Too heavy above" />
    </>
  )
}

/** What a pile is worth, and how much of it is used. */
function ValueFields({ editing: { form, style }, at }: FieldsProps) {
  const { units, currency } = useKitchen()
  const use = style.piles[at]?.class
  const per = units === 'metric' ? 'kilo' : 'pound'
  return (
    <>
      <FormNumber
        control={form.control}
        name={`piles.${at}.valuePerKg`}
        label={`${use === 'waste' ? 'Disposal cost' : 'Value'}, ${currency} a ${per}`}
        min={use === 'waste' ? -1_000_000 : 0}
        {...(use === 'waste' ? { max: 0 } : {})}
        shown={(perKg) => pricePerWeight(perKg, units).amount}
        kept={(amount) => pricePerKg(amount, units)}
      />
      {use === 'by-product' ? (
        <FormNumber control={form.control} name={`piles.${at}.usedShare`} label="Used, 0 to 1" max={1} />
      ) : null}
    </>
  )
}

/** What a pile is, whatever it is called: from it follow how long it keeps and what is left of it on a plate. */
function WhatItIs({ editing: { form, style, apply }, at, species }: PileEditorProps) {
  const format = useFormat()
  const { control } = form
  const setKind = (kind: string) =>
    apply(withPile(style, at, factsOf(species, kind as PileKind, style.piles[at]?.boneShare)))
  return (
    <>
      <FormSelect
        control={control}
        name={`piles.${at}.kind`}
        label="What it is"
        choices={KIND_WORDS}
        onChoose={setKind}
      />
      <FormNumber control={control} name={`piles.${at}.boneShare`} label="Bone, %" max={PERCENT} {...asPercent} />
      <FormNumber
        control={control}
        name={`piles.${at}.cookingLoss`}
        label="Cooking loss, %"
        max={PERCENT}
        {...asPercent}
      />
      <FormNumber
        control={control}
        name={`piles.${at}.chilledDays`}
        label="Keeps in the cold, days"
        hint={`the day of making counted; at or below ${format.words('5 °C (41 °F)')}; your local code or plan may say less`}
        kept={Math.floor}
      />
      <FormNumber control={control} name={`piles.${at}.frozenMonths`} label="Keeps frozen, months" kept={Math.floor} />
    </>
  )
}
