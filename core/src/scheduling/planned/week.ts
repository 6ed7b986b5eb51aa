/** What a cook may be trusted with: in the order in which a board is cleaned least. */
export const SKILLS = ['fish', 'red-meat', 'poultry'] as const
export type Skill = (typeof SKILLS)[number]

/** One stretch at the board of a usual week: day 1 is Monday, minutes from its midnight. */
export interface CookShift {
  day: number
  from: number
  until: number
}

const DAYS = [1, 2, 3, 4, 5, 6, 7] as const
const ASSUMED_MINUTES = 8 * 60
const MINUTES_OF_A_DAY = 1440

/** Stretches of one day of the week, in order; those that meet are one. */
export function shiftsOn(day: number, week: readonly CookShift[]): [from: number, until: number][] {
  const own = week.filter((each) => each.day === day && each.until > each.from).sort((a, b) => a.from - b.from)
  const joined: [number, number][] = []
  for (const { from, until } of own) {
    const last = joined.at(-1)
    if (last && from <= last[1]) last[1] = Math.max(last[1], until)
    else joined.push([from, until])
  }
  return joined
}

/** Hours at the board on each day, Monday first. */
export const hoursOfWeek = (week: readonly CookShift[]): number[] =>
  DAYS.map((day) => shiftsOn(day, week).reduce((sum, [from, until]) => sum + (until - from) / 60, 0))

/** Hours that cooks are at the board from a minute of a day on, together; weeks of those who are there. */
export const hoursLeft = (weeks: readonly (readonly CookShift[])[], day: number, minute: number): number =>
  weeks.reduce(
    (sum, week) =>
      sum +
      shiftsOn(day, week).reduce((all, [from, until]) => all + Math.max(0, until - Math.max(from, minute)) / 60, 0),
    0,
  )

/** Every day from when the day begins, eight hours: where nobody said any. */
export const usualWeek = (begins: number): CookShift[] =>
  DAYS.map((day) => ({ day, from: begins, until: Math.min(MINUTES_OF_A_DAY, begins + ASSUMED_MINUTES) }))

/** Shifts fall on these minutes. */
const GRID = 30

/** A stretch of a day moved or made longer by some minutes: on the half hour, within the day, never shorter than that. */
export function shiftBy(
  { from, until }: Pick<CookShift, 'from' | 'until'>,
  part: 'whole' | 'from' | 'until',
  minutes: number,
): Pick<CookShift, 'from' | 'until'> {
  const by = Math.round(minutes / GRID) * GRID
  if (part === 'from') return { from: Math.max(0, Math.min(from + by, until - GRID)), until }
  if (part === 'until') return { from, until: Math.min(MINUTES_OF_A_DAY, Math.max(until + by, from + GRID)) }
  const within = Math.max(-from, Math.min(by, MINUTES_OF_A_DAY - until))
  return { from: from + within, until: until + within }
}
