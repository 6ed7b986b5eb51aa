import { CATALOGUE } from '@fleam/catalogue'
import { addDays } from '@fleam/core/calendar'
import type { FabricationDocument, Pile } from '@fleam/core/fabrication'
import type { NamedPile } from '@fleam/core/style'
import { randomLcg, randomNormal } from 'd3-random'
import { v7 } from 'uuid'

type CatalogueItem = (typeof CATALOGUE)[number]
type CatalogueStyle = CatalogueItem['styles'][number]

/** A record of the months before, as a document that names cook and supplier. */
export interface PastRecord {
  id: string
  document: FabricationDocument
}

/** What a kitchen cuts again and again, and what it pays. */
interface Habit {
  item: string
  style: string
  supplier: string
  /** A kilo, money. */
  price: number
  units: number
  /** Days between two of them. */
  every: number
  cooks: readonly string[]
  /** Of ready-cut portions, times what making them costs by weight. */
  ready: number
  /** Days ago of the last one: what happened since is told session by session. */
  until?: number
}

const MONTHS_DAYS = 548
/** The days since are told session by session: what stands newest is one of them. */
const FIRST_AGO = 4
const SEED = 29
const PLATTENKAR = 'Plattenkar Provisions'
const OSTRAVALE = 'Ostravale Poultry Yard'
const BRINDLEMERE = 'Brindlemere Meats'
const SKERROW = 'Skerrow Quay Fish'
const SUPREMES = 'Supremes and boneless thighs'
const CHICKEN = 'Chicken, eviscerated'
const LOIN = 'Beef tenderloin, peeled, side muscle on'
const LAMB = 'Lamb rack, eight ribs, chined, cap on'
const HAKE = 'Hake, gutted, head off'
const WAGE = 21.4

const HABITS: readonly Habit[] = [
  {
    item: CHICKEN,
    style: SUPREMES,
    supplier: OSTRAVALE,
    price: 3.05,
    units: 6,
    every: 23,
    cooks: ['Ondine', 'Thessaly'],
    ready: 1.3,
    until: 130,
  },
  {
    item: CHICKEN,
    style: SUPREMES,
    supplier: BRINDLEMERE,
    price: 2.85,
    units: 6,
    every: 47,
    cooks: ['Casimir', 'Ondine'],
    ready: 1.3,
    until: 130,
  },
  {
    item: CHICKEN,
    style: 'Scored halves',
    supplier: OSTRAVALE,
    price: 3.05,
    units: 8,
    every: 24,
    cooks: ['Marit', 'Bruno'],
    ready: 1.2,
  },
  {
    item: 'Duck',
    style: 'Breasts and confit legs',
    supplier: OSTRAVALE,
    price: 6.7,
    units: 8,
    every: 25,
    cooks: ['Thessaly', 'Casimir'],
    ready: 1.25,
    until: 130,
  },
  {
    item: 'Guinea fowl',
    style: 'Halves, one boned',
    supplier: OSTRAVALE,
    price: 7.4,
    units: 8,
    every: 29,
    cooks: ['Marit', 'Ondine'],
    ready: 1.2,
  },
  {
    item: 'Pheasant',
    style: 'Six pieces',
    supplier: OSTRAVALE,
    price: 12.5,
    units: 6,
    every: 58,
    cooks: ['Bruno'],
    ready: 1.2,
  },
  {
    item: 'Quail',
    style: 'Tunnel-boned',
    supplier: OSTRAVALE,
    price: 15.5,
    units: 24,
    every: 34,
    cooks: ['Thessaly'],
    ready: 1.15,
  },
  {
    item: 'Arctic char or salmon, gutted, head on',
    style: 'Skin-on, pin-boned portions',
    supplier: SKERROW,
    price: 13,
    units: 10,
    every: 26,
    cooks: ['Ondine', 'Marit'],
    ready: 1.2,
    until: 130,
  },
  {
    item: HAKE,
    style: 'Skin-on portions',
    supplier: SKERROW,
    price: 11.8,
    units: 6,
    every: 5.5,
    cooks: ['Casimir', 'Ondine', 'Bruno'],
    ready: 1.2,
  },
  {
    item: 'Turbot, gutted',
    style: 'Quarter fillets, skinless',
    supplier: SKERROW,
    price: 21,
    units: 3,
    every: 41,
    cooks: ['Marit'],
    ready: 1.15,
  },
  {
    item: LOIN,
    style: 'Steaks throughout',
    supplier: BRINDLEMERE,
    price: 31,
    units: 4,
    every: 28,
    cooks: ['Marit', 'Casimir'],
    ready: 1,
  },
  {
    item: 'Rib eye, boneless, lip on',
    style: 'Steaks',
    supplier: BRINDLEMERE,
    price: 27,
    units: 2,
    every: 37,
    cooks: ['Casimir', 'Thessaly'],
    ready: 1.12,
  },
  {
    item: LAMB,
    style: 'Frenched, thin fat',
    supplier: BRINDLEMERE,
    price: 24,
    units: 8,
    every: 17,
    cooks: ['Thessaly', 'Marit'],
    ready: 1.15,
  },
]

