import type { HeldTask, ScheduleRequest } from './schedule.ts'

/** A task by numbers: places of cooks, stations and other tasks instead of their names. */
export interface ShopTask {
  minutes: number
  needsCook: boolean
  /** Cooks who can do it, by place. */
  cooks: readonly number[]
  /** Place of its station; null where it needs none. */
  station: number | null
  /** Place of its species; null where it has none. */
  species: number | null
  after: readonly { task: number; lag: number; within: number }[]
  followers: readonly { task: number; lag: number; within: number }[]
  notBefore: number
  due: number
  slack: number
  held: { start: number; cook: number | null; unit: number | null } | null
}

/** A request as the search goes through it. */
export interface Shop {
  request: ScheduleRequest
  tasks: readonly ShopTask[]
  units: readonly number[]
  shifts: readonly (readonly (readonly [number, number])[])[]
  /** Minutes of cleaning from one species to another. */
  cleaning: readonly (readonly number[])[]
  cleanAt: readonly number[]
  horizon: number
}

/** Names become places; the contract has seen to it that they lead somewhere. */
export function shopOf(request: ScheduleRequest, held: readonly HeldTask[] = []): Shop {
  const { cooks, stations, species, tasks } = request
  const placeOf = new Map(tasks.map(({ id }, index) => [id, index]))
  const speciesNames = [...new Set([...species.order, ...tasks.flatMap((task) => task.species ?? [])])]
  const heldOf = new Map(held.map((task) => [task.id, task]))
  const after = tasks.map((task) =>
    task.after.map(({ task: id, lag, within }) => ({
      task: placeOf.get(id) as number,
      lag,
      within: within ?? Number.POSITIVE_INFINITY,
    })),
  )
  return {
    request,
    units: stations.map(({ count }) => count),
    shifts: cooks.map(({ shifts }) => shifts),
    cleaning: speciesNames.map((_, from) =>
      speciesNames.map((_name, to) => (from === to ? 0 : from < to ? species.cleanDown : species.against)),
    ),
    cleanAt: species.cleanAt,
    horizon: request.horizon,
    tasks: tasks.map((task, index): ShopTask => {
      const heldTask = heldOf.get(task.id)
      const station = stations.findIndex(({ name }) => name === task.station)
      return {
        minutes: task.minutes,
        needsCook: task.needs === 'cook',
        cooks: cooks.flatMap(({ skills }, cook) => (task.skill === null || skills.includes(task.skill) ? [cook] : [])),
        station: task.station === null ? null : station,
        species: task.species === null || task.needs === 'nobody' ? null : speciesNames.indexOf(task.species),
        after: after[index] ?? [],
        followers: after.flatMap((list, follower) =>
          list.flatMap(({ task: before, lag, within }) => (before === index ? [{ task: follower, lag, within }] : [])),
        ),
        notBefore: task.notBefore,
        due: task.due ?? Number.POSITIVE_INFINITY,
        slack: task.slack ?? 0,
        held: heldTask
          ? { start: heldTask.start, cook: cooks.findIndex(({ name }) => name === heldTask.cook), unit: heldTask.unit }
          : null,
      }
    }),
  }
}
