import { givenSteps } from '@fleam/core/weighing'
import { lazy, Suspense, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Bench } from '../state/use-bench.ts'
import css from './clocks.module.css'

/** Opened when several cooks share a batch, and loaded then. */
const ShareDialog = lazy(() => import('./share-dialog.tsx'))

/** Who does what of a batch: proposed, and kept for every device at it. */
export function ShareWork({ bench }: { bench: Bench }) {
  const [isOpen, setOpen] = useState(false)
  const inLine = new Set(givenSteps(bench.live.marks).values()).size
  return (
    <>
      <Button variant="outline-dark" className={css.whoDoesWhat} onClick={() => setOpen(true)}>
        <span>
          Who does what
          <small>{inLine > 1 ? `a line of ${inLine}` : 'each their own'}</small>
        </span>
      </Button>
      {isOpen ? (
        <Suspense fallback={null}>
          <ShareDialog bench={bench} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  )
}
