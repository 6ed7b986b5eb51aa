import { factsOf } from '@fleam/catalogue'
import type { Item, Style, StylePile } from '@fleam/core/style'
import { ledTo, withOwnPiles } from '@fleam/core/style'

/** A copy under another name, as the kitchen's own: its ids are made on the device. It gives the same products. */
export const copyOfStyle = (style: Style, newId: () => string, name: string): Style => ({
  ...withOwnPiles(structuredClone(style), newId),
  id: newId(),
  name,
  version: 1,
  isArchived: false,
})

export const copyOfItem = (item: Item, newId: () => string, name: string): Item => ({
  ...structuredClone(item),
  id: newId(),
  name,
  isArchived: false,
  styles: item.styles.filter((style) => !style.isArchived).map((style) => copyOfStyle(style, newId, style.name)),
})

/** A name that is not taken: `name, ours`, then `name, ours 2` and so on. */
export function ownName(name: string, taken: readonly { name: string }[]): string {
  const isTaken = (wanted: string) => taken.some((entry) => entry.name === wanted)
  let wanted = `${name}, ours`
  for (let count = 2; isTaken(wanted); count++) wanted = `${name}, ours ${count}`
  return wanted
}

export const withPile = (style: Style, at: number, changes: Partial<StylePile>): Style => ({
  ...style,
  piles: style.piles.map((pile, place) => (place === at ? { ...pile, ...changes } : pile)),
})

/** Leaves a pile out, and with it whatever of the style refers to it. */
export function withoutPile(style: Style, at: number): Style {
  const gone = style.piles[at]?.id
  const piles = style.piles.filter((_, place) => place !== at)
  return { ...ledTo(style, (id) => (id === gone ? null : id)), piles }
}

/** A pile of trim until it is said what it is. */
export const newPile = (id: string, species: Item['species']): StylePile => ({
  id,
  productId: null,
  name: '',
  class: 'by-product',
  ...factsOf(species, 'trim'),
  weighing: 'whole',
  expectedShare: null,
  portionsPerUnit: null,
  bounds: null,
  landmark: '',
  region: null,
  valuePerKg: null,
  usedShare: null,
  processingPerKg: null,
})

/** Puts a step at another place, from 0; outside the list it stays where it is. */
export function withStepAt(style: Style, from: number, to: number): Style {
  const step = style.steps[from]
  if (!step || to < 0 || to >= style.steps.length) return style
  return { ...style, steps: style.steps.toSpliced(from, 1).toSpliced(to, 0, step) }
}

export function newStep(style: Style): Style['steps'][number] {
  const ids = new Set(style.steps.map((step) => step.id))
  let count = style.steps.length + 1
  while (ids.has(`own-${count}`)) count++
  return {
    id: `own-${count}`,
    title: '',
    doing: '',
    check: '',
    mistakes: [],
    tool: 'knife',
    pileIds: [],
    cautions: ['knife'],
    isOptional: false,
    gain: null,
    minutes: null,
    cut: null,
    when: null,
  }
}

/** Makes a choice the one that is made where nobody says otherwise: the first. */
export const withDefault = (style: Style, optionId: string, choiceId: string): Style => ({
  ...style,
  options: style.options.map((option) =>
    option.id === optionId
      ? {
          ...option,
          choices: [...option.choices].sort((a, b) => Number(b.id === choiceId) - Number(a.id === choiceId)),
        }
      : option,
  ),
})
