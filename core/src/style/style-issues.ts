import { shareLeft } from './choices.ts'
import type { CutPile, CutStyle, NamedStep } from './cut-style.ts'

/** More than this above the whole is not rounding. */
const SHARE_TOLERANCE = 1e-6

export interface StyleIssue {
  path: (string | number)[]
  message: string
}

/** References of a style to piles, each with the place where it stands. */
type References = readonly { reference: string; path: StyleIssue['path'] }[]

type WithOptions = Pick<CutStyle, 'options'>

/** A style of either form, as far as it is checked. */
interface StyleToCheck extends WithOptions {
  piles: readonly Pick<CutPile, 'name' | 'class' | 'expectedShare'>[]
  steps: readonly Pick<NamedStep, 'id' | 'when'>[]
}

/** A style that refers to its piles by ids. */
export interface StyleByIds extends Pick<CutStyle, 'steps' | 'options'> {
  piles: readonly (StyleToCheck['piles'][number] & { id: string })[]
}

/** A style that names its piles. */
export interface StyleByNames extends StyleToCheck {
  steps: readonly NamedStep[]
}

const sharesOf = ({ options }: WithOptions): References =>
  options.flatMap(({ choices }, index) =>
    choices.flatMap(({ shares }, place) =>
      Object.keys(shares).map((reference) => ({
        reference,
        path: ['options', index, 'choices', place, 'shares', reference],
      })),
    ),
  )

const idsIn = (style: StyleByIds): References => [
  ...style.steps.flatMap(({ pileIds, gain }, index) => [
    ...pileIds.map((reference, place) => ({ reference, path: ['steps', index, 'pileIds', place] })),
    ...(gain ? [{ reference: gain.pileId, path: ['steps', index, 'gain', 'pileId'] }] : []),
  ]),
  ...sharesOf(style),
]

const namesIn = (style: StyleByNames): References => [
  ...style.steps.flatMap(({ piles, gain }, index) => [
    ...piles.map((reference, place) => ({ reference, path: ['steps', index, 'piles', place] })),
    ...(gain ? [{ reference: gain.pile, path: ['steps', index, 'gain', 'pile'] }] : []),
  ]),
  ...sharesOf(style),
]

function issuesOf(style: StyleToCheck, piles: readonly string[], references: References): StyleIssue[] {
  const issues: StyleIssue[] = [
    ...repeated(style.piles.map((pile) => pile.name)).map((at) => ({
      path: ['piles', at, 'name'],
      message: 'is there twice',
    })),
    ...repeated(style.steps.map((step) => step.id)).map((at) => ({
      path: ['steps', at, 'id'],
      message: 'is there twice',
    })),
    ...references.flatMap(({ reference, path }) =>
      piles.includes(reference) ? [] : [{ path, message: 'is not a pile of this style' }],
    ),
    ...style.steps.flatMap(({ when }, index) => {
      const option = when === null ? null : style.options.find(({ id }) => id === when.option)
      const isThere = when === null || option?.choices.some((choice) => choice.id === when.choice)
      return isThere ? [] : [{ path: ['steps', index, 'when'], message: 'is not a choice of this style' }]
    }),
  ]
  if (!style.piles.some((pile) => pile.class === 'primary')) {
    issues.push({ path: ['piles'], message: 'must hold a portion pile' })
  }
  if (shareLeft(style.piles) < -SHARE_TOLERANCE) issues.push({ path: ['piles'], message: 'expect more than the whole' })
  return issues
}

/**
 * What no field can say alone: names once, steps and options that point at what is there, shares within the whole.
 * Empty where nothing is wrong; each issue has the path of its field.
 */
export function styleIssues(style: StyleByIds): StyleIssue[] {
  const ids = style.piles.map((pile) => pile.id)
  return [
    ...repeated(ids).map((at) => ({ path: ['piles', at, 'id'], message: 'is there twice' })),
    ...issuesOf(style, ids, idsIn(style)),
  ]
}

/** The same for a style that names its piles. */
export function namedStyleIssues(style: StyleByNames): StyleIssue[] {
  const names = style.piles.map((pile) => pile.name)
  return issuesOf(style, names, namesIn(style))
}

/** Places of what stands before already. */
const repeated = (names: readonly string[]) =>
  names.flatMap((name, index) => (names.indexOf(name) === index ? [] : [index]))
