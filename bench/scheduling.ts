import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { planSchedule, type ScheduleRequest, type ScheduleTask, scheduleRequest } from '@fleam/core/scheduling'
import { solveWith } from '@fleam/core/solving'
import loadHighs from 'highs'
import { median, report } from './report.ts'

/** The cases that the tests of the core run too. */
const CASES = join(import.meta.dirname, '../core/cases/schedule.json')
const ROUNDS = 3

/** Schedules of the cases: when there is one at all, when it ends, and what a plain rule of thumb comes to beside it. */
export async function benchScheduling(): Promise<void> {
  const solve = solveWith(await loadHighs(), () => performance.now())
  const cases = JSON.parse(readFileSync(CASES, 'utf8')) as { name: string; input: unknown }[]
  for (const { name, input } of cases) {
    const request = scheduleRequest.parse(input)
    const times = { first: [] as number[], all: [] as number[], thumb: [] as number[] }
    let schedule = planSchedule(request, solve, { seconds: 0.1 })
    for (let round = 0; round < ROUNDS; round++) {
      let first = Number.NaN
      const began = performance.now()
      schedule = planSchedule(request, solve, {
        onProgress: ({ broken }) => {
          if (Number.isNaN(first) && broken === 0) first = performance.now() - began
          return undefined
        },
      })
      times.first.push(first)
      times.all.push(performance.now() - began)
      const again = performance.now()
      byDue(request)
      times.thumb.push(performance.now() - again)
    }
    const thumb = byDue(request)
    report(
      `schedule, ${name}, ${request.tasks.length} tasks`,
      `${median(times.all).toFixed(0)} ms, a first one after ${median(times.first).toFixed(0)}`,
      `by due alone ${median(times.thumb).toFixed(2)} ms`,
      median(times.all) / median(times.thumb),
      `late ${schedule.lateMinutes} and ${thumb.late}, cleaning ${schedule.cleanMinutes} and ${thumb.clean} minutes`,
    )
  }
}

/** A rule of thumb: whatever is due first comes first, on the first board and by the first cook who is free. */
function byDue({ tasks, cooks, stations, species }: ScheduleRequest): { late: number; clean: number } {
  const ends = new Map<string, number>()
  const free = new Map(cooks.map(({ name }) => [name, 0]))
  const units = new Map(
    stations.map(({ name, count }) => [name, Array.from({ length: count }, () => ({ free: 0, species: '' }))]),
  )
  const dueOf = (task: ScheduleTask): number => {
    const followers = tasks.filter(({ after }) => after.some((before) => before.task === task.id))
    return Math.min(
      task.due ?? Number.POSITIVE_INFINITY,
      ...followers.map((follower) => dueOf(follower) - follower.minutes),
    )
  }
  const due = new Map(tasks.map((task) => [task.id, dueOf(task)]))
  let [late, clean] = [0, 0]
  const waiting = new Set(tasks)
  while (waiting.size > 0) {
    const [next] = [...waiting]
      .filter(({ after }) => after.every(({ task }) => ends.has(task)))
      .sort((a, b) => (due.get(a.id) ?? 0) - (due.get(b.id) ?? 0))
    if (!next) break
    waiting.delete(next)
    let start = Math.max(next.notBefore, ...next.after.map(({ task, lag }) => (ends.get(task) ?? 0) + lag))
    const unit = next.station ? units.get(next.station)?.sort((a, b) => a.free - b.free)[0] : undefined
    if (unit) start = Math.max(start, unit.free)
    if (unit && next.species && unit.species && unit.species !== next.species) {
      const minutes =
        species.order.indexOf(unit.species) < species.order.indexOf(next.species) ? species.cleanDown : species.against
      clean += minutes
      start += minutes
    }
    if (next.needs === 'cook') {
      const able = cooks.filter(({ skills }) => next.skill === null || skills.includes(next.skill))
      const [cook] = able.sort((a, b) => (free.get(a.name) ?? 0) - (free.get(b.name) ?? 0))
      start = Math.max(start, free.get(cook?.name ?? '') ?? 0)
      const shift = cook?.shifts.find(([, until]) => start + next.minutes <= until)
      start = Math.max(start, shift?.[0] ?? start)
      free.set(cook?.name ?? '', start + next.minutes)
    }
    const end = start + next.minutes
    ends.set(next.id, end)
    if (unit) Object.assign(unit, { free: end, species: next.species ?? unit.species })
    late += Math.max(0, end - (next.due ?? end))
  }
  return { late, clean }
}
