import { LOGBOOK_SORTS, type LogbookFilters, type LogbookSort } from '@fleam/contract'
import { addDays, LOGBOOK_GROUPS, type LogbookGroup } from '@fleam/core'
import { useCallback, useMemo } from 'react'
import { useSearchParams } from 'react-router-dom'
import type { RecordsAsked } from '../../data/logbook-queries.ts'

/** Spans that are looked at again and again, in days. */
export const PERIODS = {
  '7': 'Last 7 days',
  '28': 'Last 4 weeks',
  '91': 'Last 13 weeks',
  '364': 'Last 52 weeks',
  all: 'All records',
} as const
export type Period = keyof typeof PERIODS

const FIRST_PERIOD: Period = '91'
const isPeriod = (text: string): text is Period => text in PERIODS
const oneOf = <T extends string>(all: readonly T[], text: string | null, usual: T): T =>
  all.includes(text as T) ? (text as T) : usual

/** What is looked at: it stands in the address, so that every view is a link. */
export interface LogbookView {
  period: Period
  filters: LogbookFilters
  group: LogbookGroup
  asked: RecordsAsked
  set: (changes: Readonly<Record<string, string | null>>) => void
}

export function useView(today: string): LogbookView {
  const [search, setSearch] = useSearchParams()
  const set = useCallback(
    (changes: Readonly<Record<string, string | null>>) =>
      setSearch(
        (before) => {
          for (const [name, value] of Object.entries(changes)) {
            if (value === null || value === '') before.delete(name)
            else before.set(name, value)
          }
          return before
        },
        { replace: true, preventScrollReset: true },
      ),
    [setSearch],
  )
  return useMemo(() => {
    const said = search.get('period') ?? ''
    const period = isPeriod(said) ? said : FIRST_PERIOD
    const span = period === 'all' ? {} : { from: addDays(today, 1 - Number(period)), to: today }
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
      set,
    }
  }, [search, set, today])
}
