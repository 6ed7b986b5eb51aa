import { factsOf } from '@fleam/catalogue'
import type { Item, Style, StylePile, StyleStep } from '@fleam/contract'

/** A copy under another name, as the kitchen's own: its ids are made on the device. It gives the same products. */
export const copyOfStyle = (style: Style, newId: () => string, name: string): Style => ({
  ...structuredClone(style),
  id: newId(),
  piles: style.piles.map((pile) => ({ ...structuredClone(pile), id: newId() })),
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
  const isTaken = (wanted: string) => taken.some((each) => each.name === wanted)
  let wanted = `${name}, ours`
  for (let count = 2; isTaken(wanted); count++) wanted = `${name}, ours ${count}`
  return wanted
}

/** Changes a pile; where its name changes, steps and options that point at it follow. */
export function withPile(style: Style, at: number, changes: Partial<StylePile>): Style {
  const before = style.piles[at] as StylePile
  const piles = style.piles.map((pile, place) => (place === at ? { ...pile, ...changes } : pile))
  return changes.name === undefined || changes.name === before.name
    ? { ...style, piles }
    : renamed({ ...style, piles }, before.name, changes.name)
}

function renamed(style: Style, from: string, to: string): Style {
  const name = (each: string) => (each === from ? to : each)
  return {
    ...style,
    steps: style.steps.map((step) => ({
      ...step,
      piles: step.piles.map(name),
      gain: step.gain ? { ...step.gain, pile: name(step.gain.pile) } : null,
    })),
    options: style.options.map((option) => ({
      ...option,
      choices: option.choices.map((choice) => ({
        ...choice,
        shares: Object.fromEntries(Object.entries(choice.shares).map(([pile, share]) => [name(pile), share])),
      })),
    })),
  }
}

export function withoutPile(style: Style, at: number): Style {
  const gone = style.piles[at]?.name
  return {
    ...style,
    piles: style.piles.filter((_, place) => place !== at),
    steps: style.steps.map((step) => ({
      ...step,
      piles: step.piles.filter((name) => name !== gone),
      gain: step.gain?.pile === gone ? null : step.gain,
    })),
    options: style.options.map((option) => ({
      ...option,
      choices: option.choices.map((choice) => ({
        ...choice,
        shares: Object.fromEntries(Object.entries(choice.shares).filter(([pile]) => pile !== gone)),
      })),
    })),
  }
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

export const withStep = (style: Style, at: number, changes: Partial<StyleStep>): Style => ({
  ...style,
  steps: style.steps.map((step, place) => (place === at ? { ...step, ...changes } : step)),
})

/** Moves a step up or down; at either end it stays. */
export function withStepMoved(style: Style, at: number, by: -1 | 1): Style {
  const to = at + by
  const steps = [...style.steps]
  const [here, there] = [steps[at], steps[to]]
  if (!here || !there) return style
  steps[at] = there
  steps[to] = here
  return { ...style, steps }
}

export function newStep(style: Style): StyleStep {
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
    piles: [],
    cautions: ['knife'],
    isOptional: false,
    gain: null,
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
