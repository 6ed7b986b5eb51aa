import type { Item, Style } from '@fleam/core/style'
import { shareLeft } from '@fleam/core/style'
import {
  copyOfItem,
  copyOfStyle,
  newPile,
  newStep,
  ownName,
  withDefault,
  withoutPile,
  withPile,
  withStepAt,
} from './style-draft.ts'

const step = (id: string, pileIds: string[] = []) => ({
  ...newStep({ steps: [] } as unknown as Style),
  id,
  title: id,
  pileIds,
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
  steps: [{ ...step('breasts', ['p1']), gain: { pileId: 'p1', grams: 6, seconds: 30 } }, step('carcass', ['p2'])],
  options: [
    {
      id: 'wishbone',
      question: 'Wishbone',
      choices: [
        { id: 'out', name: 'out', why: '', minutes: 0, shares: { p1: 0.01, p2: -0.01 }, order: null },
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
    id: 'new-2',
    piles: [{ id: 'new-0' }, { id: 'new-1' }],
    name: 'Supremes, ours 2',
    version: 1,
    isArchived: false,
  })
  // What pointed at a pile points at the copy's own.
  expect(copy.steps[0]).toMatchObject({ pileIds: ['new-0'], gain: { pileId: 'new-0' } })
  expect(copy.options[0]?.choices[0]?.shares).toEqual({ 'new-0': 0.01, 'new-1': -0.01 })
  ;(copy.steps[0] as { title: string }).title = 'changed'
  expect(STYLE.steps[0]?.title).toBe('breasts')
  let count = 0
  const item = copyOfItem(ITEM, () => `new-${count++}`, 'Hen')
  expect(item).toMatchObject({ id: 'new-0', name: 'Hen', isArchived: false })
  expect(item.styles.map((style) => style.id)).toEqual(['new-3'])
})

test('a pile may change its name, and everything points at it still', () => {
  const renamed = withPile(STYLE, 0, { name: 'breasts' })
  expect(renamed.piles.map((pile) => pile.name)).toEqual(['breasts', 'bones'])
  expect(renamed).toMatchObject({ steps: STYLE.steps, options: STYLE.options })
})

test('a pile that is removed leaves nothing pointing at it', () => {
  const less = withoutPile(STYLE, 0)
  expect(less.piles.map((pile) => pile.name)).toEqual(['bones'])
  expect(less.steps[0]).toMatchObject({ pileIds: [], gain: null })
  expect(less.options[0]?.choices[0]?.shares).toEqual({ p2: -0.01 })
})

test('steps are moved and written', () => {
  const ids = (style: Style) => style.steps.map((step) => step.id)
  expect(ids(withStepAt(STYLE, 0, 1))).toEqual(['carcass', 'breasts'])
  expect(ids(withStepAt(STYLE, 0, -1))).toEqual(['breasts', 'carcass'])
  expect(ids(withStepAt(STYLE, 1, 2))).toEqual(['breasts', 'carcass'])
  const three = { ...STYLE, steps: [...STYLE.steps, step('pack')] }
  expect(ids(withStepAt(three, 2, 0))).toEqual(['pack', 'breasts', 'carcass'])
  const own = newStep({ ...STYLE, steps: [...STYLE.steps, step('own-3')] })
  expect(own.id).toBe('own-4')
})

test('the choice made by default is the first', () => {
  expect(withDefault(STYLE, 'wishbone', 'left').options[0]?.choices.map((choice) => choice.id)).toEqual(['left', 'out'])
  expect(withDefault(STYLE, 'other', 'left')).toEqual(STYLE)
})

test('what is left of the whole is said, also when it is less than nothing', () => {
  expect(shareLeft(STYLE.piles)).toBeCloseTo(0.1, 9)
  expect(shareLeft(withPile(STYLE, 0, { expectedShare: 0.5 }).piles)).toBeCloseTo(-0.1, 9)
})
