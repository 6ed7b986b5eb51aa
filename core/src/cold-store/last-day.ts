import { addDays, addMonths, type Day, daysBetween } from '../calendar/index.ts'

/** How a lot came from its supplier. What came frozen or thawed has been frozen raw once. */
export type Came = 'chilled' | 'frozen' | 'thawed'

/** Something that happens to a pack or a lot, on a calendar day of the kitchen. */
export type KeepingEvent =
  | { what: 'freeze' | 'open'; on: Day }
  /** Taken out to thaw; `weight` in grams, a day for each two kilos. */
  | { what: 'thaw'; on: Day; weight?: number | undefined }
  /** Put together with another of the same product, whose last day is `last`. */
  | { what: 'merge'; on: Day; last: Day }
  /** `days` that the cooked thing keeps, its cooking day counted; `months` frozen, null where it is not to be frozen. */
  | { what: 'cook'; on: Day; cooled: boolean; days: number; months?: number | null | undefined }

export interface LastDayRequest {
  /** The day of making or opening: day 1. */
  made: Day
  /** Days that it keeps chilled, at least 1. */
  days: number
  /** Last days of the lots that it comes from. */
  lots?: readonly Day[] | undefined
  came?: Came | undefined
  /** Months that it keeps frozen; null where it is not to be frozen. */
  months: number | null
  /** Days that it keeps once it is opened, that day counted. */
  openedDays: number
  /** Days that it keeps once it is thawed, the day on which thawing ends counted; 1 where nobody says. */
  thawedDays?: number | undefined
  /** In the order in which they happened. */
  events?: readonly KeepingEvent[] | undefined
}

export const KEEPING_REFUSALS = [
  'before-made',
  'past-last-day',
  'thawed-once',
  'frozen-already',
  'frozen',
  'not-frozen',
  'not-to-be-frozen',
  'cooked-already',
  'discard-only',
] as const
export type KeepingRefusal = (typeof KEEPING_REFUSALS)[number]

export type KeepingState = 'chilled' | 'frozen' | 'thawed' | 'cooked' | 'discard'

export interface LastDay {
  state: KeepingState
  /** Ends at midnight in the kitchen's zone; null for what can only be thrown away. */
  last: Day | null
  /** Events that may not be and changed nothing, by their place from 0. */
  refused: { event: number; code: KeepingRefusal }[]
}

/** Grams that thaw in the refrigerator in one day. */
const THAWED_IN_A_DAY = 2000
const USUAL_THAWED_DAYS = 1

/** The last day of something that keeps so many days from a day on, that day counted. */
const keptThrough = (from: Day, days: number): Day => addDays(from, days - 1)

/** The first of several days. */
export const earliest = (...days: readonly [Day, ...Day[]]): Day => [...days].sort()[0] as Day

interface Keeping {
  made: Day
  state: KeepingState
  last: Day | null
  /** Whether it has been frozen and thawed raw, here or at its supplier's. */
  isThawedRaw: boolean
  isCooked: boolean
  months: number | null
  /** Days that were left when it was frozen, the freezing day counted; null before. */
  leftWhenFrozen: number | null
}

/**
 * The last day of a pack or lot after all that happened to it. The one function for receiving, cold store, labels and
 * plans. An event that may not be is refused with its reason and changes nothing.
 */
export function lastDay(request: LastDayRequest): LastDay {
  let keeping: Keeping = {
    made: request.made,
    state: 'chilled',
    last: earliest(keptThrough(request.made, request.days), ...(request.lots ?? [])),
    isThawedRaw: (request.came ?? 'chilled') !== 'chilled',
    isCooked: false,
    months: request.months,
    leftWhenFrozen: null,
  }
  const refused: LastDay['refused'] = []
  request.events?.forEach((event, index) => {
    const code = refusalOf(keeping, event)
    if (code === null) keeping = after(keeping, event, request)
    else refused.push({ event: index, code })
  })
  return { state: keeping.state, last: keeping.last, refused }
}

/** Why an event may not be; null where it may. */
function refusalOf(keeping: Keeping, event: KeepingEvent): KeepingRefusal | null {
  const { state, last } = keeping
  if (state === 'discard' || last === null) return 'discard-only'
  if (event.on < keeping.made) return 'before-made'
  if (event.on > last) return 'past-last-day'
  switch (event.what) {
    case 'freeze':
      if (keeping.isThawedRaw) return 'thawed-once'
      if (state === 'frozen') return 'frozen-already'
      return keeping.months === null ? 'not-to-be-frozen' : null
    case 'thaw':
      return state === 'frozen' ? null : 'not-frozen'
    case 'open':
    case 'merge':
      return state === 'frozen' ? 'frozen' : null
    case 'cook':
      if (state === 'frozen') return 'frozen'
      return keeping.isCooked ? 'cooked-already' : null
  }
}

/** What an event that may be makes of it. */
function after(keeping: Keeping, event: KeepingEvent, { openedDays, thawedDays }: LastDayRequest): Keeping {
  const last = keeping.last as Day
  switch (event.what) {
    case 'freeze':
      return {
        ...keeping,
        state: 'frozen',
        last: addMonths(event.on, keeping.months as number),
        leftWhenFrozen: daysBetween(event.on, last) + 1,
      }
    case 'thaw': {
      const thawed = addDays(event.on, Math.max(1, Math.ceil((event.weight ?? 0) / THAWED_IN_A_DAY)))
      const days = Math.min(keeping.leftWhenFrozen as number, thawedDays ?? USUAL_THAWED_DAYS)
      return {
        ...keeping,
        state: 'thawed',
        last: keptThrough(thawed, days),
        isThawedRaw: keeping.isThawedRaw || !keeping.isCooked,
      }
    }
    case 'open':
      return { ...keeping, last: earliest(last, keptThrough(event.on, openedDays)) }
    case 'merge':
      return { ...keeping, last: earliest(last, event.last) }
    case 'cook':
      if (!event.cooled) return { ...keeping, state: 'discard', last: null }
      return {
        ...keeping,
        made: event.on,
        state: 'cooked',
        last: keptThrough(event.on, event.days),
        isThawedRaw: false,
        isCooked: true,
        months: event.months ?? null,
      }
  }
}
