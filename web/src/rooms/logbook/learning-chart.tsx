import type { LogbookCurve } from '@fleam/contract/logbook/findings'
import { lazy, Suspense, useState } from 'react'
import Form from 'react-bootstrap/Form'
import { useLogbookCurve } from '../../data/logbook-queries.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './logbook.module.css'
import { PointsTable } from './points-table.tsx'

/** Drawing takes a large package: loaded where there is something to draw. */
const LearningLines = lazy(() => import('./learning-lines.tsx'))

const SHOWN = { yields: 'portion yield', minutes: 'minutes a unit' } as const

interface LearningChartProps {
  item: string
  style: string
  cook: string
}

/** A cook's yields or minutes by how many she has cut, with the fitted curve and the band in which it lies. */
export function LearningChart({ item, style, cook }: LearningChartProps) {
  const format = useFormat()
  const [shown, setShown] = useState<keyof LogbookCurve>('yields')
  const curve = useLogbookCurve(item, style, cook)
  const points = curve.data?.[shown] ?? []
  const words = (value: number) => (shown === 'yields' ? format.share(value) : format.number(value, 1))
  return (
    <>
      <div className={css.sectionHead}>
        <h3>By how many were cut before</h3>
        <Form.Select
          aria-label="What is drawn"
          className="no-print"
          value={shown}
          onChange={(event) => setShown(event.target.value as keyof LogbookCurve)}
        >
          {Object.entries(SHOWN).map(([key, label]) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </Form.Select>
      </div>
      {curve.isError ? (
        <Failed error={curve.error} retry={() => void curve.refetch()} />
      ) : !curve.data ? (
        <Loading what="the curve" />
      ) : points.length === 0 ? (
        <p>Nobody measured it yet.</p>
      ) : (
        <>
          <Suspense fallback={<div className={css.chart} />}>
            <LearningLines points={points} what={SHOWN[shown]} words={words} />
          </Suspense>
          <PointsTable points={points} header={SHOWN[shown]} words={words} />
        </>
      )}
    </>
  )
}
