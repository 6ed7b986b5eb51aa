import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { leadingComparison } from '@fleam/core/comparison'
import { labourMinutes } from '@fleam/core/costing'
import { batchCurve, learningFrom } from '@fleam/core/forecasting'
import { lazy, Suspense, useMemo, useState } from 'react'
import { useEvidence } from '../../data/queries.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { Loading } from '../../parts/states.tsx'
import css from './forecast.module.css'

const BatchChart = lazy(() => import('./batch-chart.tsx'))

/** Minutes to set up and clean down a board, where nobody has measured them. */
const USUAL_SET_UP = 10
/** The curve is drawn to so many times the record's batch, and to no fewer than so many. */
const TIMES = 3
const MIN_SHOWN = 12

/** What a portion costs when more or fewer are cut at once, and from which batch on making pays. */
export function BatchSize({ record }: { record: FabricationRecord }) {
  const { document, appraisal, format } = useAppraised()
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const minutes = labourMinutes(document.labour)
  // What one bird took may be less than what is usual.
  const [setUp, setSetUp] = useState<number | null>(Math.min(USUAL_SET_UP, minutes))
  const setUpMinutes = Math.min(setUp ?? 0, minutes)
  const most = Math.max(MIN_SHOWN, record.units * TIMES)
  const curve = useMemo(
    () => (at === null ? null : batchCurve(document, { at, units: record.units, setUpMinutes, most })),
    [document, at, record.units, setUpMinutes, most],
  )
  if (!curve || curve.points.length < 2) return null
  return (
    <section aria-labelledby="batch">
      <h2 id="batch">How many at once</h2>
      <div className={css.forecastColumns}>
        <Suspense fallback={<Loading what="the chart" />}>
          <BatchChart curve={curve} units={record.units} money={format.money} />
        </Suspense>
        <div>
          <p className={css.forecastSentence}>
            {curve.paysFrom === null ? (
              <>No batch up to {most} makes making cheaper.</>
            ) : curve.paysFrom === 1 ? (
              <>Making pays from the first one on.</>
            ) : (
              <>
                Making pays from a batch of <strong>{curve.paysFrom}</strong> on.
              </>
            )}
          </p>
          <NumberField
            label="Minutes to set up and clean down"
            value={setUp}
            max={minutes}
            onChange={setSetUp}
            hint={`part of the ${format.quantity(minutes, 'minutes')} of this record, shared by the batch; assumed until you time it`}
          />
          <p className="quiet mt-2">Charges of the purchase are shared by the batch too.</p>
          <LearningWords record={record} />
        </div>
      </div>
    </section>
  )
}

/** How the time of one falls with repetitions, from the records of the same cook, or of everybody. */
function LearningWords({ record }: { record: FabricationRecord }) {
  const { format } = useAppraised()
  const tests = useEvidence(record.id).data?.tests
  if (!tests) return null
  const oldestFirst = [...tests]
    .reverse()
    .flatMap(({ minutesPerUnit, ...test }) => (minutesPerUnit === null ? [] : { ...test, minutesPerUnit }))
  const learned =
    record.cookId === null ? null : learningFrom(oldestFirst.filter((test) => test.cookId === record.cookId))
  const learning = learned ?? learningFrom(oldestFirst)
  if (!learning) {
    return <p className="quiet mt-2">Four records of this style tell how fast a hand learns it.</p>
  }
  const whose = learned && record.cook ? `${record.cook}’s` : 'the kitchen’s'
  const minutes = (amount: number) => format.quantity(amount, 'minutes')
  if (!learning.isSure) {
    return (
      <p className="quiet mt-2">
        No learning can be told from {whose} {learning.tests} records of this style: the minutes scatter more than they
        fall.
      </p>
    )
  }
  return (
    <p className="mt-2">
      Each time the number cut doubles, {format.share(learning.rate)} of the time is left, by {whose} {learning.tests}{' '}
      records. The next one takes{' '}
      <OpenFigure explain={() => learning.explanation} format={format}>
        {minutes(learning.nextMinutes)}
      </OpenFigure>
      , after {learning.units} more {minutes(learning.laterMinutes)}.
    </p>
  )
}
