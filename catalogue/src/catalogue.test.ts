import { type NamedStyle, partsOfNamed, settleStyle } from '@fleam/core/style'
import {
  CATALOGUE,
  CAUTIONS,
  type CatalogueItem,
  type CatalogueStyle,
  cautionById,
  cautionsFor,
  DEFERS_TO,
  DRAWINGS,
  drawingOf,
  RECEIVING_CHECKS,
  receivingChecksFor,
} from './index.ts'

const styles = CATALOGUE.flatMap((item) => item.styles.map((style) => [style.id, style, item] as const))

/** Every way in which a style's options can be chosen. */
function ways(style: CatalogueStyle): Record<string, string>[] {
  return style.options.reduce<Record<string, string>[]>(
    (all, { id, choices }) => all.flatMap((way) => choices.map((choice) => ({ ...way, [id]: choice.id }))),
    [{}],
  )
}
/** The style as a kitchen has it, whose piles have their names for ids here. */
function withIds(style: NamedStyle) {
  const names = style.piles.map((pile) => pile.name)
  return { ...style, ...partsOfNamed(style, () => names.shift() as string) }
}
const settled = (style: CatalogueStyle) => ways(style).map((way) => settleStyle(withIds(style), way))
const stepOf = (item: CatalogueItem) => item.styles.flatMap((style) => style.steps)

test('every id is there once', () => {
  const ids = [...CATALOGUE.map((item) => item.id), ...styles.map(([id]) => id)]
  expect(new Set(ids).size).toBe(ids.length)
})

describe.each(styles)('%s', (_id, style, item) => {
  test('shares and normal loss add to the whole, whatever is chosen', () => {
    expect(style.normalLoss).toBeGreaterThanOrEqual(0.005)
    expect(style.normalLoss).toBeLessThanOrEqual(0.03)
    for (const { piles, minutesPerUnit } of settled(style)) {
      const shares = piles.reduce((sum, pile) => sum + (pile.expectedShare ?? 0), 0)
      expect(shares + style.normalLoss).toBeCloseTo(1, 9)
      expect(minutesPerUnit).toBeGreaterThan(0)
    }
  })

  test('has a portion pile, and names no pile and no step twice', () => {
    const names = style.piles.map((pile) => pile.name)
    expect(new Set(names).size).toBe(names.length)
    expect(style.piles.some((pile) => pile.class === 'primary')).toBe(true)
    for (const { steps } of settled(style)) {
      const ids = steps.map((step) => step.id)
      expect(new Set(ids).size).toBe(ids.length)
    }
  })

  test('bounds of a portion agree with the yield of a usual unit', () => {
    for (const pile of style.piles) {
      if (!pile.bounds || pile.portionsPerUnit === null || pile.expectedShare === null) continue
      const usual = (item.unitWeight.usual * pile.expectedShare) / pile.portionsPerUnit
      expect(pile.bounds.low).toBeLessThan(pile.bounds.target)
      expect(pile.bounds.high).toBeGreaterThan(pile.bounds.target)
      expect(Math.abs(pile.bounds.target / usual - 1)).toBeLessThan(0.03)
    }
  })

  test('every pile is filled by a step, whatever is chosen, and no step fills a pile that is not there', () => {
    const names = style.piles.map((pile) => pile.name)
    for (const { steps } of settled(style)) {
      expect([...new Set(steps.flatMap((step) => step.pileIds))].sort()).toEqual([...names].sort())
    }
  })

  test('the bin that a step weighs and the liquid that it drains are piles of their own, filled there', () => {
    const kindsAt = (id: string) =>
      style.steps
        .filter((step) => step.id === id)
        .map((step) => style.piles.filter((pile) => step.piles.includes(pile.name)).map((pile) => pile.kind))
    expect(kindsAt('clean-down')).toEqual([['waste']])
    for (const kinds of kindsAt('drain')) expect(kinds).toEqual(['liquid'])
    expect(style.piles.some((pile) => pile.kind === 'liquid')).toBe(style.steps.some((step) => step.id === 'drain'))
  })

  test('every step says what to do, how to tell that it is right, and what goes wrong', () => {
    for (const step of style.steps) {
      expect(step.doing.length).toBeGreaterThan(20)
      expect(step.check.length).toBeGreaterThan(10)
      expect(step.mistakes.length).toBeGreaterThan(0)
      if (step.gain) expect(style.piles.map((pile) => pile.name)).toContain(step.gain.pile)
    }
  })

  test('choices hang together: steps and piles that they name are there', () => {
    const stepIds = style.steps.map((step) => step.id)
    for (const option of style.options) {
      for (const choice of option.choices) {
        for (const pile of Object.keys(choice.shares)) expect(style.piles.map((pile) => pile.name)).toContain(pile)
        for (const id of choice.order ?? []) expect(stepIds).toContain(id)
      }
    }
    for (const { when } of style.steps) {
      if (!when) continue
      const option = style.options.find((option) => option.id === when.option)
      expect(option?.choices.map((choice) => choice.id)).toContain(when.choice)
    }
  })

  test('every pile says what it is, how it keeps, and what of it is bone', () => {
    for (const { class: pileClass, kind, boneShare, cookingLoss, chilledDays, frozenMonths } of style.piles) {
      expect(
        { primary: ['portions'], waste: ['waste', 'liquid'], 'by-product': ['portions', 'trim', 'bones', 'fat'] }[
          pileClass
        ],
      ).toContain(kind)
      expect(boneShare >= 0 && boneShare < 0.5).toBe(true)
      expect(cookingLoss > 0 && cookingLoss < 0.5).toBe(true)
      // What is eaten has a day in the cold and a month frozen; what is thrown away is not kept.
      const isKept = pileClass !== 'waste'
      expect([chilledDays === null, frozenMonths === null]).toEqual([!isKept, !isKept])
      if (isKept) expect((chilledDays ?? 0) >= 1 && (frozenMonths ?? 0) >= 2).toBe(true)
      if (kind === 'trim') expect(chilledDays).toBe(1)
    }
  })

  test('what a step cuts and where a pile comes from are drawn', () => {
    const { views } = drawingOf(item.drawing)
    for (const { cut } of style.steps) if (cut) expect(views.some((view) => cut in view.cuts) || cut).toBe(true)
    for (const { region } of style.piles) {
      if (region) expect(views.some((view) => region in view.regions) || region).toBe(true)
    }
  })
})

