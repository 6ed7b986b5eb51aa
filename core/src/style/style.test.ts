import { evaluate } from '../explanation/index.ts'
import type { PileKind } from '../fabrication/index.ts'
import {
  type CutStyle,
  choicesOf,
  ledTo,
  namedPartsOf,
  type PileFacts,
  partsOfNamed,
  type StyleStep,
  settleStyle,
  stepMinutes,
  stepWorth,
  withOwnPiles,
} from './index.ts'

const step = (id: string, changes: Partial<StyleStep> = {}): StyleStep => ({
  id,
  title: id,
  doing: '',
  check: '',
  mistakes: [],
  tool: 'knife',
  pileIds: [],
  cautions: [],
  isOptional: false,
  gain: null,
  minutes: null,
  cut: null,
  when: null,
  ...changes,
})
const facts = (kind: PileKind): PileFacts => ({
  kind,
  boneShare: 0,
  cookingLoss: 0.2,
  chilledDays: 2,
  frozenMonths: 3,
})
const STYLE: CutStyle = {
  name: 'supremes',
  minutesPerUnit: 9,
  piles: [
    {
      id: 'p1',
      name: 'supremes',
      class: 'primary',
      ...facts('portions'),
      weighing: 'pieces',
      expectedShare: 0.27,
      portionsPerUnit: 2,
      bounds: null,
      landmark: '',
      region: null,
    },
    {
      id: 'p2',
      name: 'bones',
      class: 'by-product',
      ...facts('bones'),
      weighing: 'whole',
      expectedShare: 0.31,
      portionsPerUnit: null,
      bounds: null,
      landmark: '',
      region: null,
    },
    {
      id: 'p3',
      name: 'surprise',
      class: 'waste',
      ...facts('waste'),
      weighing: 'whole',
      expectedShare: null,
      portionsPerUnit: null,
      bounds: null,
      landmark: '',
      region: null,
    },
  ],
  steps: [
    step('dry'),
    step('wishbone', { when: { option: 'wishbone', choice: 'out' } }),
    step('legs'),
    step('wings'),
    step('breasts'),
  ],
  options: [
    {
      id: 'wishbone',
      question: 'Wishbone',
      choices: [
        { id: 'out', name: 'Out first', why: '', minutes: 0, shares: {}, order: null },
        {
          id: 'left',
          name: 'Leave it',
          why: '',
          minutes: -0.5,
          shares: { p1: -0.003, p2: 0.003, p3: 1 },
          order: null,
        },
      ],
    },
    {
      id: 'order',
      question: 'Order',
      choices: [
        { id: 'legs', name: 'Legs first', why: '', minutes: 0, shares: {}, order: null },
        { id: 'breasts', name: 'Breasts first', why: '', minutes: 0, shares: {}, order: ['breasts', 'legs', 'wings'] },
      ],
    },
  ],
  consumables: [],
}

describe('options of a style', () => {
  test('nothing chosen, or something that is not there, is the default', () => {
    for (const chosen of [{}, { wishbone: 'nonsense', other: 'x' }]) {
      expect(choicesOf(STYLE, chosen).map(({ choice }) => choice.name)).toEqual(['Out first', 'Legs first'])
      expect(settleStyle(STYLE, chosen).steps.map((step) => step.id)).toEqual([
        'dry',
        'wishbone',
        'legs',
        'wings',
        'breasts',
      ])
    }
  })

  test('minutes, shares and steps follow the choice; a share that is not known stays so', () => {
    const settled = settleStyle(STYLE, { wishbone: 'left' })
    expect(settled.minutesPerUnit).toBe(8.5)
    expect(settled.piles.map((pile) => pile.expectedShare)).toEqual([0.267, 0.313, null])
    expect(settled.steps.map((step) => step.id)).not.toContain('wishbone')
    expect(settled.choices).toContainEqual({ question: 'Wishbone', choice: 'Leave it' })
  })

  test('an order changes the places of its own steps alone', () => {
    const { steps } = settleStyle(STYLE, { order: 'breasts' })
    expect(steps.map((step) => step.id)).toEqual(['dry', 'wishbone', 'breasts', 'legs', 'wings'])
  })

  test('a share never falls below zero', () => {
    const greedy = {
      ...STYLE,
      options: [
        {
          id: 'o',
          question: '',
          choices: [{ id: 'a', name: '', why: '', minutes: 0, shares: { p2: -1 }, order: null }],
        },
      ],
    }
    expect(settleStyle(greedy, {}).piles[1]?.expectedShare).toBe(0)
  })
})

