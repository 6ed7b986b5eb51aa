import {
  emptyDraft,
  type GoodsWay,
  type KitchenGoods,
  kitchenGoods,
  type PlanDraft,
  type PlanGoods,
} from '../src/planning/index.ts'
import { quote, readyForm, wholeForm } from './forms.ts'

const piles: GoodsWay['piles'] = [
  { id: 'p1', productId: 'supremes' },
  { id: 'p2', productId: null },
  { id: 'p3', productId: null },
  { id: 'p4', productId: null },
]

/** A chicken in one style, by the piece and by the crate of six, and supremes bought ready. */
export const kitchen = (changes: Partial<KitchenGoods> = {}): KitchenGoods => {
  const way = {
    itemId: 'chicken',
    unitName: { one: 'bird', many: 'birds' },
    keepsWhole: { value: 3, source: 'own' },
    piles,
    shares: new Map([['p1', [0.24, 0.25, 0.26, 0.25, 0.25]]]),
    mostPerWeek: null,
  } as const satisfies Omit<GoodsWay, 'form'>
  const crate = { articleId: 'crate', id: 'crate supremes-style', article: 'Crate of six' }
  return {
    wanted: [{ id: 'supremes', name: 'Chicken: supremes', plateWeight: 250 }],
    ways: [
      { ...way, form: wholeForm({ quote: quote(3, 'kg', { pieceWeight: 2000 }) }) },
      { ...way, form: wholeForm({ ...crate, quote: quote(33, 'case', { pieceWeight: 2000, packPieces: 6 }) }) },
    ],
    ready: [{ productId: 'supremes', form: readyForm() }],
    suppliers: [
      {
        id: 'ostravale',
        name: 'Ostravale Poultry Yard',
        deliveryDays: [4],
        charge: { value: 3, source: 'terms' },
        minimum: { value: 0, source: 'terms' },
      },
      {
        id: 'plattenkar',
        name: 'Plattenkar Provisions',
        deliveryDays: null,
        charge: { value: 12, source: 'terms' },
        minimum: { value: 0, source: 'terms' },
      },
      {
        id: 'nobody',
        name: 'Sells nothing of it',
        deliveryDays: null,
        charge: { value: 1, source: 'terms' },
        minimum: { value: 0, source: 'terms' },
      },
    ],
    lots: [],
    cooks: [{ name: 'Marit', wagePerHour: 30, hours: [0, 0, 2, 4, 4, 0, 0] }],
    coming: [],
    held: { plans: [], minutes: [], kilos: [] },
    boardShare: { value: 1, schedules: 0 },
    lightPlates: 'whole',
    wagePerHour: 20,
    ...changes,
  }
}

export const goodsOf = (changes: Partial<KitchenGoods> = {}): PlanGoods => kitchenGoods(kitchen(changes))

/** Wed 2 to Sat 5 Dec 2026: forty covers on Friday, of which a third takes supremes. */
export const draft = (changes: Partial<PlanDraft> = {}): PlanDraft => ({
  ...emptyDraft('2026-12-02'),
  days: 4,
  covers: [{ day: '2026-12-04', covers: 40 }],
  menu: [{ productId: 'supremes', share: 0.3 }],
  service: 0.5,
  ...changes,
})
