import type { Shop, ShopTask } from './shop.ts'

/** What a search decides: which task comes first, and where and who does it; -1 leaves that to what is best then. */
export interface Genes {
  /** The smaller, the sooner it is placed. */
  keys: Float64Array
  units: Int16Array
  cooks: Int16Array
  /** Minutes that a task waits so that what must follow at once can. */
  delays: Float64Array
}

/** Where everything stands. A task that found no place starts at infinity. */
export interface Placing {
  starts: Float64Array
  units: Int16Array
  cooks: Int16Array
  /** Minutes of cleaning before each. */
  cleans: Float64Array
  /** The order in which they were placed. */
  order: number[]
}

interface Busy {
  from: number[]
  until: number[]
}

interface Unit extends Busy {
  species: number
  /** End of the last task with a species. */
  speciesEnd: number
}

const NEVER = Number.POSITIVE_INFINITY

/** The end of what is in the way of a span; -1 where it is free. */
function blockedUntil({ from, until }: Busy, start: number, end: number): number {
  for (let at = 0; at < from.length; at++) {
    if ((from[at] as number) < end && (until[at] as number) > start) return until[at] as number
  }
  return -1
}

function occupy({ from, until }: Busy, start: number, end: number): void {
  let at = from.length
  while (at > 0 && (from[at - 1] as number) > start) at--
  from.splice(at, 0, start)
  until.splice(at, 0, end)
}

/** Places tasks one after the other, each as early as it can: cooks may fill gaps, species of a unit follow each other. */
export class Placer {
  readonly #shop: Shop
  #units: Unit[][] = []
  #cooks: Busy[] = []

  constructor(shop: Shop) {
    this.#shop = shop
  }

