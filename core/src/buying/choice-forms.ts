import type { CutStyle, StyleChoice } from '../style/index.ts'
import type { WholeForm } from './buying-form.ts'

/** A style cut in one of the ways on which good cooks differ, all else as it is usually done. */
export interface ChoiceForm {
  option: string
  question: string
  choice: StyleChoice
  /** The way that the style has where nothing is said. */
  isUsual: boolean
  form: WholeForm
}

/**
 * The form of a style once for each choice of each option: minutes and shares change by what the choice adds beyond
 * that of the usual one (a share never falls below zero). `form` is the style as it is usually done.
 */
export function choiceForms(form: WholeForm, style: CutStyle): ChoiceForm[] {
  const idOf = new Map(style.piles.map(({ id, name }) => [name, id]))
  return style.options.flatMap(({ id: option, question, choices }) => {
    const [usual] = choices
    return choices.map((choice): ChoiceForm => {
      const more = (pile: string) => {
        const id = idOf.get(pile)
        return id === undefined ? 0 : (choice.shares[id] ?? 0) - (usual?.shares[id] ?? 0)
      }
      const minutes = choice.minutes - (usual?.minutes ?? 0)
      return {
        option,
        question,
        choice,
        isUsual: choice === usual,
        form: {
          ...form,
          id: `${form.id} ${option} ${choice.id}`,
          minutesPerUnit: { ...form.minutesPerUnit, value: Math.max(0, form.minutesPerUnit.value + minutes) },
          piles: form.piles.map((pile) => ({
            ...pile,
            share: { ...pile.share, value: Math.max(0, pile.share.value + more(pile.name)) },
          })),
        },
      }
    })
  })
}
