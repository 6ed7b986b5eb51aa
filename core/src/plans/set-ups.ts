import {
  MINUTES_OF_A_DAY,
  type PlacedTask,
  type PlannedJob,
  type WorkPlan,
  type WorkTask,
} from '../scheduling/index.ts'
import { type SetUpPile, settleStyle, setUpList, type Tool } from '../style/index.ts'
import type { PlanItem } from './item.ts'

/** What comes to a station of one job. */
export interface JobThere {
  job: PlannedJob
  /** Units of it, each counted once, whatever is done to it there. */
  units: number
  /** Ids of the steps of a line that are done there; null where a unit is cut there as a whole, or where they are not known. */
  steps: string[] | null
}

/** What is laid out at one board or saw on one day. */
export interface SetUp {
  station: string
  number: number
  /** Days after the first. */
  day: number
  /** What comes there, in its order, with units of each. */
  jobs: JobThere[]
  tools: Tool[]
  /** Containers by the pile, for all that is cut there. */
  piles: (SetUpPile & { of: string })[]
}

/** Every station of every day that is worked at, with what to lay out there before the first cut. */
export function setUpsOf(
  placed: readonly PlacedTask[],
  { work, jobs, items }: { work: WorkPlan; jobs: readonly PlannedJob[]; items: readonly PlanItem[] },
): SetUp[] {
  const setUps = new Map<string, SetUp>()
  const loads = new Map<string, Set<number>>()
  /** Loads of a job that are counted at a station already. */
  const loadsAt = (station: string, jobId: string) => {
    const key = `${station} ${jobId}`
    const counted = loads.get(key) ?? new Set()
    loads.set(key, counted)
    return counted
  }
  for (const { id, start, station } of [...placed].sort((a, b) => a.start - b.start)) {
    const task = work.tasks.find((workTask) => workTask.id === id)
    const job = jobs.find((plannedJob) => plannedJob.id === task?.jobId)
    // At a pot nothing is cut: there is nothing to lay out but the pot.
    if (!station || task?.kind !== 'cut' || !job) continue
    const day = Math.floor(start / MINUTES_OF_A_DAY)
    const key = `${day} ${station.name} ${station.number}`
    const setUp = setUps.get(key) ?? {
      station: station.name,
      number: station.number,
      day,
      jobs: [],
      tools: [],
      piles: [],
    }
    addTask(setUp.jobs, job, task, loadsAt(key, job.id))
    setUps.set(key, setUp)
  }
  return [...setUps.values()].map((setUp) => {
    const lists = setUp.jobs.map((there) => ({ job: there.job, list: listOf(there, items) }))
    return {
      ...setUp,
      tools: [...new Set(lists.flatMap(({ list }) => list?.tools ?? []))],
      piles: lists.flatMap(({ job, list }) => (list?.piles ?? []).map((pile) => ({ ...pile, of: job.name }))),
    }
  })
}

/** Adds a load, or one part of a line at it: the units of a load come to a station once. */
function addTask(jobs: JobThere[], job: PlannedJob, { units, load, part }: WorkTask, counted: Set<number>): void {
  const there = jobs.find((waiting) => waiting.job.id === job.id)
  const isNew = !counted.has(load)
  counted.add(load)
  if (!there) {
    jobs.push({ job, units, steps: part && part.steps.length > 0 ? [...part.steps] : null })
    return
  }
  if (isNew) there.units += units
  if (there.steps && part) there.steps = [...new Set([...there.steps, ...part.steps])]
}

/** What one job needs at a station, of a line what its parts need; null where its style is not there any more. */
function listOf({ job: { itemId, styleId }, units, steps: stepsThere }: JobThere, items: readonly PlanItem[]) {
  const item = items.find(({ id }) => id === itemId)
  const style = item?.styles.find(({ id }) => id === styleId)
  if (!item || !style) return null
  const { steps, piles } = settleStyle(style, {})
  const stepsHere = stepsThere ? steps.filter(({ id }) => stepsThere.includes(id)) : steps
  const pilesHere = new Set(stepsHere.flatMap(({ pileIds }) => pileIds))
  return setUpList({
    ...{ steps: stepsHere, piles: stepsThere ? piles.filter(({ id }) => pilesHere.has(id)) : piles },
    ...{ consumables: style.consumables, units, grams: units * item.unitWeight.usual },
  })
}
