import type { FabricationStep } from '@fleam/contract/fabrication/schemas'
import { givenSteps } from '@fleam/core/weighing'
import Form from 'react-bootstrap/Form'
import Modal from 'react-bootstrap/Modal'
import { useCooks } from '../../../data/queries.ts'
import { pileNames } from '../../../parts/pile-names.ts'
import { useFormat } from '../../../parts/use-format.ts'
import type { Bench } from '../state/use-bench.ts'
import css from './step-list.module.css'

interface StepListProps {
  bench: Bench
  /** Ids of the steps that are done. */
  done: ReadonlySet<string>
  onClose: () => void
}

/** Every step: to go to any of them, and, where several are cut, to give it to a cook. */
export default function StepList({ bench, done, onClose }: StepListProps) {
  const { words } = useFormat()
  const { record, marks } = bench.live
  const { steps, choices, units } = record
  const given = givenSteps(marks)
  return (
    <Modal show onHide={onClose} aria-labelledby="steps-title" centered scrollable>
      <Modal.Header closeButton>
        <Modal.Title id="steps-title" as="h2">
          All steps
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {choices.length > 0 ? (
          <p className="quiet">{words(choices.map(({ question, choice }) => `${question}: ${choice}`).join(' · '))}</p>
        ) : null}
        {units > 1 ? <p className="quiet">Give steps to cooks: each one’s device then leads through theirs.</p> : null}
        <ol className={css.stepList}>
          {steps.map((step, index) => (
            <li key={step.id}>
              <button
                type="button"
                aria-current={index === bench.stepAt ? 'step' : undefined}
                onClick={() => {
                  bench.goToStep(index)
                  onClose()
                }}
              >
                <span>
                  {index + 1}. {words(step.title)}
                  {step.isOptional ? ' (optional)' : ''}
                </span>
                <span className="quiet">
                  {pileNames(record, step).join(', ')}
                  {done.has(step.id) ? ' ✓ done' : ''}
                </span>
              </button>
              {units > 1 ? <GiveStep bench={bench} step={step} cookId={given.get(step.id) ?? null} /> : null}
            </li>
          ))}
        </ol>
      </Modal.Body>
    </Modal>
  )
}

interface GiveStepProps {
  bench: Bench
  step: FabricationStep
  /** Whose it is; null for anybody's. */
  cookId: string | null
}

function GiveStep({ bench, step, cookId }: GiveStepProps) {
  const { data: cooks = [] } = useCooks()
  const give = (next: string | null) =>
    void bench.live.mark(
      `${step.title}: ${next === null ? 'anybody' : (bench.live.cookName(next) ?? 'another cook')}`,
      { mark: 'step-given', step: step.id, cookId: next },
    )
  return (
    <Form.Select
      aria-label={`Who does: ${step.title}`}
      value={cookId ?? ''}
      onChange={(event) => give(event.target.value || null)}
    >
      <option value="">anybody</option>
      {cooks.map((cook) => (
        <option key={cook.id} value={cook.id}>
          {cook.name}
        </option>
      ))}
    </Form.Select>
  )
}
