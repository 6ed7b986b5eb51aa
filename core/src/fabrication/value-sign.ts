/** Haulage may cost, replacement may not: the sign of a value depends on the class of the pile. */
export function valueSignMessage(pile: { class: string; valuePerKg?: number | null | undefined }): string | null {
  const value = pile.valuePerKg ?? 0
  if (pile.class === 'waste' && value > 0) return 'must be zero or negative for waste (a disposal cost)'
  return pile.class !== 'waste' && value < 0 ? 'must not be negative' : null
}
