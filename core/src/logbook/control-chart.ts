/** One record in the order of its day. */
export interface ChartPoint {
  id: string
  day: string
  value: number
  /** Something changed for good with this record: a new baseline begins here. */
  isNewBaseline?: boolean
}

export interface ChartLimits {
  /** First and last place of the stretch that the limits hold for. */
  from: number
  to: number
  centre: number
  low: number
  high: number
}

export interface ChartSignal {
  /** A point outside the limits, or eight or more in a row on one side of the middle. */
  kind: 'outside' | 'run'
  side: 'low' | 'high'
  /** First and last place. */
  from: number
  to: number
}

export interface ControlChart {
  limits: ChartLimits[]
  signals: ChartSignal[]
}

/** Below this many records a stretch has no limits. */
const MIN_RECORDS = 8
/** So many records at the beginning of a stretch say what is usual. */
export const CHART_BASELINE = 20
/** Three standard deviations, by the mean moving range of two. */
const RANGES = 2.66
const RUN = 8
const NEAR = 1e-12

/**
 * Individuals control chart: mean ± 2.66 × mean moving range over the first twenty records of each stretch, or all there
 * are. Points in the order of their days; a stretch ends where something changed for good.
 */
export function controlChart(points: readonly ChartPoint[]): ControlChart {
  const starts = points.flatMap((point, index) => (index === 0 || point.isNewBaseline ? [index] : []))
  const chart: ControlChart = { limits: [], signals: [] }
  starts.forEach((from, which) => {
    const to = (starts[which + 1] ?? points.length) - 1
    if (to - from + 1 < MIN_RECORDS) return
    const limits = limitsOf(points, from, to)
    chart.limits.push(limits)
    chart.signals.push(...outsideOf(points, limits), ...runsOf(points, limits))
  })
  chart.signals.sort((a, b) => a.from - b.from)
  return chart
}

function limitsOf(points: readonly ChartPoint[], from: number, to: number): ChartLimits {
  const values = points.slice(from, Math.min(to + 1, from + CHART_BASELINE)).map(({ value }) => value)
  const centre = values.reduce((sum, value) => sum + value, 0) / values.length
  const ranges = values.slice(1).map((value, index) => Math.abs(value - (values[index] as number)))
  const reach = (RANGES * ranges.reduce((sum, range) => sum + range, 0)) / ranges.length
  return { from, to, centre, low: centre - reach, high: centre + reach }
}

function outsideOf(points: readonly ChartPoint[], { from, to, low, high }: ChartLimits): ChartSignal[] {
  const signals: ChartSignal[] = []
  for (let at = from; at <= to; at++) {
    const { value } = points[at] as ChartPoint
    if (value < low - NEAR) signals.push({ kind: 'outside', side: 'low', from: at, to: at })
    if (value > high + NEAR) signals.push({ kind: 'outside', side: 'high', from: at, to: at })
  }
  return signals
}

/** Eight or more in a row on one side are one signal, however long they go on. */
function runsOf(points: readonly ChartPoint[], { from, to, centre }: ChartLimits): ChartSignal[] {
  const signals: ChartSignal[] = []
  const sideOf = (at: number) => {
    const off = (points[at] as ChartPoint).value - centre
    return Math.abs(off) <= NEAR ? 0 : Math.sign(off)
  }
  let start = from
  for (let at = from + 1; at <= to + 1; at++) {
    if (at <= to && sideOf(at) === sideOf(start)) continue
    const side = sideOf(start)
    if (side !== 0 && at - start >= RUN) {
      signals.push({ kind: 'run', side: side < 0 ? 'low' : 'high', from: start, to: at - 1 })
    }
    start = at
  }
  return signals
}
