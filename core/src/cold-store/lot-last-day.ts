import type { Day } from '../calendar/index.ts'
import { lastDay } from './last-day.ts'

/** What says until when a raw lot may be used. */
export interface LotDays {
  /** The supplier's own last day; null where its label says none. */
  useBy: Day | null
  /** Day on which its first case was opened; null while it is closed. */
  openedOn: Day | null
  /** Days it keeps once it is open, that day counted. */
  daysOpen: number
}

export interface LotLastDay {
  last: Day
  /** What set it: its label, or that it was opened. */
  by: 'label' | 'opened'
}

/** Until when a raw lot may be used, and why; null where nothing says. A lot that is opened begins a life of its own. */
export function lotLastDay({ useBy, openedOn, daysOpen }: LotDays): LotLastDay | null {
  if (openedOn === null) return useBy === null ? null : { last: useBy, by: 'label' }
  const { last } = lastDay({
    made: openedOn,
    days: daysOpen,
    lots: useBy === null ? [] : [useBy],
    months: null,
    openedDays: daysOpen,
  })
  return last === null ? null : { last, by: last === useBy ? 'label' : 'opened' }
}
