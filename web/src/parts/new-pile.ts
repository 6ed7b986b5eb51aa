import type { PlannedPile } from '@fleam/core/fabrication'

/** A pile that nobody planned: something kept for staff, a better cut, a spoiled one. */
export const newPile = (id: string): PlannedPile => ({
  id,
  name: '',
  class: 'by-product',
  weighing: 'whole',
  expectedShare: null,
  portions: null,
  target: null,
  low: null,
  high: null,
  valuePerKg: null,
  usedShare: null,
  processingPerKg: null,
})
