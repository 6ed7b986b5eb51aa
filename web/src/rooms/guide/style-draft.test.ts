import type { Item, Style } from '@fleam/contract'
import { shareLeft } from '@fleam/core'
import {
  copyOfItem,
  copyOfStyle,
  newPile,
  newStep,
  ownName,
  withDefault,
  withoutPile,
  withPile,
  withStep,
  withStepMoved,
} from './style-draft.ts'

const step = (id: string, piles: string[] = []) => ({
  ...newStep({ steps: [] } as unknown as Style),
  id,
  title: id,
  piles,
})
const STYLE: Style = {
  id: 'a',
  version: 3,
  isArchived: true,
  name: 'Supremes',
  minutesPerUnit: 9,
  piles: [
    { ...newPile('p1', 'poultry'), name: 'supremes', class: 'primary', expectedShare: 0.3 },
    { ...newPile('p2', 'poultry'), name: 'bones', expectedShare: 0.6 },
  ],
  steps: [
    { ...step('breasts', ['supremes']), gain: { pile: 'supremes', grams: 6, seconds: 30 } },
    step('carcass', ['bones']),
  ],
  options: [
    {
      id: 'wishbone',
      question: 'Wishbone',
      choices: [
        { id: 'out', name: 'out', why: '', minutes: 0, shares: { supremes: 0.01, bones: -0.01 }, order: null },
        { id: 'left', name: 'left', why: '', minutes: 0, shares: {}, order: null },
      ],
    },
  ],
  consumables: [],
}
const ITEM = {
  id: 'i',
  name: 'Chicken',
  isArchived: true,
  styles: [STYLE, { ...STYLE, id: 'b', isArchived: false }],
} as unknown as Item

test('a copy is the kitchen’s own, under a free name, and leaves the first alone', () => {
  let made = 0
  const copy = copyOfStyle(STYLE, () => `new-${made++}`, ownName('Supremes', [STYLE, { name: 'Supremes, ours' }]))
  expect(copy).toMatchObject({
    id: 'new-0',
    piles: [{ id: 'new-1' }, { id: 'new-2' }],
    name: 'Supremes, ours 2',
    version: 1,
    isArchived: false,
  })
  ;(copy.steps[0] as { title: string }).title = 'changed'
  expect(STYLE.steps[0]?.title).toBe('breasts')
  let count = 0
  const item = copyOfItem(ITEM, () => `new-${count++}`, 'Hen')
  expect(item).toMatchObject({ id: 'new-0', name: 'Hen', isArchived: false })
  expect(item.styles.map((style) => style.id)).toEqual(['new-1'])
})

test('a renamed pile is followed by the steps and options that point at it', () => {
  const renamed = withPile(STYLE, 0, { name: 'breasts' })
  expect(renamed.steps[0]).toMatchObject({ piles: ['breasts'], gain: { pile: 'breasts' } })
  expect(renamed.options[0]?.choices[0]?.shares).toEqual({ breasts: 0.01, bones: -0.01 })
  expect(withPile(STYLE, 0, { expectedShare: 0.2 }).steps).toBe(STYLE.steps)
})

test('a pile that is removed leaves nothing pointing at it', () => {
  const less = withoutPile(STYLE, 0)
  expect(less.piles.map((pile) => pile.name)).toEqual(['bones'])
  expect(less.steps[0]).toMatchObject({ piles: [], gain: null })
  expect(less.options[0]?.choices[0]?.shares).toEqual({ bones: -0.01 })
})

test('steps are changed, moved and written', () => {
  const ids = (style: Style) => style.steps.map((each) => each.id)
  expect(ids(withStepMoved(STYLE, 0, 1))).toEqual(['carcass', 'breasts'])
  expect(ids(withStepMoved(STYLE, 0, -1))).toEqual(['breasts', 'carcass'])
  expect(ids(withStepMoved(STYLE, 1, 1))).toEqual(['breasts', 'carcass'])
  expect(withStep(STYLE, 1, { title: 'Bones out' }).steps[1]?.title).toBe('Bones out')
  const own = newStep({ ...STYLE, steps: [...STYLE.steps, step('own-3')] })
  expect(own.id).toBe('own-4')
})

test('the choice made by default is the first', () => {
  expect(withDefault(STYLE, 'wishbone', 'left').options[0]?.choices.map((each) => each.id)).toEqual(['left', 'out'])
  expect(withDefault(STYLE, 'other', 'left')).toEqual(STYLE)
})

test('what is left of the whole is said, also when it is less than nothing', () => {
  expect(shareLeft(STYLE.piles)).toBeCloseTo(0.1, 9)
  expect(shareLeft(withPile(STYLE, 0, { expectedShare: 0.5 }).piles)).toBeCloseTo(-0.1, 9)
})
