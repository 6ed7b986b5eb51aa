import {
  MINUTES_OF_A_DAY,
  type PlacedTask,
  type PlannedJob,
  type SetUpPile,
  settleStyle,
  setUpList,
  type Tool,
  type WorkPlan,
} from '@fleam/core'
import type { Item } from './style.ts'

/** What is laid out at one board or saw on one day. */
export interface SetUp {
  station: string
  number: number
  /** Days after the first. */
  day: number
  /** What comes there, in its order, with units of each. */
  jobs: { job: PlannedJob; units: number }[]
  tools: Tool[]
  /** Containers by the pile, for all that is cut there. */
  piles: (SetUpPile & { of: string })[]
}

/** Every station of every day that is worked at, with what to lay out there before the first cut. */
export function setUpsOf(
  placed: readonly PlacedTask[],
  { work, jobs, items }: { work: WorkPlan; jobs: readonly PlannedJob[]; items: readonly Item[] },
): SetUp[] {
  const setUps = new Map<string, SetUp>()
  for (const { id, start, station } of [...placed].sort((a, b) => a.start - b.start)) {
    const task = work.tasks.find((each) => each.id === id)
    const job = jobs.find((each) => each.id === task?.jobId)
    // At a pot nothing is cut: there is nothing to lay out but the pot.
    if (!station || task?.kind !== 'cut' || !job) continue
    const day = Math.floor(start / MINUTES_OF_A_DAY)
    const key = `${day} ${station.name} ${station.number}`
    const own = setUps.get(key) ?? {
      station: station.name,
      number: station.number,
      day,
      jobs: [],
      tools: [],
      piles: [],
    }
    const known = own.jobs.find((each) => each.job.id === job.id)
    if (known) known.units += task.units
    else own.jobs.push({ job, units: task.units })
    setUps.set(key, own)
  }
  return [...setUps.values()].map((setUp) => {
    const lists = setUp.jobs.map(({ job, units }) => ({ job, list: listOf(job, units, items) }))
    return {
      ...setUp,
      tools: [...new Set(lists.flatMap(({ list }) => list?.tools ?? []))],
      piles: lists.flatMap(({ job, list }) => (list?.piles ?? []).map((pile) => ({ ...pile, of: job.name }))),
    }
  })
}

/** What one job needs for so many of its units; null where its style is not there any more. */
function listOf({ itemId, styleId }: PlannedJob, units: number, items: readonly Item[]) {
  const item = items.find(({ id }) => id === itemId)
  const style = item?.styles.find(({ id }) => id === styleId)
  if (!item || !style) return null
  const { steps, piles } = settleStyle(style, {})
  return setUpList({ steps, piles, consumables: style.consumables, units, grams: units * item.unitWeight.usual })
}
