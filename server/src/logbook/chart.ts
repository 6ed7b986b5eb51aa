import type { ChartQuery, LogbookSeries } from '@fleam/contract/logbook/schemas'
import {
  CHART_BASELINE,
  type ChartLimits,
  type ChartSignal,
  controlChart,
  groupBy,
  movedPiles,
} from '@fleam/core/logbook'
import type { Scope } from '../scope/index.ts'
import { refuseFilters } from './filters.ts'
import { pileShares, type SeriesPoint, seriesOf } from './series-store.ts'

/** So many of the newest records are drawn: more points than a screen has say no more. */
const MAX_DRAWN = 1_000
/** So many of the newest signals are told: nobody looks at more. */
const MAX_SIGNALS = 40
/** So many records of a signal say which pile moved. */
const MAX_TELLING = 30

/** Yields of one item and style, of one cook where one is named, with the limits of what is usual. */
export async function chart(scope: Scope, query: ChartQuery): Promise<LogbookSeries> {
  await refuseFilters(scope, query)
  const points = await seriesOf(scope, query)
  const { limits, signals } = controlChart(points)
  const first = Math.max(0, points.length - MAX_DRAWN)
  const drawn = <T extends { from: number; to: number }>(stretches: readonly T[]): T[] =>
    stretches
      .filter(({ to }) => to >= first)
      .map((stretch) => ({ ...stretch, from: Math.max(0, stretch.from - first), to: stretch.to - first }))
  const shown = signals.filter(({ to }) => to >= first).slice(-MAX_SIGNALS)
  const stretches = shown.map((signal) => stretchesOf(points, limits, signal))
  const shares = await pileShares(scope, [...new Set(stretches.flatMap(({ now, usual }) => [...now, ...usual]))])
  const byRecord = groupBy(shares, ({ id }) => id)
  const pilesOf = (ids: readonly string[]) => ids.flatMap((id) => byRecord.get(id) ?? [])
  return {
    points: points.slice(first),
    records: points.length,
    limits: drawn(limits),
    signals: drawn(shown).map((signal, index) => {
      const { now, usual } = stretches[index] as Stretches
      const [moved = null, ...others] = movedPiles(pilesOf(now), pilesOf(usual))
      const against = others.find(({ difference }) => moved !== null && difference * moved.difference < 0) ?? null
      return { ...signal, moved, against }
    }),
  }
}

interface Stretches {
  now: string[]
  usual: string[]
}

/** Records of a signal, and those that say what was usual before: the first twenty of its stretch. */
function stretchesOf(points: readonly SeriesPoint[], limits: readonly ChartLimits[], signal: ChartSignal): Stretches {
  const idsOf = (from: number, to: number) => points.slice(from, to + 1).map(({ id }) => id)
  const limitsThere = limits.find(({ from, to }) => signal.from >= from && signal.to <= to)
  const now = idsOf(Math.max(signal.from, signal.to - MAX_TELLING + 1), signal.to)
  const usual = limitsThere
    ? idsOf(limitsThere.from, Math.min(limitsThere.to, limitsThere.from + CHART_BASELINE - 1))
    : []
  const isNow = new Set(now)
  return { now, usual: usual.filter((id) => !isNow.has(id)) }
}
