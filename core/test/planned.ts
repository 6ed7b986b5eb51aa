import type { PlannedPile } from '../src/fabrication/index.ts'

/** A planned pile with nothing known of it but what is said. */
export const planned = (id: string, changes: Partial<PlannedPile> = {}): PlannedPile => ({
  id,
  name: id,
  class: 'primary',
  weighing: 'whole',
  expectedShare: null,
  portions: null,
  target: null,
  low: null,
  high: null,
  valuePerKg: null,
  usedShare: null,
  processingPerKg: null,
  ...changes,
})

/** Six chickens for supremes: what the style expects of 12.6 kg. */
export const SIX_BIRDS = {
  ap: 12_600,
  piles: [
    planned('supremes', { weighing: 'pieces', expectedShare: 0.27, portions: 12, target: 280, low: 235, high: 310 }),
    planned('thighs', { expectedShare: 0.13, portions: 12, target: 136 }),
    planned('drumsticks', { class: 'by-product', weighing: 'pieces', expectedShare: 0.135, portions: 12, target: 142 }),
    planned('bones', { class: 'by-product', expectedShare: 0.31 }),
    planned('bin', { class: 'waste', expectedShare: 0.02 }),
  ],
  steps: [
    { pileIds: [] },
    { pileIds: ['drumsticks'] },
    { pileIds: ['thighs'] },
    { pileIds: ['supremes'] },
    { pileIds: ['bones', 'bin'] },
  ],
}
