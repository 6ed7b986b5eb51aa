import type { PlannedPile } from '@fleam/core/fabrication'
import { lazy, Suspense, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { v7 as newId } from 'uuid'
import { newPile } from '../../../parts/new-pile.ts'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'
import css from './tiles.module.css'

const PileDialog = lazy(() => import('./pile-dialog.tsx'))

/** Adds a pile that nobody planned; the steps and the other piles stay as they are. */
export function AddPile({ live }: { live: LiveFabrication }) {
  const [pile, setPile] = useState<PlannedPile | null>(null)
  return (
    <>
      <button type="button" className={`${css.tile} ${css.add}`} onClick={() => setPile(newPile(newId()))}>
        Add a pile
      </button>
      {pile ? (
        <Suspense fallback={null}>
          <PileDialog live={live} pile={pile} isNew onClose={() => setPile(null)} />
        </Suspense>
      ) : null}
    </>
  )
}

/** Changes the pile that is weighed: its name, what its portions may weigh, what it is worth. */
export function ChangePile({ live, pile }: { live: LiveFabrication; pile: PlannedPile }) {
  const [isOpen, setOpen] = useState(false)
  return (
    <>
      <Button size="sm" variant="outline-dark" onClick={() => setOpen(true)}>
        Change pile
      </Button>
      {isOpen ? (
        <Suspense fallback={null}>
          <PileDialog live={live} pile={pile} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  )
}
