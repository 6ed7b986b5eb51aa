import type { z } from 'zod'

interface ValuedPile {
  class: string
  valuePerKg?: number | null | undefined
}

/** Refuses a value by its sign: what is thrown away may cost its haulage and never earns, what is used never costs. */
export function refuseValueSign({ class: own, valuePerKg }: ValuedPile, context: z.RefinementCtx): void {
  const value = valuePerKg ?? 0
  const refuse = (message: string) => context.addIssue({ code: 'custom', path: ['valuePerKg'], message })
  if (own === 'waste' && value > 0) refuse('must be zero or negative for waste (a disposal cost)')
  if (own !== 'waste' && value < 0) refuse('must not be negative')
}