describe('what refers to piles', () => {
  const filled = {
    ...STYLE,
    steps: [step('legs', { pileIds: ['p2', 'p1'] }), step('out', { gain: { pileId: 'p1', grams: 6, seconds: 30 } })],
  }

  test('is named in a document, and comes back from it with other ids', () => {
    const named = namedPartsOf(filled)
    expect(named.piles[0]).not.toHaveProperty('id')
    expect(named.steps[0]?.piles).toEqual(['bones', 'supremes'])
    expect(named.steps[1]?.gain).toEqual({ pile: 'supremes', grams: 6, seconds: 30 })
    expect(named.options[0]?.choices[1]?.shares).toEqual({ supremes: -0.003, bones: 0.003, surprise: 1 })
    let made = 0
    const back = { ...filled, ...partsOfNamed(named, () => `q${made++}`) }
    expect(back.steps[0]?.pileIds).toEqual(['q1', 'q0'])
    expect(namedPartsOf(back)).toEqual(named)
    // Nothing that is settled or worked out depends on what the ids are.
    const shares = (style: CutStyle) => settleStyle(style, { wishbone: 'left' }).piles.map((pile) => pile.expectedShare)
    expect(shares(back)).toEqual(shares(filled))
  })

  test('that is not there is refused', () => {
    const named = namedPartsOf(filled)
    expect(() => partsOfNamed({ ...named, piles: named.piles.slice(1) }, () => 'q')).toThrow(/'supremes' is not a pile/)
  })

  test('follows the piles of a copy, and goes with a pile that goes', () => {
    let made = 0
    const copy = withOwnPiles(filled, () => `q${made++}`)
    expect(copy.piles.map((pile) => pile.id)).toEqual(['q0', 'q1', 'q2'])
    expect(copy.steps[1]?.gain?.pileId).toBe('q0')
    const less = ledTo(filled, (id) => (id === 'p1' ? null : id))
    expect(less.steps).toMatchObject([{ pileIds: ['p2'] }, { gain: null }])
    expect(less.options[0]?.choices[1]?.shares).toEqual({ p2: 0.003, p3: 1 })
  })
})

describe('what a step is worth', () => {
  test('grams gained against seconds paid', () => {
    const { worth, wageAtZero, explanation } = stepWorth({ grams: 6, valuePerKg: 13.2, seconds: 30, wagePerHour: 21.4 })
    expect(worth).toBeCloseTo(0.0792 - 0.178333, 6)
    expect(wageAtZero).toBeCloseTo(9.504, 6)
    expect(evaluate(explanation.expression)).toBeCloseTo(worth, 12)
  })

  test('at the wage where it is zero it brings nothing; without time there is no such wage', () => {
    const { wageAtZero } = stepWorth({ grams: 30, valuePerKg: 14, seconds: 120, wagePerHour: 1 })
    expect(stepWorth({ grams: 30, valuePerKg: 14, seconds: 120, wagePerHour: wageAtZero as number }).worth).toBeCloseTo(
      0,
      12,
    )
    expect(stepWorth({ grams: 30, valuePerKg: 14, seconds: 0, wagePerHour: 20 }).wageAtZero).toBeNull()
  })
})

test('steps take as long as they say; the others share what is left of the unit', () => {
  const minutesOf = (own: (number | null)[], whole: number) =>
    stepMinutes(
      own.map((minutes) => ({ minutes })),
      whole,
    )
  expect(minutesOf([3, null, null], 9)).toEqual([3, 3, 3])
  expect(minutesOf([3, null, 1], 2)).toEqual([3, 2, 1])
  expect(minutesOf([null, null], 0)).toEqual([1, 1])
  expect(minutesOf([4, 5], 18)).toEqual([4, 5])
})
