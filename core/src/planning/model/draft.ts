import { type Day, daysBetween } from '../../calendar/index.ts'
import { Programme, type Term } from '../../solving/index.ts'
import type { OrderPlanRequest, PlanProduct, PlanStock, PlanSupplier } from '../order-plan.ts'
import { boundsOf, type PlanBounds } from './bounds.ts'
import type { PlanModel, ProductSupply, WholeSupply } from './plan-model.ts'

/** Something that a supplier brings: a column of packs, what one costs, and how many there are at most. */
interface OrderLine {
  packs: number
  price: number
  most: number
}

interface DraftOrder {
  supplier: PlanSupplier
  day: number
  isOrdered: number
  lines: OrderLine[]
}

/** A programme while it is written down: what is decided so far, and what each decision costs. */
export class Draft {
  readonly request: OrderPlanRequest
  readonly programme = new Programme()
  readonly demands: PlanModel['demands']
  readonly bounds: PlanBounds
  readonly orders: DraftOrder[]
  readonly wholes: WholeSupply[] = []
  readonly products: ProductSupply[] = []
  readonly #money: [column: number, amount: number][] = []
  readonly #products: ReadonlyMap<string, PlanProduct>

  constructor(request: OrderPlanRequest) {
    this.request = request
    this.#products = new Map(request.products.map((product) => [product.name, product]))
    this.demands = this.#demands()
    this.bounds = boundsOf(request, this.demands)
    this.orders = this.#orders()
  }

  /** Place of the last day, from 0. */
  get last(): number {
    return this.request.days.length - 1
  }

  placeOf(day: Day): number {
    return daysBetween(this.request.days[0] as Day, day)
  }

  /** Place of the first day on which something of stock is there. */
  stockFrom({ from }: PlanStock): number {
    return from === undefined ? 0 : Math.max(0, this.placeOf(from))
  }

  productOf(name: string): PlanProduct | undefined {
    return this.#products.get(name)
  }

  /** One of a column costs so much. */
  costs(column: number, amount: number): void {
    this.#money.push([column, amount])
  }

  ordersOf(supplier: string): DraftOrder[] {
    return this.orders.filter((order) => order.supplier.name === supplier)
  }

  /** A column for each day from one place to another. */
  flows(from: number, until: number): Map<number, number> {
    const flows = new Map<number, number>()
    for (let day = from; day <= Math.min(this.last, until); day++) flows.set(day, this.programme.column())
    return flows
  }

  /** A column for each demand of a product from one place of a day to another. */
  uses(product: string, from: number, until: number): Map<number, number> {
    const uses = new Map<number, number>()
    for (const demand of this.demands) {
      if (demand.product === product && demand.day >= from && demand.day <= until) {
        uses.set(demand.day, this.programme.column({ upper: demand.asked }))
      }
    }
    return uses
  }

  /** The same for as long as it keeps. */
  usesWhileKept(product: string, from: number): Map<number, number> {
    return this.uses(product, from, from + (this.productOf(product)?.keepsDays ?? 1) - 1)
  }

  /** What is minimised: money, and what is short of each demand as a share of it. */
  objectives(): Pick<PlanModel, 'moneyCosts' | 'shortCosts'> {
    const moneyCosts = new Array<number>(this.programme.costs.length).fill(0)
    for (const [column, amount] of this.#money) moneyCosts[column] = (moneyCosts[column] as number) + amount
    const shortCosts = new Array<number>(this.programme.costs.length).fill(0)
    for (const { short, asked } of this.demands) shortCosts[short] = 1 / asked
    return { moneyCosts, shortCosts }
  }

  /** A demand of a product on a day once, however often it was written; one of nothing is none. */
  #demands(): PlanModel['demands'] {
    const asked = new Map<string, { product: string; day: number; asked: number }>()
    for (const { product, day, quantity } of this.request.demand) {
      if (quantity <= 0) continue
      const key = `${day} ${product}`
      const before = asked.get(key)
      if (before) before.asked += quantity
      else asked.set(key, { product, day: this.placeOf(day), asked: quantity })
    }
    return [...asked.values()].map((request) => ({
      ...request,
      short: this.programme.column({ upper: request.asked }),
    }))
  }

  /** Whether each supplier brings something on each of its days: it costs its charge once. */
  #orders(): DraftOrder[] {
    return this.request.suppliers.flatMap((supplier) =>
      supplier.delivers.flatMap((delivered): DraftOrder[] => {
        const day = this.placeOf(delivered)
        if (day < 0 || day > this.last) return []
        const isOrdered = this.programme.column({ upper: 1, isWhole: true })
        this.costs(isOrdered, supplier.charge)
        return [{ supplier, day, isOrdered, lines: [] }]
      }),
    )
  }
}

/** One column once in a row. */
export function merged(terms: readonly Term[]): Term[] {
  const sums = new Map<number, number>()
  for (const [column, factor] of terms) sums.set(column, (sums.get(column) ?? 0) + factor)
  return [...sums]
}

export const NONE_BELOW = Number.NEGATIVE_INFINITY
export const NONE_ABOVE = Number.POSITIVE_INFINITY
/** Each of some columns once. */
export const once = (columns: Iterable<number>, factor = 1): Term[] =>
  [...columns].map((column): Term => [column, factor])
