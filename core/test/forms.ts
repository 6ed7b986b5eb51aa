import type { BuyingRequest, FormPile, Quote, ReadyForm, WholeForm } from '../src/buying/index.ts'
import type { Estimate } from '../src/forecasting/index.ts'

export const estimate = (value: number, halfWidth = 0): Estimate => ({ basis: 'own', tests: 5, value, halfWidth })

export const quote = (amount: number, per: Quote['price']['per'] = 'kg', changes: Partial<Quote> = {}): Quote => ({
  price: { amount, per },
  pieceWeight: null,
  packPieces: null,
  packWeight: null,
  delivery: 0,
  minimumOrder: null,
  ...changes,
})

export const formPile = (name: string, share: number, changes: Partial<FormPile> = {}): FormPile => ({
  name,
  class: 'primary',
  share: estimate(share),
  target: null,
  portions: null,
  keeping: { chilledDays: 2, frozenMonths: 9 },
  valuePerKg: null,
  usedShare: null,
  processingPerKg: null,
  ...changes,
})

/** A chicken of 2 kg for supremes: a quarter of it is wanted, an eighth sells as drumsticks. */
export const wholeForm = (changes: Partial<WholeForm> = {}): WholeForm => ({
  kind: 'whole',
  id: 'whole',
  articleId: 'whole-article',
  supplierId: 'ostravale',
  supplier: 'Ostravale Poultry Yard',
  article: 'Chicken',
  quote: quote(3),
  since: '2026-11-01',
  item: 'Chicken, eviscerated',
  styleId: 'supremes-style',
  style: 'Supremes',
  unitWeight: 2000,
  minutesPerUnit: estimate(9),
  consumablesPerUnit: 0.3,
  piles: [
    formPile('supremes', 0.25, { share: estimate(0.25, 0.01), target: 250, valuePerKg: 13 }),
    formPile('drumsticks', 0.125, { class: 'by-product', valuePerKg: 4 }),
    formPile('bones', 0.6, { class: 'by-product' }),
    formPile('bin', 0.02, { class: 'waste' }),
  ],
  ...changes,
})

export const readyForm = (changes: Partial<ReadyForm> = {}): ReadyForm => ({
  kind: 'ready',
  id: 'ready',
  articleId: 'ready-article',
  supplierId: 'plattenkar',
  supplier: 'Plattenkar Provisions',
  article: 'Supremes, 20 x 280 g',
  quote: quote(76, 'case', { pieceWeight: 280, packPieces: 20 }),
  since: '2026-11-01',
  usableShare: 0.97,
  handlingMinutesPerPiece: 0.2,
  ...changes,
})

/** Twenty plates of 250 g of supremes. */
export const TWENTY_PLATES = {
  product: 'supremes',
  plates: 20,
  plateWeight: 250,
  lightPlates: 'whole',
  wagePerHour: 20,
  currency: 'EUR',
} as const satisfies BuyingRequest
