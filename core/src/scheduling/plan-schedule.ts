import type { SolveProgramme } from '../solving/index.ts'
import { cleanBound, earliestEnds, impossibleTasks, lateBound } from './bounds.ts'
import { costOf, isBetter, type ScheduleCost } from './cost.ts'
import type { Placing } from './place.ts'
import type { CleanDown, HeldTask, Schedule, ScheduleRequest } from './schedule.ts'
import { type Found, Search } from './search.ts'
import { type Shop, shopOf } from './shop.ts'
import { bestTimes } from './timing.ts'

export interface ScheduleOptions {
  /** At most so long. */
  seconds?: number
  /** Without a better one for so many milliseconds it ends. */
  patience?: number
  /** What has begun or is held where it is. */
  held?: readonly HeldTask[]
  seed?: number
  /** Told of the best so far now and then; `false` breaks it off. */
  onProgress?: ((best: ScheduleCost) => boolean | undefined) | undefined
}

const SECONDS = 8
const SLICE_MS = 60
/** Without a better one for so long it ends: sooner where nothing can be less late or cleaner. */
const PATIENCE_MS = { open: 3_000, bound: 500 } as const
const SEED = 0.37
const SAME = 1e-6

/**
 * Who does what, when and where: first the fewest late minutes, then the fewest of cleaning, then food that waits the
 * least. `proven` only where every one of them meets what cannot be less.
 */
export function planSchedule(
  request: ScheduleRequest,
  solve: SolveProgramme,
  { seconds = SECONDS, patience = PATIENCE_MS.open, held = [], seed = SEED, onProgress }: ScheduleOptions = {},
): Schedule {
  const shop = shopOf(request, held)
  const ends = earliestEnds(shop)
  const impossible = impossibleTasks(shop, ends)
  const bound = { lateMinutes: lateBound(shop, ends) }
  if (impossible.length > 0) return nothing(bound, impossible)
  if (request.tasks.length === 0) return { ...nothing(bound, []), status: 'proven' }
  const least = { late: bound.lateMinutes, clean: cleanBound(shop) }
  const search = searched(shop, least, { seconds, patience, seed, onProgress, nowMs: solve.nowMs })
  const best = timed(shop, search, solve)
  if (best.cost.broken > SAME) return nothing(bound, withoutPlace(shop, best.placing))
  const { late, clean, hold } = best.cost
  const isProven = late <= least.late + SAME && clean <= least.clean + SAME && hold <= SAME
  return {
    status: isProven ? 'proven' : 'best-found',
    ...placesOf(shop, best.placing, held),
    lateMinutes: late,
    cleanMinutes: clean,
    holdMinutes: hold,
    bound,
    impossible: [],
  }
}

function searched(
  shop: Shop,
  least: { late: number; clean: number },
  {
    seconds,
    patience,
    seed,
    onProgress,
    nowMs,
  }: Required<Pick<ScheduleOptions, 'seconds' | 'patience' | 'seed'>> &
    Pick<ScheduleOptions, 'onProgress'> &
    Pick<SolveProgramme, 'nowMs'>,
): Search {
  const search = new Search(shop, seed)
  const began = nowMs()
  let improved = began
  for (;;) {
    const now = nowMs()
    const { broken, late, clean } = search.best.cost
    const isLeast = broken <= SAME && late <= least.late + SAME && clean <= least.clean + SAME
    const waits = isLeast ? Math.min(patience, PATIENCE_MS.bound) : patience
    if (now - began > seconds * 1000 || now - improved > waits) return search
    if (search.walk(SLICE_MS, nowMs)) improved = nowMs()
    if (onProgress?.(search.best.cost) === false) return search
  }
}

/** Times worked out exactly for the orders that are as late and as clean as the best. */
function timed(shop: Shop, search: Search, solve: SolveProgramme): Found {
  let best = search.best
  for (const { placing } of search.candidates) {
    const moved = bestTimes(shop, placing, solve)
    if (!moved) continue
    const cost = costOf(shop, moved)
    if (isBetter(cost, best.cost)) best = { placing: moved, cost }
  }
  return best
}

const nothing = (bound: Schedule['bound'], impossible: Schedule['impossible']): Schedule => ({
  status: 'impossible',
  tasks: [],
  cleanDowns: [],
  lateMinutes: 0,
  cleanMinutes: 0,
  holdMinutes: 0,
  bound,
  impossible,
})

/** Tasks for which no place was found before the horizon, or that come too late after what they follow at once. */
const withoutPlace = ({ request, tasks }: Shop, { starts }: Placing): Schedule['impossible'] =>
  request.tasks.flatMap(({ id }, index): Schedule['impossible'] => {
    const start = starts[index] as number
    const isLate = (tasks[index]?.after ?? []).some(
      ({ task, lag, within }) => start - (starts[task] as number) - (tasks[task]?.minutes ?? 0) - lag > within + SAME,
    )
    if (!Number.isFinite(start)) return [{ task: id, why: 'beyond-the-horizon' }]
    return isLate ? [{ task: id, why: 'too-late-after' }] : []
  })

function placesOf({ request, tasks }: Shop, { starts, units, cooks, cleans }: Placing, held: readonly HeldTask[]) {
  const { stations } = request
  const stationOf = (at: number) => {
    const station = tasks[at]?.station ?? null
    return station === null ? null : { name: stations[station]?.name ?? '', number: (units[at] as number) + 1 }
  }
  // Whoever began something did, also where they are not there any more.
  const heldBy = new Map(held.map(({ id, cook }) => [id, cook]))
  const cookOf = (at: number) => {
    const heldTask = heldBy.get(request.tasks[at]?.id ?? '')
    if (heldTask !== undefined) return heldTask
    return (cooks[at] as number) < 0 ? null : (request.cooks[cooks[at] as number]?.name ?? null)
  }
  return {
    tasks: request.tasks.map(({ id, minutes }, index) => {
      const start = starts[index] as number
      return { id, start, end: start + minutes, cook: cookOf(index), station: stationOf(index) }
    }),
    cleanDowns: request.tasks.flatMap((_, index): CleanDown[] => {
      const [clean, station, cook] = [cleans[index] as number, stationOf(index), cookOf(index)]
      const start = starts[index] as number
      if (clean === 0 || !station || cook === null) return []
      return [{ station: station.name, number: station.number, start: start - clean, end: start, cook }]
    }),
  }
}
