import type { FabricationStep } from '@fleam/contract'
import { stepWorth } from '@fleam/core'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Modal from 'react-bootstrap/Modal'
import { useKitchen } from '../../data/kitchen-context.ts'
import { AnimalDrawing } from '../../parts/animal-drawing.tsx'
import { useKitchenCautions } from '../../parts/cautions.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { pileNames } from '../../parts/pile-names.ts'
import { useFormat } from '../../parts/use-format.ts'
import type { Bench } from './use-bench.ts'

/** The step at the board: what to do, how to tell that it is right, what goes wrong, and its caution. */
export function StepCard({ bench }: { bench: Bench }) {
  const { record } = bench.live
  const { words } = useFormat()
  const [isListOpen, setListOpen] = useState(false)
  const step = record.steps[bench.stepAt]
  if (!step) return null
  const isOneByOne = record.units > 1 && record.rhythm === 'unit'
  return (
    <section className="step" aria-label="Step">
      <p className="step-place">
        Step {bench.stepAt + 1} of {record.steps.length}
        {isOneByOne ? ` · ${bench.unit} of ${record.units} on the board` : ''}
        {record.units > 1 && record.rhythm === 'step' ? ` · for all ${record.units}` : ''}
      </p>
      <StepDots bench={bench} />
      <h2>
        {words(step.title)}
        {step.isOptional ? <span className="quiet"> · optional</span> : null}
      </h2>
      <div className="step-moves">
        <Button variant="outline-dark" disabled={bench.stepAt === 0} onClick={() => bench.goToStep(bench.stepAt - 1)}>
          Back
        </Button>
        <Button variant="outline-dark" onClick={() => setListOpen(true)}>
          All steps
        </Button>
        <Button variant="outline-dark" className="step-done" onClick={bench.nextStep}>
          Done, next step
        </Button>
      </div>
      <AnimalDrawing name={record.drawing} cut={step.cut} regions={step.regions} label={`Where: ${step.title}`} />
      <p className="step-doing">{words(step.doing)}</p>
      <p className="step-check">
        <strong>Done when:</strong> {words(step.check)}
      </p>
      {step.gain ? <StepGainLine step={step} bench={bench} /> : null}
      {step.mistakes.length > 0 ? (
        <p className="step-mistakes">
          <strong>Avoid:</strong> {words(step.mistakes.join('; '))}.
        </p>
      ) : null}
      <StepCautions ids={step.cautions} />
      <StepList bench={bench} isOpen={isListOpen} onClose={() => setListOpen(false)} />
    </section>
  )
}

/** How far the steps are, seen from across the room. */
function StepDots({ bench }: { bench: Bench }) {
  const done = doneSteps(bench)
  return (
    <ol className="step-dots" aria-hidden>
      {bench.live.record.steps.map((step, at) => (
        <li key={step.id} className={dotClass(at === bench.stepAt, done.has(step.id))} />
      ))}
    </ol>
  )
}

const dotClass = (isHere: boolean, isDone: boolean) => (isHere ? 'here' : isDone ? 'done' : '')
const doneSteps = ({ live }: Bench) =>
  new Set(live.marks.flatMap((mark) => (mark.mark === 'step-done' && mark.step ? [mark.step] : [])))

function StepCautions({ ids }: { ids: readonly string[] }) {
  const cautions = useKitchenCautions().byIds(ids)
  if (cautions.length === 0) return null
  return (
    <ul className="step-cautions" aria-label="Cautions of this step">
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
  const pile = bench.live.record.piles.find((each) => each.id === step.gain?.pileId)
  if (!step.gain || pile?.valuePerKg == null) return null
  const { grams, seconds } = step.gain
  const wagePerHour = bench.live.record.labour[0]?.ratePerHour ?? kitchen.wagePerHour
  const { worth, explanation } = stepWorth({ grams, seconds, valuePerKg: pile.valuePerKg, wagePerHour })
  return (
    <p className="step-worth">
      {worth >= 0 ? 'Worth ' : 'Costs '}
      <OpenFigure explain={() => explanation} format={format}>
        {format.money(Math.abs(worth))}
      </OpenFigure>
      {worth >= 0 ? ' a unit' : ' more than it brings'}, assumed
    </p>
  )
}

interface StepListProps {
  bench: Bench
  isOpen: boolean
  onClose: () => void
}

/** Every step, to go to any of them. */
function StepList({ bench, isOpen, onClose }: StepListProps) {
  const done = doneSteps(bench)
  const { record } = bench.live
  const { words } = useFormat()
  const { steps, choices } = record
  return (
    <Modal show={isOpen} onHide={onClose} aria-labelledby="steps-title" centered scrollable>
      <Modal.Header closeButton>
        <Modal.Title id="steps-title" as="h2">
          All steps
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {choices.length > 0 ? (
          <p className="quiet">{words(choices.map(({ question, choice }) => `${question}: ${choice}`).join(' · '))}</p>
        ) : null}
        <ol className="step-list">
          {steps.map((step, at) => (
            <li key={step.id}>
              <button
                type="button"
                aria-current={at === bench.stepAt ? 'step' : undefined}
                onClick={() => {
                  bench.goToStep(at)
                  onClose()
                }}
              >
                <span>
                  {at + 1}. {words(step.title)}
                  {step.isOptional ? ' (optional)' : ''}
                </span>
                <span className="quiet">
                  {pileNames(record, step).join(', ')}
                  {done.has(step.id) ? ' ✓ done' : ''}
                </span>
              </button>
            </li>
          ))}
        </ol>
      </Modal.Body>
    </Modal>
  )
}
