import { randomLcg } from 'd3-random'
import { costOf, isBetter, type ScheduleCost, weighed } from './cost.ts'
import { type Genes, Placer, type Placing } from './place.ts'
import { settled } from './settle.ts'
import type { Shop } from './shop.ts'

export interface Found {
  placing: Placing
  cost: ScheduleCost
}

/** Looks at the clock are dear: so many tries between two. */
const TRIES_A_LOOK = 16
/** Tries without a better one before it begins anew from the best. */
const PATIENCE = 600
const HOT = 400
const COLD = 0.4
const MINUTES_OF_A_MOVE = 60
/** Different orders that are as late and as clean as the best are kept, so that their times can be worked out exactly. */
const KEPT = 40
const REPAIRS = 4

/**
 * Walks from one order of the work to another, at first also uphill: swaps what comes first, gives a job to another board
 * or cook, lets something wait. Seeded: the same shop gives the same walk.
 */
export class Search {
  readonly #shop: Shop
  readonly #placer: Placer
  readonly #random: () => number
  /** Orders as late and clean as the best, by who does what where and when. */
  readonly #kept = new Map<string, Found>()
  #genes: Genes
  #own: Found
  #best: Found
  #stale = 0
  #heat = HOT

  constructor(shop: Shop, seed: number) {
    this.#shop = shop
    this.#placer = new Placer(shop)
    this.#random = randomLcg(seed)
    this.#genes = firstGenes(shop)
    this.#own = this.#try(this.#genes)
    this.#best = this.#own
    for (const genes of [grouped(shop, 1), grouped(shop, -1), chained(shop)]) {
      const found = this.#try(genes)
      if (weighed(found.cost) < weighed(this.#own.cost)) [this.#genes, this.#own] = [genes, found]
      this.#keep(found)
    }
  }

  get best(): Found {
    return this.#best
  }

  get candidates(): Found[] {
    return [...this.#kept.values()]
  }

  /** Walks for some time; answers whether a better one was found. */
  walk(milliseconds: number, nowMs: () => number): boolean {
    const until = nowMs() + milliseconds
    let isImproved = false
    do {
      for (let tries = 0; tries < TRIES_A_LOOK; tries++) isImproved = this.#step() || isImproved
    } while (nowMs() < until)
    return isImproved
  }

  #step(): boolean {
    const genes = this.#moved()
    const found = this.#try(genes)
    const worse = weighed(found.cost) - weighed(this.#own.cost)
    if (worse <= 0 || this.#random() < Math.exp(-worse / this.#heat)) {
      this.#genes = genes
      this.#own = found
    }
    this.#heat = Math.max(COLD, this.#heat * 0.998)
    this.#stale++
    const isImproved = this.#keep(found)
    if (this.#stale > PATIENCE + this.#shop.tasks.length * 20) {
      this.#stale = 0
      this.#heat = HOT * (0.1 + this.#random())
    }
    return isImproved
  }

  #keep(found: Found): boolean {
    const { cost } = found
    const best = this.#best.cost
    const isAsGood = cost.broken <= best.broken && cost.late <= best.late && cost.clean <= best.clean
    if (isAsGood) {
      if (cost.broken < best.broken || cost.late < best.late || cost.clean < best.clean) this.#kept.clear()
      const key = orderKey(found.placing)
      const kept = this.#kept.get(key)
      if (!kept || cost.hold < kept.cost.hold) this.#kept.set(key, found)
      if (this.#kept.size > KEPT) {
        const [worst] = [...this.#kept].sort((a, b) => b[1].cost.hold - a[1].cost.hold)
        if (worst) this.#kept.delete(worst[0])
      }
    }
    if (!isBetter(cost, best)) return false
    this.#best = found
    this.#stale = 0
    return true
  }

  /** Places it; what must follow at once and does not lets what is before it wait. */
  #try(genes: Genes): Found {
    let placing = this.#placer.place(genes)
    for (let repair = 0; repair < REPAIRS; repair++) {
      if (!this.#delay(genes, placing)) break
      placing = this.#placer.place(genes)
    }
    const moved = settled(this.#shop, placing)
    const cost = costOf(this.#shop, moved)
    return { placing: moved, cost }
  }

  /** Lets the tasks wait whose followers come too late after them; answers whether any has to. */
  #delay(genes: Genes, { starts }: Placing): boolean {
    let isChanged = false
    for (const [at, task] of this.#shop.tasks.entries()) {
      for (const { task: before, lag, within } of task.after) {
        const ended = (starts[before] as number) + (this.#shop.tasks[before]?.minutes ?? 0)
        const over = (starts[at] as number) - ended - lag - within
        if (!(over > 0) || !Number.isFinite(over) || this.#shop.tasks[before]?.held) continue
        genes.delays[before] = (starts[before] as number) + over - (this.#shop.tasks[before]?.notBefore ?? 0)
        isChanged = true
      }
    }
    return isChanged
  }

  #moved(): Genes {
    const { tasks, units } = this.#shop
    const random = this.#random
    const pick = (count: number) => Math.floor(random() * count)
    const genes: Genes = {
      keys: Float64Array.from(this.#genes.keys),
      units: Int16Array.from(this.#genes.units),
      cooks: Int16Array.from(this.#genes.cooks),
      delays: Float64Array.from(this.#genes.delays),
    }
    const at = pick(tasks.length)
    const task = tasks[at]
    if (!task) return genes
    const move = random()
    if (move < 0.35) {
      const other = pick(tasks.length)
      const key = genes.keys[at] as number
      genes.keys[at] = genes.keys[other] as number
      genes.keys[other] = key
    } else if (move < 0.55) {
      genes.keys[at] = (genes.keys[at] as number) + (random() - 0.5) * 2 * MINUTES_OF_A_MOVE * 3
    } else if (move < 0.68) {
      // Its whole job sooner or later.
      const job = this.#shop.request.tasks[at]?.job
      const by = (random() - 0.5) * 2 * MINUTES_OF_A_MOVE * 4
      tasks.forEach((_, place) => {
        if (this.#shop.request.tasks[place]?.job === job) genes.keys[place] = (genes.keys[place] as number) + by
      })
    } else if (move < 0.84) {
      if (task.station === null) return genes
      const unit = pick((units[task.station] ?? 1) + 1) - 1
      const isJob = random() < 0.6
      const job = this.#shop.request.tasks[at]?.job
      const isAll = random() < 0.25
      tasks.forEach((shopTask, place) => {
        const isOwn = place === at || (isJob && this.#shop.request.tasks[place]?.job === job)
        const isAlike = isAll && shopTask.species === task.species && task.species !== null
        if (shopTask.station === task.station && (isOwn || isAlike)) genes.units[place] = unit
      })
    } else if (move < 0.97) {
      if (task.needsCook) genes.cooks[at] = random() < 0.4 ? -1 : (task.cooks[pick(task.cooks.length)] ?? -1)
    } else {
      const close = this.#shop.cleanAt.find((time) => time > (this.#own.placing.starts[at] as number))
      genes.delays[at] = random() < 0.5 || close === undefined ? 0 : Math.max(0, close - task.notBefore)
    }
    return genes
  }
}

const orderKey = ({ starts, units, cooks }: Placing) =>
  `${[...starts.keys()].sort((a, b) => (starts[a] as number) - (starts[b] as number)).join(',')} ${units.join(',')} ${cooks.join(',')}`

/** What must be done by when, worked out backwards: what has the least time is placed first. */
function firstGenes({ tasks, horizon }: Shop): Genes {
  const latest = new Float64Array(tasks.length).fill(Number.NaN)
  const latestOf = (at: number): number => {
    const known = latest[at] as number
    if (!Number.isNaN(known)) return known
    const task = tasks[at]
    if (!task) return horizon
    let end = Math.min(horizon, task.due)
    for (const { task: follower, lag } of task.followers) end = Math.min(end, latestOf(follower) - lag)
    latest[at] = end - task.minutes
    return latest[at] as number
  }
  return {
    keys: Float64Array.from(tasks, (_, at) => latestOf(at)),
    units: new Int16Array(tasks.length).fill(-1),
    cooks: new Int16Array(tasks.length).fill(-1),
    delays: new Float64Array(tasks.length),
  }
}

/** The same, with each species on units of its own as far as there are any: the heaviest gets them first. */
function grouped(shop: Shop, turn: 1 | -1): Genes {
  const genes = firstGenes(shop)
  shop.units.forEach((count, station) => {
    const tasksThere = shop.tasks.flatMap((task, index) =>
      task.station === station && task.species !== null ? [index] : [],
    )
    const kinds = [...new Set(tasksThere.map((at) => shop.tasks[at]?.species as number))].sort((a, b) => (a - b) * turn)
    const load = new Float64Array(count)
    for (const kind of kinds) {
      const alike = tasksThere.filter((at) => shop.tasks[at]?.species === kind)
      const unit = load.indexOf(Math.min(...load))
      for (const at of alike) {
        genes.units[at] = unit
        load[unit] = (load[unit] as number) + (shop.tasks[at]?.minutes ?? 0)
      }
    }
  })
  return genes
}

/** Keys of one chain stay so near to each other that a move of minutes passes all of them. */
const BESIDE = 1e-3

/**
 * The same, with what must follow at once placed right behind what it follows: a whole chain first, then the next, so that
 * nothing comes between.
 */
function chained(shop: Shop): Genes {
  const genes = firstGenes(shop)
  const chainOf = Int32Array.from(shop.tasks, (_, at) => at)
  const headOf = (at: number): number => (chainOf[at] === at ? at : headOf(chainOf[at] as number))
  shop.tasks.forEach(({ after }, index) => {
    for (const { task, within } of after) {
      if (!Number.isFinite(within)) continue
      const [one, other] = [headOf(task), headOf(index)]
      chainOf[Math.max(one, other)] = Math.min(one, other)
    }
  })
  const first = new Float64Array(shop.tasks.length).fill(Number.POSITIVE_INFINITY)
  shop.tasks.forEach((_, index) => {
    const head = headOf(index)
    first[head] = Math.min(first[head] as number, genes.keys[index] as number)
  })
  const places = [...shop.tasks.keys()].sort((a, b) => {
    const [one, other] = [headOf(a), headOf(b)]
    return (first[one] as number) - (first[other] as number) || one - other || a - b
  })
  places.forEach((at, place) => {
    genes.keys[at] = (first[headOf(at)] as number) + place * BESIDE
  })
  return genes
}
