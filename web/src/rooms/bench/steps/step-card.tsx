import type { FabricationStep } from '@fleam/contract/fabrication/schemas'
import { stepWorth } from '@fleam/core/style'
import { givenSteps } from '@fleam/core/weighing'
import { lazy, Suspense, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { AnimalDrawing } from '../../../parts/animal-drawing.tsx'
import { type CautionWhere, useKitchenCautions } from '../../../parts/cautions.ts'
import { OpenFigure } from '../../../parts/figure.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import type { Bench } from '../state/use-bench.ts'
import css from './step-card.module.css'

/** Opened when somebody looks for a step, and loaded then. */
const StepList = lazy(() => import('./step-list.tsx'))

/** The step at the board: what to do, how to tell that it is right, what goes wrong, and its caution. */
export function StepCard({ bench }: { bench: Bench }) {
  const { record } = bench.live
  const { words } = useFormat()
  const [isListOpen, setListOpen] = useState(false)
  const step = record.steps[bench.stepAt]
  if (!step) return null
  const givenTo = givenSteps(bench.live.marks).get(step.id)
  const whose = givenTo === undefined ? null : (bench.live.cookName(givenTo) ?? 'another cook')
  const isOneByOne = record.units > 1 && record.rhythm === 'unit'
  return (
    <section className={css.step} aria-label="Step">
      <p className={css.stepPlace}>
        Step {bench.stepAt + 1} of {record.steps.length}
        {isOneByOne ? ` · ${bench.unitOnBoard}` : ''}
        {record.units > 1 && record.rhythm === 'step' ? ` · for all ${record.units}` : ''}
        {whose ? ` · for ${whose}` : ''}
      </p>
      <StepDots bench={bench} />
      <OwnPart bench={bench} />
      <h2>
        {words(step.title)}
        {step.isOptional ? <span className="quiet"> · optional</span> : null}
      </h2>
      <div className={css.stepMoves}>
        <Button variant="outline-dark" disabled={bench.stepAt === 0} onClick={() => bench.goToStep(bench.stepAt - 1)}>
          Back
        </Button>
        <Button variant="outline-dark" onClick={() => setListOpen(true)}>
          All steps
        </Button>
        <Button variant="outline-dark" className={css.stepDone} onClick={bench.nextStep}>
          Done, next step
        </Button>
      </div>
      <AnimalDrawing name={record.drawing} cut={step.cut} regions={step.regions} label={`Where: ${step.title}`} />
      <p className={css.stepDoing}>{words(step.doing)}</p>
      <p className={css.stepCheck}>
        <strong>Done when:</strong> {words(step.check)}
      </p>
      {step.gain ? <StepGainLine step={step} bench={bench} /> : null}
      {step.mistakes.length > 0 ? (
        <p className={css.stepMistakes}>
          <strong>Avoid:</strong> {words(step.mistakes.join('; '))}.
        </p>
      ) : null}
      <StepCautions step={step} where={record} />
      {isListOpen ? (
        <Suspense fallback={null}>
          <StepList bench={bench} done={doneSteps(bench)} onClose={() => setListOpen(false)} />
        </Suspense>
      ) : null}
    </section>
  )
}

/** Where this device's cook has some of the steps alone: which, and one touch leads there. */
function OwnPart({ bench }: { bench: Bench }) {
  const { steps, cookId: jobsCook, units } = bench.live.record
  const given = givenSteps(bench.live.marks)
  const cookId = bench.settings.cookId ?? jobsCook
  const places = steps.flatMap(({ id }, index) => (cookId !== null && given.get(id) === cookId ? [index] : []))
  const [first, last] = [places[0], places.at(-1)]
  if (first === undefined || last === undefined) return null
  const words = `Your part: ${first === last ? `step ${first + 1}` : `steps ${first + 1} to ${last + 1}`}, for all ${units}`
  if (places.includes(bench.stepAt)) return <p className={css.ownPart}>{words}</p>
  return (
    <p className={css.ownPart}>
      {words}{' '}
      <Button size="sm" variant="outline-dark" onClick={() => bench.goToStep(first)}>
        Go to it
      </Button>
    </p>
  )
}

/** How far the steps are, seen from across the room. */
function StepDots({ bench }: { bench: Bench }) {
  const done = doneSteps(bench)
  return (
    <ol className={css.stepDots} aria-hidden>
      {bench.live.record.steps.map((step, index) => (
        <li key={step.id} className={dotClass(index === bench.stepAt, done.has(step.id))} />
      ))}
    </ol>
  )
}

const dotClass = (isHere: boolean, isDone: boolean) => (isHere ? css.here : isDone ? css.done : '')
const doneSteps = ({ live }: Bench) =>
  new Set(live.marks.flatMap((mark) => (mark.mark === 'step-done' && mark.step ? [mark.step] : [])))

function StepCautions({ step, where }: { step: FabricationStep; where: CautionWhere }) {
  const cautions = useKitchenCautions(where).byIds(step.cautions, step.id)
  if (cautions.length === 0) return null
  return (
    <ul className={css.stepCautions} aria-label="Cautions of this step">
      {cautions.map((caution) => (
        <li key={caution.id}>{caution.text}</li>
      ))}
    </ul>
  )
}

/** What an optional step is assumed to bring, against what its seconds cost. */
function StepGainLine({ step, bench }: { step: FabricationStep; bench: Bench }) {
  const kitchen = useKitchen()
  const format = useFormat(bench.live.record.currency)
  const pile = bench.live.record.piles.find((pile) => pile.id === step.gain?.pileId)
  if (!step.gain || pile?.valuePerKg == null) return null
  const { grams, seconds } = step.gain
  const wagePerHour = bench.live.record.labour[0]?.ratePerHour ?? kitchen.wagePerHour
  const { worth, explanation } = stepWorth({ grams, seconds, valuePerKg: pile.valuePerKg, wagePerHour })
  return (
    <p className={css.stepWorth}>
      {worth >= 0 ? 'Worth ' : 'Costs '}
      <OpenFigure explain={() => explanation} format={format}>
        {format.money(Math.abs(worth))}
      </OpenFigure>
      {worth >= 0 ? ' a unit' : ' more than it brings'}, assumed
    </p>
  )
}
