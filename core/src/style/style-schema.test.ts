import { style, styleFile } from './style.ts'

const id = '019b76da-a8f2-7000-8003-cbb2874dc7a1'
const PILE = {
  id,
  name: 'bin',
  class: 'waste',
  weighing: 'whole',
  expectedShare: 0.02,
  portionsPerUnit: null,
  bounds: null,
  landmark: '',
  valuePerKg: -0.1,
  usedShare: null,
  processingPerKg: null,
  kind: 'waste',
  boneShare: 0,
  cookingLoss: 0,
  chilledDays: null,
  frozenMonths: null,
}
const PORTIONS = {
  ...PILE,
  id: id.replace('a1', 'a2'),
  name: 'portions',
  class: 'primary',
  kind: 'portions',
  expectedShare: 0.9,
  valuePerKg: 12,
}
const STEP = {
  id: 'cut',
  title: 'Cut',
  doing: 'Cut it.',
  check: 'It is cut.',
  mistakes: [],
  tool: 'knife',
  pileIds: [PORTIONS.id],
  cautions: ['knife'],
  isOptional: false,
  gain: null,
  minutes: null,
  cut: null,
  when: null,
}
const OPTION = {
  id: 'tail',
  question: 'Tail',
  choices: [{ id: 'on', name: 'on', why: '', minutes: 0, shares: {}, order: null }],
}
/** No pile of this style. */
const NOWHERE = id.replace('a1', 'a9')
const STYLE = { id, name: 's', minutesPerUnit: 9, piles: [PORTIONS, PILE], steps: [STEP], options: [OPTION] }

/** `piles[2].weight`. */
const pathText = (path: readonly PropertyKey[]) =>
  path
    .map((step) => (typeof step === 'number' ? `[${step}]` : `.${String(step)}`))
    .join('')
    .slice(1)

const paths = (changes: object): string[] => {
  const result = style.safeParse({ ...STYLE, ...changes })
  return result.success
    ? []
    : result.error.issues.flatMap((issue) => (issue.code === 'unrecognized_keys' ? issue.keys : pathText(issue.path)))
}

test('a style of before steps is whole without them', () => {
  const { steps: _steps, options: _options, ...old } = STYLE
  expect(style.parse(old)).toMatchObject({ steps: [], options: [], consumables: [], version: 1, isArchived: false })
})

for (const [what, changes, expected] of [
  ['nothing wrong', {}, []],
  ['a value on waste', { piles: [PORTIONS, { ...PILE, valuePerKg: 0.1 }] }, ['piles[1].valuePerKg']],
  ['a charge on a by-product', { piles: [PORTIONS, { ...PILE, class: 'by-product' }] }, ['piles[1].valuePerKg']],
  [
    'a target of nothing',
    { piles: [{ ...PORTIONS, bounds: { target: 0, low: 1, high: 2 } }] },
    ['piles[0].bounds.target'],
  ],
  ['bounds upside down', { piles: [{ ...PORTIONS, bounds: { target: 5, low: 9, high: 2 } }] }, ['piles[0].bounds.low']],
  [
    'a share of more than the whole',
    { piles: [{ ...PORTIONS, expectedShare: 1.2 }] },
    ['piles[0].expectedShare', 'piles'],
  ],
  ['shares of more than the whole', { piles: [{ ...PORTIONS, expectedShare: 0.99 }, PILE] }, ['piles']],
  ['a pile twice', { piles: [PORTIONS, PILE, PILE] }, ['piles[2].id', 'piles[2].name']],
  ['no portion pile', { piles: [PILE], steps: [] }, ['piles']],
  ['no piles', { piles: [], steps: [] }, ['piles', 'piles']],
  ['a step twice', { steps: [STEP, STEP] }, ['steps[1].id']],
  ['a step that fills what is not there', { steps: [{ ...STEP, pileIds: [NOWHERE] }] }, ['steps[0].pileIds[0]']],
  [
    'a gain of what is not there',
    { steps: [{ ...STEP, gain: { pileId: NOWHERE, grams: 1, seconds: 1 } }] },
    ['steps[0].gain.pileId'],
  ],
  [
    'a choice that gives to what is not there',
    { options: [{ ...OPTION, choices: [{ ...OPTION.choices[0], shares: { [NOWHERE]: 0.1 } }] }] },
    [`options[0].choices[0].shares.${NOWHERE}`],
  ],
  [
    'a step of a choice that is not there',
    { steps: [{ ...STEP, when: { option: 'tail', choice: 'off' } }] },
    ['steps[0].when'],
  ],
  ['a step with a strange tool', { steps: [{ ...STEP, tool: 'sword' }] }, ['steps[0].tool']],
  ['an option without choices', { options: [{ ...OPTION, choices: [] }] }, ['options[0].choices']],
  ['unknown fields', { colour: 'red' }, ['colour']],
] as const) {
  test(`${what}: ${expected.join(', ') || 'taken'}`, () => expect(paths(changes)).toEqual(expected))
}

test('a style file says what it is', () => {
  const { id: _id, piles, ...rest } = STYLE
  const { pileIds: _pileIds, ...step } = STEP
  const bare = {
    ...rest,
    piles: piles.map(({ id: _pileId, ...pile }) => pile),
    steps: [{ ...step, piles: ['portions'], gain: { pile: 'portions', grams: 6, seconds: 30 } }],
  }
  const item = {
    name: 'Chicken',
    species: 'poultry',
    unitName: { one: 'bird', many: 'birds' },
    unitWeight: { low: 1, usual: 2, high: 3 },
  }
  expect(styleFile.safeParse({ format: 'fleam/style', version: 1, item, style: bare }).success).toBe(true)
  expect(styleFile.safeParse({ format: 'fleam/fabrication', version: 1, item, style: bare }).success).toBe(false)
  expect(
    styleFile.safeParse({ format: 'fleam/style', version: 1, item, style: { ...bare, piles: bare.piles.slice(1) } })
      .success,
  ).toBe(false)
})
