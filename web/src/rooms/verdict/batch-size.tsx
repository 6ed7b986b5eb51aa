import type { FabricationRecord } from '@fleam/contract'
import { batchCurve, labourMinutes, leadingComparison } from '@fleam/core'
import { lazy, Suspense, useMemo, useState } from 'react'
import { useAppraised } from '../../parts/appraised-context.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Loading } from '../../parts/states.tsx'

const BatchChart = lazy(() => import('./batch-chart.tsx'))

/** Minutes to set up and clean down a board, where nobody has measured them. */
const USUAL_SET_UP = 10
/** The curve is drawn to so many times the record's batch, and to no fewer than so many. */
const TIMES = 3
const LEAST_SHOWN = 12

/** What a portion costs when more or fewer are cut at once, and from which batch on making pays. */
export function BatchSize({ record }: { record: FabricationRecord }) {
  const { document, appraisal, format } = useAppraised()
  const [setUp, setSetUp] = useState<number | null>(USUAL_SET_UP)
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const minutes = labourMinutes(document.labour)
  const setUpMinutes = Math.min(setUp ?? 0, minutes)
  const most = Math.max(LEAST_SHOWN, record.units * TIMES)
  const curve = useMemo(
    () => (at === null ? null : batchCurve(document, { at, units: record.units, setUpMinutes, most })),
    [document, at, record.units, setUpMinutes, most],
  )
  if (!curve || curve.points.length < 2) return null
  return (
    <section aria-labelledby="batch">
      <h2 id="batch">How many at once</h2>
      <div className="forecast-columns">
        <Suspense fallback={<Loading what="the chart" />}>
          <BatchChart curve={curve} units={record.units} money={format.money} />
        </Suspense>
        <div>
          <p className="forecast-sentence">
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
        </div>
      </div>
    </section>
  )
}