describe('cautions', () => {
  const steps = CATALOGUE.flatMap((item) => stepOf(item).map((step) => ({ item, step })))

  test('that a step names are there, and may stand at a step', () => {
    for (const { step } of steps) {
      for (const id of step.cautions) expect([id, cautionById(id) !== undefined]).toEqual([id, true])
    }
  })

  test('stand at every step of poultry and fish', () => {
    for (const { item, step } of steps) {
      if (item.species === 'poultry') expect(step.cautions).toContain('poultry-dry')
      if (item.species === 'fish') expect(step.cautions).toContain('fish-cold')
    }
  })

  test('stand wherever a saw or a binding enzyme is used, and on the label of what was bonded', () => {
    expect(steps.some(({ step }) => step.tool === 'saw')).toBe(true)
    for (const { step } of steps) {
      if (step.tool === 'saw') expect(step.cautions).toContain('saw')
      if (step.tool === 'enzyme') expect(step.cautions).toContain('bonding')
      if (step.piles.includes('bonded steaks')) expect(step.cautions).toContain('bonded-label')
    }
  })

  test.each(['poultry', 'fish', 'red-meat'] as const)(
    'for %s are there at the board, at receiving, for cooking and on the label',
    (species) => {
      for (const place of ['board', 'receiving', 'cooking', 'label'] as const) {
        expect(cautionsFor(species, place).length).toBeGreaterThan(0)
      }
    },
  )

  test('say their temperatures in both scales, and defer', () => {
    for (const { text } of CAUTIONS) if (text.includes('°C')) expect(text).toMatch(/°C \(\d+ °F\)/)
    expect(cautionsFor('poultry', 'label')[0]?.text).toContain('74 °C')
    expect(DEFERS_TO).toContain('local code')
  })
})