  place(genes: Genes): Placing {
    const { tasks, units, shifts } = this.#shop
    this.#units = units.map((count) =>
      Array.from({ length: count }, () => ({ from: [], until: [], species: -1, speciesEnd: 0 })),
    )
    this.#cooks = shifts.map(() => ({ from: [], until: [] }))
    const placing: Placing = {
      starts: new Float64Array(tasks.length).fill(NEVER),
      units: new Int16Array(tasks.length).fill(-1),
      cooks: new Int16Array(tasks.length).fill(-1),
      cleans: new Float64Array(tasks.length),
      order: [],
    }
    const waits = tasks.map(({ after }) => after.length)
    const ready: number[] = []
    const free = (at: number) => {
      for (const { task } of (tasks[at] as ShopTask).followers) {
        waits[task] = (waits[task] as number) - 1
        if (waits[task] === 0) ready.push(task)
      }
    }
    // What has begun keeps its place, before anything else is placed.
    const held = tasks.flatMap((task, index) => (task.held ? [index] : []))
    held.sort((a, b) => (tasks[a]?.held?.start ?? 0) - (tasks[b]?.held?.start ?? 0))
    for (const at of held) this.#hold(at, placing)
    tasks.forEach((task, index) => {
      if (waits[index] === 0) ready.push(index)
      else if (task.held) waits[index] = Number.NaN
    })
    for (const at of held) if (Number.isNaN(waits[at])) ready.push(at)
    while (ready.length > 0) {
      let next = 0
      for (let at = 1; at < ready.length; at++) {
        if ((genes.keys[ready[at] as number] as number) < (genes.keys[ready[next] as number] as number)) next = at
      }
      const at = ready[next] as number
      ready[next] = ready[ready.length - 1] as number
      ready.pop()
      if (!(tasks[at] as ShopTask).held) this.#place(at, genes, placing)
      free(at)
    }
    return placing
  }

  #hold(at: number, placing: Placing): void {
    const task = this.#shop.tasks[at] as ShopTask
    const { start, cook, unit } = task.held as NonNullable<ShopTask['held']>
    const held = task.station === null || unit === null ? null : (this.#units[task.station]?.[unit] ?? null)
    this.#take(at, task, { start, begins: start, clean: 0, unit: held, unitAt: unit ?? -1, cook: cook ?? -1 }, placing)
  }

  #place(at: number, genes: Genes, placing: Placing): void {
    const task = this.#shop.tasks[at] as ShopTask
    let earliest = task.notBefore + (genes.delays[at] as number)
    for (const { task: before, lag } of task.after) {
      earliest = Math.max(earliest, (placing.starts[before] as number) + (this.#shop.tasks[before]?.minutes ?? 0) + lag)
    }
    if (earliest >= NEVER) return
    const units = task.station === null ? null : (this.#units[task.station] as Unit[])
    const wantedUnit = genes.units[at] as number
    const wantedCook = genes.cooks[at] as number
    const unitPlaces = units === null ? [-1] : wantedUnit >= 0 ? [wantedUnit] : units.map((_, place) => place)
    const cookPlaces = task.needsCook ? (wantedCook >= 0 ? [wantedCook] : task.cooks) : [-1]
    let best: { start: number; begins: number; clean: number; unit: Unit | null; unitAt: number; cook: number } | null =
      null
    let score = NEVER
    for (const unitAt of unitPlaces) {
      const unit = units?.[unitAt] ?? null
      for (const cook of cookPlaces) {
        const found = this.#earliest(task, earliest, unit, cook)
        if (found === null) continue
        // A minute of cleaning is worth waiting for; of equal ones the unit that is used already is taken.
        const cost = found.start + found.clean * CLEAN_WEIGHT + (unit && unit.from.length === 0 ? FRESH_UNIT : 0)
        if (cost < score) {
          score = cost
          best = { ...found, unit, unitAt, cook }
        }
      }
    }
    if (best) this.#take(at, task, best, placing)
  }

  /** The earliest start on a unit by a cook, and the cleaning before it; null where it finds no place before the horizon. */
  #earliest(
    task: ShopTask,
    from: number,
    unit: Unit | null,
    cook: number,
  ): { start: number; begins: number; clean: number } | null {
    const { horizon } = this.#shop
    const hasSpecies = unit !== null && task.species !== null
    let start = hasSpecies ? Math.max(from, unit.speciesEnd) : from
    // Where cleaning begins is carried by itself: taken from the start again it may be a hair before what it follows, for ever.
    let pushed = { begins: Number.NaN, clean: Number.NaN }
    for (;;) {
      const clean = hasSpecies ? this.#cleanBefore(task.species as number, unit, start) : 0
      const begins = clean === pushed.clean ? pushed.begins : start - clean
      const end = start + task.minutes
      if (end > horizon) return null
      const blocked = this.#blocked(task, { begins, end, hasSpecies, unit, cook })
      if (blocked === null) return null
      if (blocked < 0) return { start, begins, clean }
      pushed = { begins: blocked, clean }
      start = blocked + clean
    }
  }

  /** Until when something stands in the way of a stretch: below 0 where nothing does, null where nothing after it is free. */
  #blocked(
    { species }: ShopTask,
    {
      begins,
      end,
      hasSpecies,
      unit,
      cook,
    }: { begins: number; end: number; hasSpecies: boolean; unit: Unit | null; cook: number },
  ): number | null {
    if (hasSpecies && species !== null && unit !== null && begins < unit.speciesEnd) return unit.speciesEnd
    if (cook >= 0) {
      const shift = (this.#shop.shifts[cook] ?? []).find(([, until]) => end <= until)
      if (!shift) return null
      if (begins < shift[0]) return shift[0]
      const busy = blockedUntil(this.#cooks[cook] as Busy, begins, end)
      if (busy >= 0) return busy
    }
    return unit === null ? -1 : blockedUntil(unit, begins, end)
  }

  #cleanBefore(species: number, unit: Unit, start: number): number {
    if (unit.species < 0 || unit.species === species) return 0
    if (this.#shop.cleanAt.some((time) => time >= unit.speciesEnd && time <= start)) return 0
    return this.#shop.cleaning[unit.species]?.[species] ?? 0
  }

  #take(
    at: number,
    task: ShopTask,
    {
      start,
      begins,
      clean,
      unit,
      unitAt,
      cook,
    }: { start: number; begins: number; clean: number; unit: Unit | null; unitAt: number; cook: number },
    placing: Placing,
  ): void {
    const end = start + task.minutes
    if (unit) {
      occupy(unit, begins, end)
      if (task.species !== null) {
        unit.species = task.species
        unit.speciesEnd = end
      }
    }
    if (cook >= 0) occupy(this.#cooks[cook] as Busy, begins, end)
    placing.starts[at] = start
    placing.cleans[at] = clean
    placing.units[at] = unitAt
    placing.cooks[at] = cook
    placing.order.push(at)
  }
}

const CLEAN_WEIGHT = 3
const FRESH_UNIT = 0.5
