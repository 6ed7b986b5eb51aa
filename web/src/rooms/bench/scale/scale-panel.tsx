import { parseCountedWeight } from '@fleam/core/units'
import type { ScaleView } from '@fleam/core/weighing'
import { bareUnitFor } from '@fleam/core/weighing'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useAppraised } from '../../../parts/appraised-context.ts'
import { weightRefusal } from '../../../parts/weight-words.ts'
import type { Bench } from '../state/use-bench.ts'
import { ContainerChoice } from './container-choice.tsx'
import css from './scale-panel.module.css'

const STATE_WORDS: Readonly<Record<ScaleView['kind'], string>> = {
  away: 'no scale: type the weight',
  empty: 'empty',
  moving: 'settling …',
  'out-of-range': 'out of range',
  taken: 'taken: lift it off',
  ready: 'settled',
}

/** What the scale shows, readable at two metres, and the one thing to do with it. */
export function ScalePanel({ bench }: { bench: Bench }) {
  const { format } = useAppraised()
  const { view } = bench
  const { isConnected, reading } = bench.scale
  const container = bench.containers.of(bench.activePile.name)
  // A load is said to be taken once that is written, and not a moment before.
  const state = view.kind === 'taken' && bench.live.isWriting ? 'ready' : view.kind
  const shown = reading && isConnected ? format.weight(reading.grams) : '– –'
  return (
    <section className={css.scale} aria-label="Scale">
      <output className={`${css.scaleWeight} ${css[state] ?? ''}`}>{shown}</output>
      <p className={css.scaleState}>
        {view.kind === 'ready' && view.isAdded ? `settled: ${format.weight(view.grams)} more` : STATE_WORDS[state]}
        {container ? ` · less ${container.name} ${format.weight(container.grams)}` : ''}
        {reading && reading.tareGrams > 0 ? ` · tare ${format.weight(reading.tareGrams)}` : ''}
      </p>
      <Button className={`main-action ${css.take}`} onClick={bench.takeSettled} aria-disabled={view.kind !== 'ready'}>
        {view.kind === 'ready' ? `Take ${format.weight(view.grams)}` : 'Take'}
        <span className={css.takePile}>
          {bench.likeness ? 'looks like ' : ''}
          {bench.activePile.name}
        </span>
      </Button>
      <div className={css.scaleSide}>
        <Button variant="outline-dark" disabled={!isConnected} onClick={bench.tare}>
          Tare
        </Button>
        <Button variant="outline-dark" disabled={bench.live.lastAct === null} onClick={bench.undo}>
          Undo
        </Button>
        <Button variant="outline-dark" disabled={bench.live.lastUndone === null} onClick={bench.redo}>
          Redo
        </Button>
      </div>
      <div className={css.scaleEntry}>
        <TypedWeight bench={bench} />
        <ContainerChoice bench={bench} />
      </div>
    </section>
  )
}

const TYPED_FIELD = 'typed-weight'
const PLACEHOLDERS = {
  g: { pieces: '281, or 1.6 kg, 6 p', whole: '840 or 1.2 kg' },
  lb: { pieces: '2.5 lb, or 9 lb, 4 p', whole: '2.5 or 2 lb 3 oz' },
  oz: { pieces: '9.9 oz, or 3 lb, 6 p', whole: '9.9 or 2 lb 3 oz' },
} as const

/** Puts the hand into the field for a typed weight. */
export const typeWeight = () => document.getElementById(TYPED_FIELD)?.focus()

function TypedWeight({ bench }: { bench: Bench }) {
  const { units } = useKitchen()
  const { pileInTurn } = bench
  const bareUnit = bareUnitFor(units, pileInTurn, bench.live.record.purchase.invoiceWeight)
  const [text, setText] = useState('')
  const [refusal, setRefusal] = useState('')
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const result = parseCountedWeight(text, bareUnit)
    if (!result.ok) return setRefusal(weightRefusal(result.code, units))
    if (result.grams === 0) return setRefusal('Nothing weighs nothing: type what the scale shows.')
    if (result.pieces !== null && bench.pileInTurn.weighing === 'whole') {
      return setRefusal(`${bench.pileInTurn.name} is weighed as a whole: type its weight alone.`)
    }
    bench.takeTyped(result.grams, result.pieces)
    setText('')
    setRefusal('')
    // The keys of the bench work again at once.
    ;(document.activeElement as HTMLElement | null)?.blur()
  }
  return (
    <Form className={css.typed} onSubmit={submit}>
      <Form.Control
        id={TYPED_FIELD}
        aria-label="Weight typed by hand"
        aria-describedby="typed-refusal"
        placeholder={PLACEHOLDERS[bareUnit === 'kg' ? 'g' : bareUnit][pileInTurn.weighing]}
        value={text}
        isInvalid={refusal !== ''}
        autoComplete="off"
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') event.currentTarget.blur()
        }}
      />
      <Button type="submit" variant="outline-dark">
        Add
      </Button>
      <p id="typed-refusal" className="refusal" role="alert">
        {refusal}
      </p>
    </Form>
  )
}
