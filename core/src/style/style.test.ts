import { evaluate } from '../explanation/index.ts'
import type { PileKind } from '../fabrication/index.ts'
import { type CutStyle, choicesOf, type PileFacts, type StyleStep, settleStyle, stepWorth } from './index.ts'

const step = (id: string, changes: Partial<StyleStep> = {}): StyleStep => ({
  id,
  title: id,
  doing: '',
  check: '',
  mistakes: [],
  tool: 'knife',
  piles: [],
  cautions: [],
  isOptional: false,
  gain: null,
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
          shares: { supremes: -0.003, bones: 0.003, surprise: 1 },
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
      expect(settleStyle(STYLE, chosen).steps.map((each) => each.id)).toEqual([
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
    expect(settled.steps.map((each) => each.id)).not.toContain('wishbone')
    expect(settled.choices).toContainEqual({ question: 'Wishbone', choice: 'Leave it' })
  })

  test('an order changes the places of its own steps alone', () => {
    const { steps } = settleStyle(STYLE, { order: 'breasts' })
    expect(steps.map((each) => each.id)).toEqual(['dry', 'wishbone', 'breasts', 'legs', 'wings'])
  })

  test('a share never falls below zero', () => {
    const greedy = {
      ...STYLE,
      options: [
        {
          id: 'o',
          question: '',
          choices: [{ id: 'a', name: '', why: '', minutes: 0, shares: { bones: -1 }, order: null }],
        },
      ],
    }
    expect(settleStyle(greedy, {}).piles[1]?.expectedShare).toBe(0)
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