/** Minutes of each cook against a practised one, and what she gets out of it. */
const COOKS: Readonly<Record<string, { pace: number; skill: number }>> = {
  Marit: { pace: 0.9, skill: 1.008 },
  Ondine: { pace: 0.95, skill: 1.005 },
  Casimir: { pace: 1.1, skill: 0.997 },
  Thessaly: { pace: 1, skill: 1 },
  Bruno: { pace: 1.2, skill: 0.992 },
}

/** What piles that are not portions are worth, by what is in them. */
const WORTH = {
  portions: { valuePerKg: 5.2, usedShare: 0.9 },
  trim: { valuePerKg: 7.5, usedShare: 0.9 },
  bones: { valuePerKg: 1.3, usedShare: 0.7, processingPerKg: 0.35 },
  fat: { valuePerKg: 1.1, usedShare: 0.5 },
  liquid: {},
  waste: { valuePerKg: -0.15 },
} as const
/** What is not found again of what came. */
const LOSS = 0.01
const FAT_OF_WINTER = 0.035

interface Session extends Omit<Habit, 'every' | 'cooks' | 'until'> {
  daysAgo: number
  cook: string
  /** Of the usual yield. */
  factor: number
  minutes: number
  mistake?: 'weighed-twice' | 'wrong-unit'
}

/** Eighteen months of a kitchen, the same every time; days are counted back from `today`. */
export function pastRecords(today: string): PastRecord[] {
  const random = randomLcg(SEED)
  const normal = randomNormal.source(random)
  let count = 0
  const newId = () => {
    count++
    const bytes = Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256))
    return v7({ msecs: Date.UTC(2025, 0, 1) + count, seq: count, random: bytes })
  }
  return sessions()
    .sort((a, b) => b.daysAgo - a.daysAgo)
    .map((session) => ({ id: newId(), document: documentOf(session, addDays(today, -session.daysAgo), normal) }))
}

function sessions(): Session[] {
  const usual = HABITS.flatMap(({ every, cooks, until = FIRST_AGO, ...habit }, which) => {
    const found: Session[] = []
    for (let at = 0; until + at * every + which < MONTHS_DAYS; at++) {
      const daysAgo = Math.round(until + at * every + which * 0.5)
      const cook = cooks[at % cooks.length] as string
      const { pace, skill } = COOKS[cook] ?? { pace: 1, skill: 1 }
      found.push({
        ...habit,
        daysAgo,
        cook,
        factor: skill * effectOf(habit, daysAgo),
        minutes: pace,
        ...priceOf(habit, daysAgo),
      })
    }
    return found
  })
  return [...usual, ...newCook(), ...feast(), ...mistakes()]
}

/** Cheaper birds that give less, and a fish that has given less for three weeks. */
function effectOf({ item, supplier }: Pick<Habit, 'item' | 'supplier'>, daysAgo: number): number {
  if (item === CHICKEN && supplier === BRINDLEMERE) return 0.94
  return item === HAKE && daysAgo < 28 ? 0.955 : 1
}

/** A rise that made the loin dearer than what is bought ready, for half a year. */
const priceOf = ({ item, price }: Pick<Habit, 'item' | 'price'>, daysAgo: number) => ({
  price: item === LOIN && daysAgo > 170 && daysAgo < 330 ? price * 1.32 : price,
})

/** Ten sessions in which a new cook finds more on every bird. */
const newCook = (): Session[] =>
  Array.from({ length: 10 }, (_, index) => ({
    ...(HABITS[0] as Habit),
    daysAgo: 540 - index * 6,
    cook: 'Bruno',
    factor: 0.915 + 0.085 * (1 - Math.exp(-index / 3)),
    minutes: 1.9 - index * 0.07,
  }))

/** The first snow: 180 kilos of turkey over two days. */
const feast = (): Session[] =>
  [0, 1].map((day) => ({
    item: 'Turkey, eviscerated',
    style: 'Parts, boneless breast and thigh',
    supplier: OSTRAVALE,
    price: 4.2,
    units: 10,
    ready: 1.3,
    daysAgo: 366 - day,
    cook: day === 0 ? 'Marit' : 'Ondine',
    factor: 1,
    minutes: 1,
  }))

/** One pile weighed twice, one typed in another unit. */
const mistakes = (): Session[] => [
  { ...(HABITS[4] as Habit), daysAgo: 96, cook: 'Bruno', factor: 1, minutes: 1.2, mistake: 'weighed-twice' },
  { ...(HABITS[2] as Habit), daysAgo: 61, cook: 'Casimir', factor: 1, minutes: 1.1, mistake: 'wrong-unit' },
]

type Normal = ReturnType<typeof randomNormal.source>
const GRAMS_PER_POUND = 453.59237
const YEAR_DAYS = 365.25