test.each(DRAWINGS)('the drawing of %s has views with regions and cuts inside their frame', (name) => {
  for (const view of drawingOf(name).views) {
    expect(Object.keys(view.regions).length).toBeGreaterThan(4)
    for (const path of [...view.outline, ...Object.values(view.regions), ...Object.values(view.cuts)]) {
      const numbers = (path.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number)
      numbers.forEach((number, index) => {
        expect(number).toBeGreaterThanOrEqual(0)
        expect(number).toBeLessThanOrEqual(index % 2 === 0 ? view.width : view.height)
      })
    }
  }
})

test('questions on which cooks differ are there to choose', () => {
  const questions = new Set(styles.flatMap(([, style]) => style.options.map((option) => option.question)))
  for (const question of [
    'Wishbone',
    'Order',
    'Frenching',
    'Rib cage',
    'Pin bones',
    'Boning it whole',
    'Cutting',
    'Tail',
    'Bone on the portion',
    'Portions by',
    'Rigor',
    'Bare bone begins',
    'Fat cover',
  ]) {
    expect(questions).toContain(question)
  }
})

describe('what piles are', () => {
  const pileOf = (item: string, name: string) =>
    CATALOGUE.find((catalogueItem) => catalogueItem.name.startsWith(item))
      ?.styles.flatMap((style) => style.piles)
      .find((pile) => pile.name === name)

  test.each([
    ['Chicken, eviscerated', 'supremes', 'portions', 0.07, 0.22, 2],
    ['Chicken, eviscerated', 'thighs, boneless', 'portions', 0, 0.22, 2],
    ['Chicken, eviscerated', 'wing tips and flats', 'portions', 0, 0.22, 2],
    ['Chicken, eviscerated', 'bones and back', 'bones', 0, 0.22, 2],
    ['Chicken, eviscerated', 'drumsticks', 'portions', 0.3, 0.22, 2],
    ['Duck', 'legs', 'portions', 0.26, 0.35, 2],
    ['Beef tenderloin', 'tips', 'trim', 0, 0.15, 1],
    ['Beef tenderloin', 'medallions', 'portions', 0, 0.15, 4],
    ['Lamb rack, eight ribs, chined', 'frenched racks', 'portions', 0.2, 0.18, 4],
    ['Turbot', 'frame, head, frill', 'bones', 0, 0.14, 2],
    ['Turbot', 'sections', 'portions', 0.22, 0.14, 1],
  ] as const)('%s: %s are %s', (item, name, kind, boneShare, cookingLoss, chilledDays) => {
    expect(pileOf(item, name)).toMatchObject({ kind, boneShare, cookingLoss, chilledDays })
  })
})

test('items of one family are of one species', () => {
  for (const { family, species } of CATALOGUE) {
    expect(new Set(CATALOGUE.filter((item) => item.family === family).map((item) => item.species))).toEqual(
      new Set([species]),
    )
  }
})

test('checks at the door fit the animal, and each animal’s temperature has a limit', () => {
  const ids = (species: 'poultry' | 'fish' | 'red-meat') => receivingChecksFor(species).map((check) => check.id)
  expect(ids('poultry')).toEqual(expect.arrayContaining(['temperature', 'seal', 'liquid', 'skin', 'keel', 'size']))
  expect(ids('fish')).toEqual(expect.arrayContaining(['fish-temperature', 'stiffness', 'days-since-catch']))
  expect(ids('fish')).not.toContain('skin')
  expect(ids('red-meat')).toContain('fat-cover')
  for (const species of ['poultry', 'fish', 'red-meat'] as const) {
    expect(
      receivingChecksFor(species).some((check) => check.number?.unit === '°C' && check.number.faultAbove !== null),
    ).toBe(true)
  }
  expect(new Set(RECEIVING_CHECKS.map((check) => check.id)).size).toBe(RECEIVING_CHECKS.length)
})
