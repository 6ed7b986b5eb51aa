import type { Product } from '@fleam/contract/buying/schemas'
import { type BuyingForm, portionsFrom, type SideBySide, sideOf, type WholeForm } from '@fleam/core/buying'
import { evaluate } from '@fleam/core/explanation'
import type { Item } from '@fleam/core/style'
import Form from 'react-bootstrap/Form'
import { useSearchParams } from 'react-router-dom'
import { useFormsOfProducts, useProducts } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { ItemChoice, WithForms } from '../../parts/item-choice.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { ChoicesCompared } from './choices-compared.tsx'
import { SideTable } from './side-table.tsx'
import css from './styles-compared.module.css'
import verdictCss from './verdict.module.css'
import { WhatAPlateIs } from './what-a-plate-is.tsx'
import whatIfsCss from './what-ifs.module.css'

const MAX_COMPARED = 6
const MIN_COMPARED = 2
const USUAL_UNITS = 6

/** Two to six cut styles or forms of one item on the same axes. */
export function Component() {
  const items = useItems()
  const [search, setSearch] = useSearchParams()
  if (items.isError) return <Failed error={items.error} retry={() => void items.refetch()} />
  if (!items.data) return <Loading what="the items" />
  const item = items.data.find((row) => row.name === search.get('of')) ?? items.data[0]
  if (!item) return null
  const units = Number(search.get('units') ?? USUAL_UNITS)
  const set = (changes: Record<string, string | null>) =>
    setSearch(
      (before) => {
        for (const [key, value] of Object.entries(changes)) {
          if (value === null) before.delete(key)
          else before.set(key, value)
        }
        return before
      },
      { replace: true, preventScrollReset: true },
    )
  return (
    <div className={`room ${verdictCss.verdict}`}>
      <h1>Cut styles side by side</h1>
      <div className="question">
        <ItemChoice
          itemId={item.id}
          onChoose={(id) => set({ of: items.data.find((row) => row.id === id)?.name ?? null, forms: null })}
        />
        <NumberField
          label="Cut at once"
          value={units}
          min={1}
          max={1000}
          onChange={(count) => count !== null && set({ units: String(count) })}
        />
      </div>
      <WithForms itemId={item.id}>
        {(forms) => (
          <Compared
            item={item}
            whole={forms}
            units={units}
            chosen={search.get('forms')?.split(',') ?? null}
            onChoose={(ids) => set({ forms: ids.join(',') })}
          />
        )}
      </WithForms>
    </div>
  )
}

interface ComparedProps {
  item: Item
  whole: readonly WholeForm[]
  units: number
  /** Ids of the forms that are wanted; null to begin with some. */
  chosen: readonly string[] | null
  onChoose: (ids: string[]) => void
}

/** One form with the product that it gives; of something whole that is the whole of it. */
interface Candidate {
  id: string
  form: BuyingForm
  product: string
}

function Compared({ item, whole, units, chosen, onChoose }: ComparedProps) {
  const { wagePerHour, currency } = useKitchen()
  // What the item's styles give that may be bought ready, each product once, under the name of its pile.
  const wanted = new Map(
    item.styles
      .filter((style) => !style.isArchived)
      .flatMap((style) =>
        style.piles.flatMap(({ productId, name }) => (productId === null ? [] : [[productId, name]])),
      ),
  )
  const formsOfProducts = useFormsOfProducts([...wanted.keys()])
  const products = useProducts().data ?? []
  const productOf = (pile: string) => products.find(({ id }) => wanted.get(id) === pile)
  const request = {
    units,
    wagePerHour,
    currency,
    plateOf: (pile: string) => productOf(pile)?.plate ?? null,
    // As many portions are bought ready as are cut, so that delivery and packs are spread alike.
    portionsOf: (product: string) => portionsFrom(whole, product, units),
    boneShareOf: (name: string) =>
      item.styles.flatMap(({ piles }) => piles).find((pile) => pile.name === name)?.boneShare ?? 0,
  }
  const candidates: Candidate[] = [
    ...whole.map((form) => ({ id: form.id, form, product: '' })),
    ...[...wanted.values()].flatMap((product, index) =>
      (formsOfProducts[index] ?? []).flatMap((form) => (form.kind === 'ready' ? { id: form.id, form, product } : [])),
    ),
  ]
  const sideBySide = candidates.flatMap(({ form, product }) => sideOf(form, request, product) ?? [])
  const sides = chosen ? sideBySide.filter(({ form }) => chosen.includes(form.id)) : cheapestOfEach(sideBySide)
  const shown = sides.slice(0, MAX_COMPARED)
  const ids = shown.map(({ form }) => form.id)
  return (
    <>
      <p className="quiet">
        For an order of {units} {units === 1 ? item.unitName.one : item.unitName.many}, and ready-cut for as many
        portions; at today’s prices and the yields that this kitchen expects.
      </p>
      <SideTable sides={shown} nameOf={nameOf} />
      <details className={css.sideChoice}>
        <summary>Which stand here: two to six</summary>
        <fieldset className={whatIfsCss.whatIfChoice}>
          <legend className="visually-hidden">Cut styles and forms that stand side by side</legend>
          {sideBySide.map(({ form }) => {
            const { id } = form
            const isIn = ids.includes(id)
            return (
              <Form.Check
                key={id}
                id={`side-${id}`}
                label={`${nameOf(form)}${form.kind === 'whole' ? `, ${form.article}` : ''}`}
                checked={isIn}
                disabled={isIn ? ids.length <= MIN_COMPARED : ids.length >= MAX_COMPARED}
                onChange={(event) =>
                  onChoose(event.target.checked ? [...ids, id] : ids.filter((other) => other !== id))
                }
              />
            )
          })}
        </fieldset>
      </details>
      <WhatAPlateIs key={`plates ${item.id}`} products={platesShown(shown, productOf)} />
      <ChoicesCompared key={item.id} item={item} whole={whole} terms={request} />
    </>
  )
}

/** Each product that stands there once, with what a plate of it is. */
function platesShown(sides: readonly SideBySide[], productOf: (pile: string) => Product | undefined) {
  const seen = new Map(sides.flatMap(({ plates }) => plates.map((plate) => [plate.pile, plate] as const)))
  return [...seen.values()].flatMap((plate) => {
    const product = productOf(plate.pile)
    return product ? [{ product, said: plate }] : []
  })
}

const nameOf = (form: BuyingForm) =>
  form.kind === 'whole' ? `${form.style} · ${form.supplier}` : `${form.article}, bought ready · ${form.supplier}`

/** Each cut style once, from the supplier from whom its plate costs least; what is bought ready comes in too. */
function cheapestOfEach(sides: readonly SideBySide[]): SideBySide[] {
  const best = new Map<string, SideBySide>()
  for (const side of sides) {
    const key = side.form.kind === 'whole' ? side.form.style : side.form.article
    const before = best.get(key)
    if (!before || costOf(side) < costOf(before)) best.set(key, side)
  }
  const whole = [...best.values()].filter(({ form }) => form.kind === 'whole')
  const ready = [...best.values()].filter(({ form }) => form.kind === 'ready').slice(0, 1)
  return [...whole.slice(0, MAX_COMPARED - ready.length), ...ready]
}

function costOf({ figures }: SideBySide): number {
  return figures.costPerPlate ? evaluate(figures.costPerPlate.expression) : Number.POSITIVE_INFINITY
}