function documentOf(session: Session, date: string, normal: Normal): FabricationDocument {
  const { item, style } = styleOf(session)
  const spread = (share: number) => normal(1, share)()
  const ap = Math.round((session.units * item.unitWeight.usual * spread(0.012)) / 20) * 20
  const piles = weighed(session, { style, ap, date, spread })
  const [first] = piles
  const pieceWeight = first?.target ?? 200
  const ofStyle = style.piles.reduce((sum, pile) => sum + (pile.class === 'primary' ? (pile.expectedShare ?? 0) : 0), 0)
  const usualPrice = HABITS.find((habit) => habit.item === session.item)?.price ?? session.price
  return {
    format: 'fleam/fabrication',
    version: 1,
    currency: 'EUR',
    item: item.name,
    style: style.name,
    purchase: {
      price: { amount: Math.round(session.price * 100) / 100, per: 'kg' },
      invoiceWeight: ap,
      pieces: session.units,
    },
    labour: [
      {
        task: 'break down',
        minutes: Math.max(1, Math.round(session.units * style.minutesPerUnit * session.minutes * spread(0.05))),
        ratePerHour: WAGE,
      },
    ],
    piles,
    creditPolicy: 'used',
    allocation: 'weight',
    offers: [
      {
        name: `${PLATTENKAR}: ${first?.name}`,
        pile: first?.name ?? '',
        price: { amount: Math.round((usualPrice / ofStyle) * session.ready * 1.12 * 100) / 100, per: 'kg' },
        pieceWeight,
      },
    ],
    meta: { date, cook: session.cook, supplier: session.supplier },
  }
}

interface Weighing {
  style: CatalogueStyle
  ap: number
  date: string
  spread: (share: number) => number
}

/** Portions first, by what the cook gets; what is left lies on the other piles as the style has them. */
function weighed(session: Session, { style, ap, date, spread }: Weighing): Pile[] {
  const yielded = session.factor * (session.item === LAMB ? 1 - fatOf(date) : 1) * spread(0.006)
  const primary = style.piles.filter((pile) => pile.class === 'primary')
  const others = style.piles.filter((pile) => pile.class !== 'primary')
  const grams = new Map(primary.map((pile) => [pile.name, ap * (pile.expectedShare ?? 0) * yielded]))
  const rest = ap * (1 - LOSS * spread(0.2)) - [...grams.values()].reduce((sum, weight) => sum + weight, 0)
  const shares = others.map((pile) => (pile.expectedShare ?? 0) * spread(0.02))
  const total = shares.reduce((sum, share) => sum + share, 0)
  others.forEach((pile, index) => grams.set(pile.name, (rest * (shares[index] as number)) / total))
  const wrong = others.reduce(
    (most, pile) => ((grams.get(pile.name) ?? 0) > (grams.get(most.name) ?? 0) ? pile : most),
    others[0] as NamedPile,
  )
  if (session.mistake === 'weighed-twice') grams.set(wrong.name, (grams.get(wrong.name) ?? 0) * 2)
  if (session.mistake === 'wrong-unit') {
    const [name, weights] = [(primary[0] as NamedPile).name, grams.get((primary[0] as NamedPile).name) ?? 0]
    grams.set(name, weights * (GRAMS_PER_POUND / 1000))
  }
  return style.piles.map((pile) => pileOf(pile, Math.round(grams.get(pile.name) ?? 0), spread))
}

/** More fat under the skin in winter, less in summer: a share of the yield. */
const fatOf = (date: string) =>
  FAT_OF_WINTER * Math.cos((2 * Math.PI * (Date.parse(date) / 86_400_000 - 15)) / YEAR_DAYS)

function pileOf(pile: NamedPile, grams: number, spread: (share: number) => number): Pile {
  const named = { name: pile.name, class: pile.class }
  if (pile.class !== 'primary') {
    const worth = pile.class === 'waste' ? WORTH.waste : WORTH[pile.kind]
    return { ...named, weight: grams, ...worth }
  }
  const target = pile.bounds?.target ?? null
  if (target === null || pile.weighing !== 'pieces')
    return { ...named, weight: grams, portions: Math.max(1, Math.round(grams / 220)), target: 220 }
  const count = Math.max(1, Math.round(grams / target))
  const pieces = Array.from({ length: count }, () => spread(0.03))
  const total = pieces.reduce((sum, piece) => sum + piece, 0)
  const bounds = {
    target: Math.round(grams / count),
    low: Math.round((grams / count) * 0.93),
    high: Math.round((grams / count) * 1.07),
  }
  return { ...named, pieces: pieces.map((piece) => Math.max(1, Math.round((grams * piece) / total))), ...bounds }
}

/** The cut style of a session, with its item. */
function styleOf({ item: name, style: cut }: Session): { item: CatalogueItem; style: CatalogueStyle } {
  const item = CATALOGUE.find((catalogueItem) => catalogueItem.name === name)
  const style = item?.styles.find((catalogueStyle) => catalogueStyle.name === cut)
  if (!item || !style) throw new Error(`The catalogue has no '${name}: ${cut}'`)
  return { item, style }
}
