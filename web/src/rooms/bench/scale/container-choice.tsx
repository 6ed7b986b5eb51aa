import { lazy, Suspense, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Bench } from '../state/use-bench.ts'
import css from './container-choice.module.css'

const ContainerList = lazy(() => import('./container-list.tsx'))

/** Which container the pile lies in: its weight is taken off by itself, today and next time. */
export function ContainerChoice({ bench }: { bench: Bench }) {
  const [isOpen, setOpen] = useState(false)
  // An empty tub looks like no pile: it belongs to the pile in turn.
  const container = bench.containers.of(bench.pileInTurn.name)
  return (
    <>
      <Button variant="outline-dark" className={css.containerChoice} onClick={() => setOpen(true)}>
        <small>Container</small>
        {container ? container.name : 'none'}
      </Button>
      {isOpen ? (
        <Suspense>
          <ContainerList bench={bench} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  )
}
