import Button from 'react-bootstrap/Button'
import { Failed } from '../../../parts/states.tsx'
import type { Bench } from '../state/use-bench.ts'
import css from './bench-bar.module.css'

interface BenchBarProps {
  bench: Bench
  onFinish: () => void
  isFinishing: boolean
  /** Why it did not finish; null while nothing went wrong. */
  error: unknown
}

/** What comes next, at the foot of the screen wherever the bench is scrolled to: the next step where the step card is out of sight, and finishing. */
export function BenchBar({ bench, onFinish, isFinishing, error }: BenchBarProps) {
  const { record, standing } = bench.live
  if (record.status !== 'open') return null
  return (
    <div className={css.bar}>
      {error ? <Failed error={error} /> : null}
      {record.steps.length > 0 ? (
        <Button variant="outline-dark" className={css.nextStep} onClick={bench.nextStep}>
          Done, next step
        </Button>
      ) : null}
      <Button variant="outline-dark" disabled={isFinishing || standing.length === 0} onClick={onFinish}>
        Finish: make or buy?
      </Button>
    </div>
  )
}
