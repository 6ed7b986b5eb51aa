import type { LogbookSeries } from '@fleam/contract/logbook/schemas'
import { lazy, Suspense } from 'react'
import { Link } from 'react-router-dom'
import { useLogbookSeries } from '../../data/logbook-queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { LearningChart } from './learning-chart.tsx'
import css from './logbook.module.css'
import { PointsTable } from './points-table.tsx'
import { SignalCause } from './signal-cause.tsx'
import type { LogbookView } from './use-view.ts'

/** Drawing takes a large package: loaded where there is something to draw. */
const ControlLines = lazy(() => import('./control-lines.tsx'))

const one = (chosen: string | string[] | undefined) => [chosen ?? []].flat()[0] ?? null

/** Yields of one item and style through time, within the limits of what is usual, and what lies outside. */
export function YieldChart({ view }: { view: LogbookView }) {
  const { filters } = view
  const [item, style, cook] = [one(filters.item), one(filters.style), one(filters.cook)]
  const series = useLogbookSeries(item, style, cook)
  const chart = series.data
  const format = useFormat()
  return (
    <section aria-labelledby="yields">
      <h2 id="yields">Portion yield through time</h2>
      {item === null || style === null ? (
        <p className="quiet">Choose an item and a cut style above to see what is usual, and what was not.</p>
      ) : series.isError ? (
        <Failed error={series.error} retry={() => void series.refetch()} />
      ) : !chart ? (
        <Loading what="the yields" />
      ) : chart.limits.length === 0 ? (
        <p>{chart.points.length} of the eight records that limits take. They are drawn from eight on.</p>
      ) : (
        <>
          <Suspense fallback={<div className={css.chart} />}>
            <ControlLines points={chart.points} limits={chart.limits} />
          </Suspense>
          {chart.records > chart.points.length ? (
            <p className="quiet">
              The newest {chart.points.length} of {chart.records} are drawn.
            </p>
          ) : null}
          <Signals chart={chart} />
          <PointsTable points={chart.points} header="Portion yield" words={(value) => format.share(value)} />
        </>
      )}
      {item !== null && style !== null && cook !== null ? (
        <LearningChart item={item} style={style} cook={cook} />
      ) : null}
    </section>
  )
}

function Signals({ chart: { points, signals } }: { chart: LogbookSeries }) {
  const format = useFormat()
  if (signals.length === 0) return <p>Nothing lies outside what is usual.</p>
  return (
    <ul>
      {signals.map(({ kind, side, from, to, moved, against }) => {
        const [first, last] = [points[from], points[to]]
        if (!first || !last) return null
        return (
          <li key={`${kind} ${from}`}>
            {kind === 'outside' ? (
              <>
                <Link to={`/verdict/${first.id}`}>{dayWords(first.day)}</Link>: {format.share(first.value)},{' '}
                {side === 'low' ? 'less' : 'more'} than is usual.
              </>
            ) : (
              <>
                From <Link to={`/verdict/${first.id}`}>{dayWords(first.day)}</Link> to{' '}
                <Link to={`/verdict/${last.id}`}>{dayWords(last.day)}</Link>: {to - from + 1} in a row{' '}
                {side === 'low' ? 'below' : 'above'} the middle.
              </>
            )}{' '}
            <MovedWords moved={moved} against={against} />
            {first.causes > 0 ? (
              <span className="quiet">A cause is named in its record.</span>
            ) : (
              <SignalCause recordId={first.id} moved={against ?? moved} />
            )}
          </li>
        )
      })}
    </ul>
  )
}

type Signal = LogbookSeries['signals'][number]

/** Which pile there is more or less of than is usual, and where that went. */
function MovedWords({ moved, against }: Pick<Signal, 'moved' | 'against'>) {
  const format = useFormat()
  const moves = [moved, against].flatMap((pile) =>
    pile
      ? `${pile.name} ${format.number(Math.abs(pile.difference) * 100, 1)} points ${pile.difference > 0 ? 'more' : 'less'}`
      : [],
  )
  return moves.length > 0 ? `Piles: ${moves.join(', ')}. ` : null
}
