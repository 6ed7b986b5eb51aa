import type { Price } from '@fleam/core/fabrication'
import type { CookShift } from '@fleam/core/scheduling'
import type { Species } from '@fleam/core/style'

/** What piles are worth, by their name. */
export type PileValues = Readonly<Record<string, { valuePerKg: number; usedShare?: number; processingPerKg?: number }>>

/** Everything here is made up. Nothing in it belongs to a real person, brand or place. */
export interface KitchenScript {
  name: string
  currency: string
  units: 'metric' | 'imperial'
  timeZone: string
  wagePerHour: number
  /** Hours at the board by day of the week, Monday first; null where nobody says. */
  cooks: readonly { name: string; wagePerHour: number; week: CookShift[] | null; skills?: Species[] }[]
  /** What this kitchen says the piles of its cut styles are worth, by the name of the style and of the pile. */
  values: Readonly<Record<string, PileValues>>
  offer: { supplier: string; name: string; pile: string; price: Price; pieces?: number; pieceWeight: number }
  sessions: readonly SessionScript[]
  /** Eighteen months of prices, and what is in the cold. */
  hasPriceBook: boolean
  /** Eighteen months of records. */
  hasHistory: boolean
}

/** One fabrication as it happened. */
export interface SessionScript {
  /** Name of the cut style; chickens for supremes where it is not said. */
  style?: string
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
const SKERROW = 'Skerrow Quay Fish'
const PLATTENKAR = 'Plattenkar Provisions'
const COOK_WAGE = 21.4
const SOUS_CHEF_WAGE = 27.5

const perKg = (amount: number): Price => ({ amount, per: 'kg' })

export const CHICKEN_STYLE = 'Supremes and boneless thighs'
const LOIN_STYLE = 'Steaks, head roast and tips'
const DUCK_STYLE = 'Breasts and confit legs'
const CHAR_STYLE = 'Skin-on, pin-boned portions'

const CHICKEN_VALUES: PileValues = {
  supremes: { valuePerKg: 13.2 },
  'thighs, boneless': { valuePerKg: 9.4 },
  drumsticks: { valuePerKg: 4.2, usedShare: 1 },
  'wing tips and flats': { valuePerKg: 4.6, usedShare: 0.9 },
  'bones and back': { valuePerKg: 1.3, usedShare: 0.7, processingPerKg: 0.35 },
  fat: { valuePerKg: 1.1, usedShare: 0.5 },
  bin: { valuePerKg: -0.15 },
}
/** What the same bird is worth cut otherwise. */
const OTHER_CHICKEN_VALUES: Readonly<Record<string, PileValues>> = {
  'Eight bone-in pieces': {
    'breasts with ribs': { valuePerKg: 8.6 },
    thighs: { valuePerKg: 6.2 },
    drumsticks: { valuePerKg: 4.2 },
    wings: { valuePerKg: 4.6 },
    'back and neck': { valuePerKg: 1.3, usedShare: 0.7, processingPerKg: 0.35 },
    'fat and skin': { valuePerKg: 1.1, usedShare: 0.5 },
  },
  'Boneless and skinless': {
    breasts: { valuePerKg: 12.4 },
    tenders: { valuePerKg: 12.9 },
    'leg meat': { valuePerKg: 8.4 },
    wings: { valuePerKg: 4.6, usedShare: 0.9 },
    'bones and back': { valuePerKg: 1.3, usedShare: 0.7, processingPerKg: 0.35 },
    'skin and fat': { valuePerKg: 0.9, usedShare: 0.5 },
  },
  'Split breast and leg quarters': {
    'split breasts': { valuePerKg: 8.2 },
    'leg quarters': { valuePerKg: 5.1 },
    wings: { valuePerKg: 4.6, usedShare: 0.9 },
    back: { valuePerKg: 1.3, usedShare: 0.7, processingPerKg: 0.35 },
    fat: { valuePerKg: 1.1, usedShare: 0.5 },
  },
  'Scored halves': { halves: { valuePerKg: 5.4 }, 'neck and fat': { valuePerKg: 1.1, usedShare: 0.6 } },
}
const LOIN_VALUES: PileValues = {
  'centre steaks': { valuePerKg: 66 },
  'head roast': { valuePerKg: 48 },
  medallions: { valuePerKg: 42, usedShare: 1 },
  tips: { valuePerKg: 19, usedShare: 0.9 },
  fat: { valuePerKg: 1.2, usedShare: 0.6 },
  sinew: { valuePerKg: -0.15 },
  bin: { valuePerKg: -0.15 },
}
const DUCK_VALUES: PileValues = {
  breasts: { valuePerKg: 19.8 },
  legs: { valuePerKg: 11.5 },
  wings: { valuePerKg: 3.8, usedShare: 0.9 },
  'carcass and neck': { valuePerKg: 1.6, usedShare: 0.8, processingPerKg: 0.4 },
  'fat and skin': { valuePerKg: 4.5, usedShare: 0.9, processingPerKg: 0.6 },
  bin: { valuePerKg: -0.15 },
}
const CHAR_VALUES: PileValues = {
  portions: { valuePerKg: 29 },
  'tail and belly trim': { valuePerKg: 9, usedShare: 0.9 },
  'frame, head, collars': { valuePerKg: 1.4, usedShare: 0.6, processingPerKg: 0.3 },
  bin: { valuePerKg: -0.15 },
}

const session = (
  style: string,
  daysAgo: number,
  cook: string,
  supplier: string,
  amount: number,
  birds: number,
  skill: number,
  pace: number,
): SessionScript => ({ style, daysAgo, cook, supplier, price: perKg(amount), extras: 0, birds, skill, pace })

/** Stretches from eight on of a usual week: hours at the board, Monday first. */
const weekOf = (hours: readonly number[]): CookShift[] =>
  hours.flatMap((hour, index) => (hour > 0 ? [{ day: index + 1, from: 480, until: 480 + hour * 60 }] : []))

/** Hours at the board, Monday first. */
const BOARD_HOURS: Readonly<Record<string, number[]>> = {
  Ondine: [3, 3, 3, 4, 4, 3, 2],
  Casimir: [2, 2, 3, 3, 3, 2, 0],
  Thessaly: [0, 2, 2, 3, 3, 3, 2],
  Bruno: [3, 3, 2, 2, 2, 2, 2],
}

const LARCH_HALT: KitchenScript = {
  name: 'Larch Halt',
  currency: 'EUR',
  units: 'metric',
  timeZone: 'Europe/Vienna',
  wagePerHour: COOK_WAGE,
  cooks: [
    { name: 'Marit', wagePerHour: SOUS_CHEF_WAGE, week: weekOf([0, 1, 1, 1, 1, 1, 0]) },
    ...Object.entries(BOARD_HOURS).map(([name, hours]) => ({ name, wagePerHour: COOK_WAGE, week: weekOf(hours) })),
  ],
  values: {
    [CHICKEN_STYLE]: CHICKEN_VALUES,
    ...OTHER_CHICKEN_VALUES,
    [LOIN_STYLE]: LOIN_VALUES,
    [DUCK_STYLE]: DUCK_VALUES,
    [CHAR_STYLE]: CHAR_VALUES,
  },
  hasPriceBook: true,
  hasHistory: true,
  offer: {
    supplier: PLATTENKAR,
    name: 'Supremes, 20 x 280 g',
    pile: 'supremes',
    price: { amount: 76, per: 'case' },
    pieces: 20,
    pieceWeight: 280,
  },
  sessions: [
    session(LOIN_STYLE, 110, 'Marit', BRINDLEMERE, 32, 4, 1, 14),
    session(LOIN_STYLE, 82, 'Casimir', BRINDLEMERE, 32, 6, 0.97, 16),
    session(LOIN_STYLE, 54, 'Marit', BRINDLEMERE, 32, 6, 1.01, 13),
    session(DUCK_STYLE, 52, 'Thessaly', OSTRAVALE, 6.75, 8, 0.98, 10),
    session(CHAR_STYLE, 47, 'Ondine', SKERROW, 13.2, 10, 1, 9),
    session(DUCK_STYLE, 41, 'Thessaly', OSTRAVALE, 6.8, 8, 1, 9),
    {
      daysAgo: 44,
      cook: 'Casimir',
      supplier: BRINDLEMERE,
      price: perKg(2.85),
      extras: 0,
      birds: 6,
      skill: 0.905,
      pace: 11,
    },
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
    session(CHAR_STYLE, 13, 'Ondine', SKERROW, 13.4, 8, 1.01, 9),
    session(LOIN_STYLE, 11, 'Marit', BRINDLEMERE, 32, 6, 1.02, 13),
    session(DUCK_STYLE, 9, 'Casimir', OSTRAVALE, 6.9, 8, 0.99, 10),
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
  cooks: Array.from({ length: 12 }, (_, index) => ({
    name: `S-${String(index + 1).padStart(2, '0')}`,
    wagePerHour: 18,
    week: null,
  })),
  values: { [CHICKEN_STYLE]: CHICKEN_VALUES },
  hasPriceBook: false,
  hasHistory: false,
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
