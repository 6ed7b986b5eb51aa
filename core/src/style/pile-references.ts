import type { StyleOption, StyleStep } from './cut-style.ts'

/** What inside a style, or of a style at the board, refers to piles. */
interface Referring<S extends StyleStep = StyleStep> {
  steps: readonly S[]
  options: readonly StyleOption[]
}

/** Where a reference leads now; null where what it led to is gone, and the reference with it. */
export type Lead = (reference: string) => string | null

/** Steps whose piles and gains lead elsewhere; a gain that leads nowhere is gone. */
export const stepsLedTo = <S extends StyleStep>(steps: readonly S[], lead: Lead): S[] =>
  steps.map((step) => {
    const gaining = step.gain && lead(step.gain.pileId)
    return {
      ...step,
      pileIds: step.pileIds.flatMap((id) => lead(id) ?? []),
      gain: step.gain && gaining ? { ...step.gain, pileId: gaining } : null,
    }
  })

/** Options whose shares lead elsewhere. */
export const optionsLedTo = (options: readonly StyleOption[], lead: Lead): StyleOption[] =>
  options.map((option) => ({
    ...option,
    choices: option.choices.map((choice) => ({
      ...choice,
      shares: Object.fromEntries(
        Object.entries(choice.shares).flatMap(([id, share]) => {
          const led = lead(id)
          return led === null ? [] : [[led, share]]
        }),
      ),
    })),
  }))

/** Every reference to a pile that a style holds, led elsewhere. */
export const ledTo = <T extends Referring>(style: T, lead: Lead): T => ({
  ...style,
  steps: stepsLedTo(style.steps, lead),
  options: optionsLedTo(style.options, lead),
})

/** A style whose piles have ids of their own, for a copy: what referred to a pile refers to its copy. */
export function withOwnPiles<P extends { id: string }, T extends Referring & { piles: readonly P[] }>(
  style: T,
  newId: () => string,
): T {
  const ids = new Map(style.piles.map((pile) => [pile.id, newId()]))
  const piles = style.piles.map((pile) => ({ ...pile, id: ids.get(pile.id) as string }))
  return { ...ledTo(style, (id) => ids.get(id) ?? null), piles }
}
