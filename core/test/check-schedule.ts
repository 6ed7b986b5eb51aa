import type { Schedule, ScheduleRequest } from '../src/scheduling/index.ts'

const NEAR = 1e-6

/** A schedule held against every rule by itself: it shares no code with the search. Answers what is broken. */
export function brokenScheduleRules(request: ScheduleRequest, schedule: Schedule): string[] {
  const broken: string[] = []
  const hold = (rule: string, is: boolean) => {
    if (!is) broken.push(rule)
  }
  const placed = new Map(schedule.tasks.map((task) => [task.id, task]))
  const { order, cleanDown, against, cleanAt } = request.species
  let [late, held] = [0, 0]
  for (const task of request.tasks) {
    const own = placed.get(task.id)
    if (!own) {
      broken.push(`${task.id} has no place`)
      continue
    }
    hold(`${task.id} lasts`, Math.abs(own.end - own.start - task.minutes) < NEAR)
    hold(`${task.id} not before`, own.start >= task.notBefore - NEAR && own.end <= request.horizon + NEAR)
    const cook = request.cooks.find(({ name }) => name === own.cook)
    hold(`${task.id} has a cook or none`, task.needs === 'cook' ? cook !== undefined : own.cook === null)
    if (cook) {
      hold(`${task.id} skill`, task.skill === null || cook.skills.includes(task.skill))
      hold(
        `${task.id} in a shift`,
        cook.shifts.some(([from, until]) => own.start >= from - NEAR && own.end <= until + NEAR),
      )
    }
    const station = request.stations.find(({ name }) => name === task.station)
    hold(`${task.id} station`, (own.station?.name ?? null) === task.station)
    if (own.station) hold(`${task.id} unit`, own.station.number >= 1 && own.station.number <= (station?.count ?? 0))
    for (const { task: id, lag, within } of task.after) {
      const before = placed.get(id)
      const gap = own.start - (before?.end ?? Number.NaN) - lag
      hold(`${task.id} after ${id}`, gap >= -NEAR)
      if (within !== null) hold(`${task.id} within of ${id}`, gap <= within + NEAR)
      held += gap
    }
    if (task.due !== null) {
      late += Math.max(0, own.end - task.due)
      held += Math.abs(task.due - (task.slack ?? 0) - Math.min(own.end, task.due))
    }
  }
  hold('late minutes', Math.abs(late - schedule.lateMinutes) < 1e-4)
  hold('hold minutes', Math.abs(held - schedule.holdMinutes) < 1e-3)
  hold(
    'clean minutes',
    Math.abs(
      schedule.cleanDowns.reduce((sum, cleanDown) => sum + cleanDown.end - cleanDown.start, 0) - schedule.cleanMinutes,
    ) < NEAR,
  )

  // A cook does one thing at a time, cleaning too.
  for (const { name } of request.cooks) {
    const spans = [
      ...schedule.tasks.filter((task) => task.cook === name),
      ...schedule.cleanDowns.filter((cleanDown) => cleanDown.cook === name),
    ].sort((a, b) => a.start - b.start)
    spans.forEach((span, index) => {
      const before = spans[index - 1]
      hold(`${name} does one thing at ${span.start}`, !before || before.end <= span.start + NEAR)
    })
  }

  // Each unit holds one task, and is cleaned where the species changes, right before, by the next one's cook.
  for (const { name, count } of request.stations) {
    for (let number = 1; number <= count; number++) {
      const own = schedule.tasks
        .filter((task) => task.station?.name === name && task.station.number === number)
        .sort((a, b) => a.start - b.start)
      const cleans = schedule.cleanDowns.filter(
        (cleanDown) => cleanDown.station === name && cleanDown.number === number,
      )
      const all = [...own, ...cleans].sort((a, b) => a.start - b.start)
      all.forEach((span, index) => {
        const before = all[index - 1]
        hold(`${name} ${number} holds one at ${span.start}`, !before || before.end <= span.start + NEAR)
      })
      let last: { species: string; end: number } | null = null
      let needed = 0
      for (const row of own) {
        const task = request.tasks.find(({ id }) => id === row.id)
        const species = task?.needs === 'nobody' ? null : (task?.species ?? null)
        if (species === null) continue
        const before = last
        last = { species, end: row.end }
        if (!before || before.species === species) continue
        if (cleanAt.some((time) => time >= before.end - NEAR && time <= row.start + NEAR)) continue
        const minutes = order.indexOf(before.species) < order.indexOf(species) ? cleanDown : against
        needed++
        hold(
          `${name} ${number} is cleaned before ${row.id}`,
          cleans.some(
            (clean) =>
              Math.abs(clean.end - row.start) < NEAR &&
              Math.abs(clean.end - clean.start - minutes) < NEAR &&
              clean.cook === row.cook,
          ),
        )
      }
      hold(`${name} ${number} is cleaned no more than that`, cleans.length === needed)
    }
  }
  return broken
}
