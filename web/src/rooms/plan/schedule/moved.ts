import type { PlacedTask, ScheduleRequest } from '@fleam/core/scheduling'

/** A row of the timeline: a cook, or one unit of a station. */
export type Lane = { kind: 'cook'; name: string } | { kind: 'unit'; station: string; number: number }

export const laneKey = (lane: Lane) => (lane.kind === 'cook' ? `cook ${lane.name}` : `${lane.station} ${lane.number}`)

/**
 * Rows of the cooks who have something to do or hours to do it, with the saws and pots that are in use that day; or of
 * every unit.
 */
export function lanesOf(
  { cooks, stations }: ScheduleRequest,
  { by, own }: { by: Lane['kind']; own: readonly PlacedTask[] },
): Lane[] {
  const units = stations.flatMap(({ name, count }) =>
    Array.from({ length: count }, (_, index): Lane => ({ kind: 'unit', station: name, number: index + 1 })),
  )
  if (by === 'unit') return units
  return [
    ...cooks.filter(({ shifts }) => shifts.length > 0).map(({ name }): Lane => ({ kind: 'cook', name })),
    ...units.filter((lane) => lane.kind === 'unit' && lane.station !== 'board' && own.some((task) => isIn(lane, task))),
  ]
}

export const isIn = (lane: Lane, { cook, station }: PlacedTask) =>
  lane.kind === 'cook' ? cook === lane.name : station?.name === lane.station && station.number === lane.number

/** A task moved by some minutes, and to another row where one is given; a pot goes to no board. */
export function moved(
  placed: readonly PlacedTask[],
  id: string,
  { minutes, lane }: { minutes: number; lane?: Lane | undefined },
): PlacedTask[] {
  return placed.map((task) => {
    if (task.id !== id) return task
    const start = Math.max(0, task.start + minutes)
    const movedTask = { ...task, start, end: start + task.end - task.start }
    if (lane?.kind === 'cook' && task.cook !== null) return { ...movedTask, cook: lane.name }
    if (lane?.kind === 'unit' && task.station?.name === lane.station) {
      return { ...movedTask, station: { name: lane.station, number: lane.number } }
    }
    return movedTask
  })
}
