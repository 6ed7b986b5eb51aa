import type { PileKind } from '@fleam/core/fabrication'
import type { NamedPile, NamedStep, NamedStyle, StyleOption, Tool } from '@fleam/core/style'
import { type Animal, factsOf } from './pile-facts.ts'

interface PortionOptions {
  /** The drawing's region it comes from. */
  region?: string | null
  landmark?: string
  /** Bounds as shares of the target, where the usual ones are too wide or too narrow. */
  within?: number
  /** Share of the raw portion that is bone; none where it is not said. */
  bone?: number
  /** Share of the raw weight that cooking takes, where it is not as usual for the animal. */
  loss?: number
}

const USUAL_BOUNDS = 0.12

/** Piles of an item whose usual unit weighs `usual` grams: portions get their bounds from the share that is expected. */
export function pilesFor(animal: Animal, usual: number) {
  const portion =
    (weighing: NamedPile['weighing']) =>
    (
      name: string,
      percent: number,
      perUnit: number,
      { region = null, landmark = '', within = USUAL_BOUNDS, bone = 0, loss }: PortionOptions = {},
    ): NamedPile => {
      const target = Math.round((usual * percent) / 100 / perUnit)
      return {
        name,
        class: 'primary',
        ...factsOf(animal, 'portions', bone, loss),
        weighing,
        expectedShare: percent / 100,
        portionsPerUnit: perUnit,
        bounds: { target, low: Math.round(target * (1 - within)), high: Math.round(target * (1 + within)) },
        landmark,
        region,
      }
    }
  const other =
    (pileClass: 'by-product' | 'waste', kind: PileKind) =>
    (
      name: string,
      percent: number,
      region: string | null = null,
      landmark = '',
      { bone = 0, loss }: Pick<PortionOptions, 'bone' | 'loss'> = {},
    ): NamedPile => ({
      name,
      class: pileClass,
      ...factsOf(animal, kind, bone, loss),
      weighing: 'whole',
      expectedShare: percent / 100,
      portionsPerUnit: null,
      bounds: null,
      landmark,
      region,
    })
  return {
    /** Portions weighed one by one. */
    pieces: portion('pieces'),
    /** Portions weighed together. */
    together: portion('whole'),
    /** What is served too, though it was not bought for it. */
    parts: other('by-product', 'portions'),
    trim: other('by-product', 'trim'),
    bones: other('by-product', 'bones'),
    fat: other('by-product', 'fat'),
    waste: other('waste', 'waste'),
    /** What runs out of the bag. */
    liquid: other('waste', 'liquid'),
  }
}

export interface StepWords {
  title: string
  /** How much of the style's minutes it takes beside the others; a usual step where it is not said. */
  work?: number
  doing: string
  check: string
  mistakes?: readonly string[]
  tool?: Tool
  cut?: string
  cautions?: readonly string[]
  /** Regions of the drawing whose portions it still changes: they are weighed here or later. */
  on?: readonly string[]
  /** Kinds of piles that it still adds to: they are weighed here or later. */
  gives?: readonly PileKind[]
}

/** What a step changes: a pile of it never leaves the board before. */
export interface StepWork {
  on: readonly string[]
  gives: readonly PileKind[]
}

type StepPlace = Partial<Pick<NamedStep, 'isOptional' | 'gain' | 'when'>> & { piles?: readonly string[] }

const USUAL_WORK = 2

/** Cautions that a tool brings with it wherever it is used. */
const TOOL_CAUTIONS: Readonly<Record<Tool, readonly string[]>> = {
  hands: [],
  knife: ['knife'],
  shears: ['knife'],
  saw: ['saw'],
  enzyme: ['bonding'],
  scale: [],
}

/**
 * Steps of one kind of animal, and what each of them changes: `every` are the cautions of each of its steps. The words are written once;
 * a style says which piles leave the board there, under its own names.
 */
export function stepsWith<K extends string>(every: readonly string[], words: Readonly<Record<K, StepWords>>) {
  const step = (id: K, piles: readonly string[] = [], place: Omit<StepPlace, 'piles'> = {}): NamedStep => {
    const {
      title,
      doing,
      check,
      tool = 'knife',
      cut = null,
      mistakes = [],
      cautions = [],
      work = USUAL_WORK,
    } = words[id]
    return {
      id,
      title,
      doing,
      check,
      mistakes,
      tool,
      piles,
      cautions: [...new Set([...cautions, ...TOOL_CAUTIONS[tool], ...every])],
      cut,
      isOptional: false,
      gain: null,
      when: null,
      minutes: work,
      ...place,
    }
  }
  const workOf = (id: string): StepWork => {
    const { on = [], gives = [] } = (words as Readonly<Record<string, StepWords | undefined>>)[id] ?? {}
    return { on, gives }
  }
  return Object.assign(step, { workOf })
}

const MINUTE_DIGITS = 10

/**
 * A style whose steps have minutes: as written, each has its part of the work, and the parts that everybody does by
 * default take the minutes of the style. To a tenth of a minute.
 */
export function withStepMinutes<S extends Pick<NamedStyle, 'minutesPerUnit' | 'steps' | 'options'>>(style: S): S {
  const isUsual = ({ when, isOptional }: NamedStep) =>
    !isOptional && (when === null || firstChoice(style.options, when.option) === when.choice)
  const whole = style.steps.filter(isUsual).reduce((sum, { minutes }) => sum + (minutes ?? 0), 0)
  const steps = style.steps.map((step) => {
    const minutes = step.gain ? step.gain.seconds / 60 : ((step.minutes ?? 0) * style.minutesPerUnit) / whole
    return { ...step, minutes: Math.round(minutes * MINUTE_DIGITS) / MINUTE_DIGITS }
  })
  return { ...style, steps }
}

const firstChoice = (options: readonly StyleOption[], id: string) =>
  options.find((option) => option.id === id)?.choices[0]?.id ?? null

interface ChoiceWords {
  why: string
  minutes?: number
  shares?: Readonly<Record<string, number>>
  order?: readonly string[]
}

/** A question with its choices by name; the first is the default. Shares are points of per cent of AP. */
export function option(
  id: string,
  question: string,
  choices: Readonly<Record<string, ChoiceWords & { id: string }>>,
): StyleOption {
  return {
    id,
    question,
    choices: Object.entries(choices).map(([name, { id: choiceId, why, minutes = 0, shares = {}, order = null }]) => ({
      id: choiceId,
      name,
      why,
      minutes,
      shares: Object.fromEntries(Object.entries(shares).map(([pile, percent]) => [pile, percent / 100])),
      order,
    })),
  }
}

/** How portions are held near their weight; thickness and eye save the walk to the scale, and cost evenness. */
export const portionControl = (thickness: string) =>
  option('control', 'Portions by', {
    'The scale, after almost every cut': { id: 'scale', why: 'Every portion near its target.' },
    [`Thickness, ${thickness}`]: {
      id: 'thickness',
      why: 'They cook alike; weights differ along the taper.',
      minutes: -1,
    },
    'Eye alone': { id: 'eye', why: 'Fastest, for a practised hand; practice scores it.', minutes: -1.5 },
  })
