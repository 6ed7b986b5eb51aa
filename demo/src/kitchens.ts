import type { Price } from '@fleam/core'

/** Everything here is made up. Nothing in it belongs to a real person, brand or place. */
export interface KitchenScript {
  name: string
  currency: string
  units: 'metric' | 'imperial'
  timeZone: string
  wagePerHour: number
  cooks: readonly { name: string; wagePerHour: number }[]
  /** What this kitchen says its chicken piles are worth, by the name of the pile. */
  chickenValues: Readonly<Record<string, { valuePerKg: number; usedShare?: number; processingPerKg?: number }>>
  offer: { supplier: string; name: string; pile: string; price: Price; pieces?: number; pieceWeight: number }
  sessions: readonly SessionScript[]
}

/** One fabrication as it happened. */
export interface SessionScript {
  daysAgo: number
  cook: string
  supplier: string
  price: Price
  extras: number
  birds: number
  /** How much of what can be had this cook gets, 1 is the style's own expectation. */
  skill: number
  /** Minutes a bird. */
  pace: number
  event?: 'half-done' | 'drumsticks-not-weighed' | 'short-delivery' | 'bones-thrown-away'
}

const OSTRAVALE = 'Ostravale Poultry Yard'
const BRINDLEMERE = 'Brindlemere Meats'
const PLATTENKAR = 'Plattenkar Provisions'
const COOK_WAGE = 21.4
const SOUS_CHEF_WAGE = 27.5

const perKg = (amount: number): Price => ({ amount, per: 'kg' })

const LARCH_HALT: KitchenScript = {
  name: 'Larch Halt',
  currency: 'EUR',
  units: 'metric',
  timeZone: 'Europe/Vienna',
  wagePerHour: COOK_WAGE,
  cooks: [
    { name: 'Marit', wagePerHour: SOUS_CHEF_WAGE },
    ...['Ondine', 'Casimir', 'Thessaly', 'Bruno'].map((name) => ({ name, wagePerHour: COOK_WAGE })),
  ],
  chickenValues: {
    supremes: { valuePerKg: 13.2 },
    'thighs, boneless': { valuePerKg: 9.4 },
    drumsticks: { valuePerKg: 4.2, usedShare: 1 },
    'wing tips and flats': { valuePerKg: 4.6, usedShare: 0.9 },
    'bones and back': { valuePerKg: 1.3, usedShare: 0.7, processingPerKg: 0.35 },
    fat: { valuePerKg: 1.1, usedShare: 0.5 },
    bin: { valuePerKg: -0.15 },
  },
  offer: {
    supplier: PLATTENKAR,
    name: 'Supremes, 20 x 280 g',
    pile: 'supremes',
    price: { amount: 76, per: 'case' },
    pieces: 20,
    pieceWeight: 280,
  },
  sessions: [
    { daysAgo: 38, cook: 'Bruno', supplier: OSTRAVALE, price: perKg(3.05), extras: 3, birds: 6, skill: 0.93, pace: 16 },
    { daysAgo: 35, cook: 'Ondine', supplier: OSTRAVALE, price: perKg(3.05), extras: 3, birds: 8, skill: 1.01, pace: 9 },
    { daysAgo: 31, cook: 'Bruno', supplier: OSTRAVALE, price: perKg(3.05), extras: 3, birds: 6, skill: 0.95, pace: 14 },
    {
      daysAgo: 28,
      cook: 'Casimir',
      supplier: BRINDLEMERE,
      price: perKg(2.9),
      extras: 0,
      birds: 6,
      skill: 0.9,
      pace: 10,
    },
    {
      daysAgo: 24,
      cook: 'Thessaly',
      supplier: OSTRAVALE,
      price: perKg(3.1),
      extras: 3,
      birds: 6,
      skill: 1,
      pace: 10,
      event: 'short-delivery',
    },
    { daysAgo: 21, cook: 'Bruno', supplier: OSTRAVALE, price: perKg(3.1), extras: 3, birds: 6, skill: 0.97, pace: 12 },
    {
      daysAgo: 17,
      cook: 'Casimir',
      supplier: BRINDLEMERE,
      price: perKg(2.9),
      extras: 0,
      birds: 8,
      skill: 0.91,
      pace: 10,
    },
    {
      daysAgo: 14,
      cook: 'Marit',
      supplier: OSTRAVALE,
      price: perKg(3.1),
      extras: 3,
      birds: 6,
      skill: 1.02,
      pace: 8,
      event: 'bones-thrown-away',
    },
    { daysAgo: 10, cook: 'Ondine', supplier: OSTRAVALE, price: perKg(4.9), extras: 3, birds: 6, skill: 1.01, pace: 9 },
    {
      daysAgo: 7,
      cook: 'Bruno',
      supplier: OSTRAVALE,
      price: perKg(3.1),
      extras: 3,
      birds: 6,
      skill: 0.99,
      pace: 11,
      event: 'drumsticks-not-weighed',
    },
    { daysAgo: 3, cook: 'Thessaly', supplier: OSTRAVALE, price: perKg(3.1), extras: 3, birds: 6, skill: 1, pace: 9 },
    {
      daysAgo: 0,
      cook: 'Ondine',
      supplier: OSTRAVALE,
      price: perKg(3.1),
      extras: 3,
      birds: 6,
      skill: 1,
      pace: 9,
      event: 'half-done',
    },
  ],
}

const GOODS_SHED_SCHOOL: KitchenScript = {
  name: 'Goods Shed School',
  currency: 'USD',
  units: 'imperial',
  timeZone: 'Europe/Vienna',
  wagePerHour: 18,
  cooks: Array.from({ length: 12 }, (_, at) => ({ name: `S-${String(at + 1).padStart(2, '0')}`, wagePerHour: 18 })),
  chickenValues: LARCH_HALT.chickenValues,
  offer: {
    supplier: PLATTENKAR,
    name: 'Supremes, loose',
    pile: 'supremes',
    price: { amount: 6.9, per: 'lb' },
    pieceWeight: 283.5,
  },
  sessions: [
    {
      daysAgo: 6,
      cook: 'S-01',
      supplier: OSTRAVALE,
      price: { amount: 1.69, per: 'lb' },
      extras: 0,
      birds: 1,
      skill: 0.9,
      pace: 24,
    },
    {
      daysAgo: 6,
      cook: 'S-02',
      supplier: OSTRAVALE,
      price: { amount: 1.69, per: 'lb' },
      extras: 0,
      birds: 1,
      skill: 0.94,
      pace: 21,
    },
  ],
}

export const KITCHENS: readonly KitchenScript[] = [LARCH_HALT, GOODS_SHED_SCHOOL]
export const CHICKEN_STYLE = 'Supremes and boneless thighs'
