import Papa from 'papaparse'
import type { CookShift, WorkCook } from '../scheduling/index.ts'
import { SPECIES, type Species } from '../style/index.ts'
import { fromInert, inert } from './inert.ts'

/** A cook with a usual week at the board and what they may cut. */
interface CookWeek {
  id: string
  week: CookShift[]
  skills: Species[] | null
}
type NamedCook = Pick<WorkCook, 'id' | 'week' | 'skills'> & { name: string }

const HEADERS = ['cook', 'skills', 'day', 'from', 'until'] as const
type Header = (typeof HEADERS)[number]
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const
const HOUR = 60
const CLOCK = /^(\d{1,2}):([0-5]\d)$/

const clock = (minutes: number) => `${Math.floor(minutes / HOUR)}:${String(minutes % HOUR).padStart(2, '0')}`

/** Who is at the board when and may cut what, as CSV (RFC 4180): a row for each stretch, and one for a cook without any. */
export function cookWeekCsv(cooks: readonly NamedCook[]): string {
  const rows = cooks.flatMap(({ name, skills, week }) => {
    const who = { cook: inert(name), skills: skills === null ? 'all' : skills.join(' ') }
    const shifts = [...(week ?? [])].sort((a, b) => a.day - b.day || a.from - b.from)
    if (shifts.length === 0) return [{ ...who, day: '', from: '', until: '' }]
    return shifts.map(({ day, from, until }) => ({
      ...who,
      day: DAYS[day - 1] ?? '',
      from: clock(from),
      until: clock(until),
    }))
  })
  return `${Papa.unparse({ fields: [...HEADERS], data: rows }, { newline: '\r\n' })}\r\n`
}

export interface CookWeekIssue {
  /** From 1, the headers are row 1. */
  row: number
  column: Header
  message: string
}

/** Reads such a file: the weeks of the cooks that it names, or everything that is wrong with it. */
export function readCookWeek(
  text: string,
  kitchenCooks: readonly NamedCook[],
): { cooks: CookWeek[]; issues: CookWeekIssue[] } {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  })
  const missing = HEADERS.filter((header) => !(meta.fields ?? []).includes(header))
  if (missing.length > 0) {
    return { cooks: [], issues: missing.map((column) => ({ row: 1, column, message: 'is no column of this file' })) }
  }
  const issues: CookWeekIssue[] = []
  const weeks = new Map<string, CookWeek>()
  data.forEach((cells, index) => {
    const cell = (column: Header) => fromInert((cells[column] ?? '').trim())
    const tell = (column: Header, message: string) => issues.push({ row: index + 2, column, message })
    const cook = kitchenCooks.find(({ name }) => name.toLowerCase() === cell('cook').toLowerCase())
    if (!cook) return tell('cook', `${cell('cook') || 'nothing'} is no cook of this kitchen`)
    const cookWeek = weeks.get(cook.id) ?? { id: cook.id, week: [], skills: skillsIn(cell('skills'), tell) }
    weeks.set(cook.id, cookWeek)
    const shift = shiftIn(cell, tell)
    if (shift) cookWeek.week.push(shift)
  })
  if (weeks.size === 0 && issues.length === 0) issues.push({ row: 2, column: 'cook', message: 'there is no row' })
  return { cooks: issues.length > 0 ? [] : [...weeks.values()], issues }
}

type Tell = (column: Header, message: string) => void

function skillsIn(text: string, tell: Tell): Species[] | null {
  if (text === '' || text.toLowerCase() === 'all') return null
  return text
    .toLowerCase()
    .split(/[\s,;]+/)
    .flatMap((word) => {
      const skill = SPECIES.find((species) => species === word)
      if (!skill) tell('skills', `${word} is none of ${SPECIES.join(', ')}`)
      return skill ?? []
    })
}

/** The stretch of a row; null where it has none, or something is wrong with it. */
function shiftIn(cell: (column: Header) => string, tell: Tell) {
  if (cell('day') === '' && cell('from') === '' && cell('until') === '') return null
  const day = DAYS.findIndex((name) => name.toLowerCase() === cell('day').toLowerCase()) + 1
  if (day === 0) tell('day', `${cell('day') || 'nothing'} is no day of the week`)
  const minutes = (column: 'from' | 'until') => {
    const [, hours, rest] = CLOCK.exec(cell(column)) ?? []
    const minute = Number(hours) * HOUR + Number(rest)
    if (Number.isFinite(minute) && minute <= 24 * HOUR) return minute
    tell(column, `${cell(column) || 'nothing'} is no time such as 8:30`)
    return null
  }
  const [from, until] = [minutes('from'), minutes('until')]
  if (from === null || until === null || day === 0) return null
  if (until <= from) {
    tell('until', 'must be after its beginning')
    return null
  }
  return { day, from, until }
}
