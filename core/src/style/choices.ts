import type { CutPile, CutStyle, StyleChoice, StyleStep } from './cut-style.ts'

/** What was chosen, by the id of the option. An option that is not named has its default. */
export type Chosen = Readonly<Record<string, string>>

export interface ChosenOption {
  question: string
  choice: string
}

/** A style with its options settled: what the board, the clock and the costs follow. */
export interface SettledStyle<P extends CutPile = CutPile> {
  minutesPerUnit: number
  piles: readonly P[]
  steps: readonly StyleStep[]
  choices: readonly ChosenOption[]
}

/** The choice of each option: the one named, the first where none or an unknown one is named. */
export function choicesOf(
  style: CutStyle,
  chosen: Chosen,
): { option: string; question: string; choice: StyleChoice }[] {
  return style.options.flatMap(({ id, question, choices }) => {
    const choice = choices.find((choice) => choice.id === chosen[id]) ?? choices[0]
    return choice ? [{ option: id, question, choice }] : []
  })
}

/**
 * Settles the options of a style: minutes and shares are those of the style plus what each choice adds
 * (a share never falls below zero), steps of choices that were not made are left out, and the steps that
 * a choice orders change places among themselves. Steps that fill no pile of the settled style stay.
 */
export function settleStyle<P extends CutPile>(style: CutStyle<P>, chosen: Chosen): SettledStyle<P> {
  const choices = choicesOf(style, chosen)
  const isMade = ({ when }: StyleStep) =>
    when === null || choices.some(({ option, choice }) => option === when.option && choice.id === when.choice)
  let steps = style.steps.filter(isMade)
  for (const { choice } of choices) if (choice.order) steps = reordered(steps, choice.order)
  return {
    minutesPerUnit: choices.reduce((sum, { choice }) => sum + choice.minutes, style.minutesPerUnit),
    piles: style.piles.map((pile) => withShares(pile, choices)),
    steps,
    choices: choices.map(({ question, choice }) => ({ question, choice: choice.name })),
  }
}

function withShares<P extends CutPile>(pile: P, made: readonly { choice: StyleChoice }[]): P {
  if (pile.expectedShare === null) return pile
  const added = made.reduce((sum, { choice }) => sum + (choice.shares[pile.id] ?? 0), 0)
  return added === 0 ? pile : { ...pile, expectedShare: Math.max(0, pile.expectedShare + added) }
}

/** The steps that are named take each other's places in the order named; the others stay where they are. */
function reordered(steps: readonly StyleStep[], order: readonly string[]): StyleStep[] {
  const named = order.flatMap((id) => steps.filter((step) => step.id === id))
  let next = 0
  return steps.map((step) => (order.includes(step.id) ? (named[next++] as StyleStep) : step))
}

/** What is left of the whole when every pile has its share: drip and drying; less than nothing where piles expect too much. */
export const shareLeft = (piles: readonly Pick<CutPile, 'expectedShare'>[]): number =>
  1 - piles.reduce((sum, pile) => sum + (pile.expectedShare ?? 0), 0)
