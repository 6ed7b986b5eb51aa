import { LOGBOOK_SORTS, type LogbookFilters, type LogbookSort } from '@fleam/contract/logbook/schemas'
import { addDays, parseDay } from '@fleam/core/calendar'
import { LOGBOOK_GROUPS, type LogbookGroup } from '@fleam/core/logbook'
import { useCallback, useMemo, useRef } from 'react'
import { useSearchParams } from 'react-router-dom'
import type { RecordsAsked } from '../../data/logbook-queries.ts'

/** Spans that are looked at again and again, in days. */
export const PERIODS = {
  '7': 'Last 7 days',
  '28': 'Last 4 weeks',
  '91': 'Last 13 weeks',
  '364': 'Last 52 weeks',
  all: 'All records',
  days: 'Other days',
} as const
export type Period = keyof typeof PERIODS

const FIRST_PERIOD: Period = '91'
const isPeriod = (text: string): text is Period => text in PERIODS
const oneOf = <T extends string>(all: readonly T[], text: string | null, usual: T): T =>
  all.includes(text as T) ? (text as T) : usual

/** A day of the address; the usual one where none is written there, or none that is one. */
const dayIn = (search: URLSearchParams, name: string, usual: string) => parseDay(search.get(name) ?? '') ?? usual

/** What is looked at: it stands in the address, so that every view is a link. */
export interface LogbookView {
  period: Period
  filters: LogbookFilters
  group: LogbookGroup
  asked: RecordsAsked
  /** Records that stand beside each other. */
  beside: readonly string[]
  set: (changes: Readonly<Record<string, string | null>>) => void
}

export function useView(today: string): LogbookView {
  const [search, setSearch] = useSearchParams()
  // Of two choices in a row the second must know of the first, drawn already or not.
  const latest = useRef(search)
  latest.current = search
  const set = useCallback(
    (changes: Readonly<Record<string, string | null>>) => {
      const next = new URLSearchParams(latest.current)
      for (const [name, value] of Object.entries(changes)) {
        if (value === null || value === '') next.delete(name)
        else next.set(name, value)
      }
      latest.current = next
      setSearch(next, { replace: true, preventScrollReset: true })
    },
    [setSearch],
  )
  return useMemo(() => {
    const periodText = search.get('period') ?? ''
    const period = isPeriod(periodText) ? periodText : FIRST_PERIOD
    const span =
      period === 'all'
        ? {}
        : period === 'days'
          ? { from: dayIn(search, 'from', addDays(today, -30)), to: dayIn(search, 'to', today) }
          : { from: addDays(today, 1 - Number(period)), to: today }
    const chosen = (name: string) => {
      const value = search.get(name)
      return value ? { [name]: value } : {}
    }
    return {
      period,
      filters: { ...span, ...chosen('item'), ...chosen('style'), ...chosen('cook'), ...chosen('supplier') },
      group: oneOf(LOGBOOK_GROUPS, search.get('group'), 'cook'),
      asked: {
        words: search.get('words') ?? '',
        counted: oneOf(['yes', 'no', 'all'], search.get('counted'), 'all'),
        sort: oneOf<LogbookSort>(LOGBOOK_SORTS, search.get('sort'), 'date'),
        order: oneOf(['ascending', 'descending'], search.get('order'), 'descending'),
      },
      beside: (search.get('beside') ?? '').split(',').filter((id) => id !== ''),
      set,
    }
  }, [search, set, today])
}
