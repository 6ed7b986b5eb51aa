import { CAUTIONS } from '@fleam/catalogue'
import type { Style, StyleStep } from '@fleam/contract'
import { TOOLS, type Tool } from '@fleam/core'
import { ArrowDown, ArrowUp } from 'lucide-react'
import { useId } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { pileNames } from '../../parts/pile-names.ts'
import { newStep, withStep, withStepMoved } from './style-draft.ts'

interface StepsEditorProps {
  style: Style
  /** As it was when the change began: cautions that stood there stay. */
  saved: Style
  onChange: (style: Style) => void
}

/** Steps of a style in their order: each can be moved, changed, left out, and new ones written. */
export function StepsEditor({ style, saved, onChange }: StepsEditorProps) {
  return (
    <section aria-label="Steps">
      <h2>Steps, in their order</h2>
      <ol className="steps-editor">
        {style.steps.map((step, at) => (
          <li key={step.id}>
            <details open={step.title === ''}>
              <summary>
                {at + 1}. {step.title || 'A new step'}{' '}
                <span className="quiet">{pileNames(style, step).join(', ')}</span>
              </summary>
              <StepEditor
                step={step}
                piles={style.piles}
                kept={saved.steps.find((each) => each.id === step.id)?.cautions ?? []}
                onChange={(changes) => onChange(withStep(style, at, changes))}
              />
            </details>
            <div className="step-order">
              <Button
                variant="outline-dark"
                aria-label={`${step.title}: earlier`}
                disabled={at === 0}
                onClick={() => onChange(withStepMoved(style, at, -1))}
              >
                <ArrowUp size={18} aria-hidden />
              </Button>
              <Button
                variant="outline-dark"
                aria-label={`${step.title}: later`}
                disabled={at === style.steps.length - 1}
                onClick={() => onChange(withStepMoved(style, at, 1))}
              >
                <ArrowDown size={18} aria-hidden />
              </Button>
              <Button
                variant="outline-dark"
                aria-label={`${step.title}: leave out`}
                onClick={() => onChange({ ...style, steps: style.steps.filter((each) => each !== step) })}
              >
                Leave out
              </Button>
            </div>
          </li>
        ))}
      </ol>
      <Button variant="outline-dark" onClick={() => onChange({ ...style, steps: [...style.steps, newStep(style)] })}>
        Add a step
      </Button>
    </section>
  )
}

const toggled = (list: readonly string[], each: string) =>
  list.includes(each) ? list.filter((other) => other !== each) : [...list, each]

interface StepEditorProps {
  step: StyleStep
  piles: Style['piles']
  /** Cautions that may be reworded with a reason, but not dropped. */
  kept: readonly string[]
  onChange: (changes: Partial<StyleStep>) => void
}

function StepEditor({ step, piles, kept, onChange }: StepEditorProps) {
  const id = useId()
  return (
    <div className="fields">
      <Form.Group controlId={`${id}-title`}>
        <Form.Label>Step</Form.Label>
        <Form.Control
          value={step.title}
          maxLength={120}
          required
          onChange={(event) => onChange({ title: event.target.value })}
        />
      </Form.Group>
      <Form.Group controlId={`${id}-tool`}>
        <Form.Label>In the hand</Form.Label>
        <Form.Select value={step.tool} onChange={(event) => onChange({ tool: event.target.value as Tool })}>
          {TOOLS.map((tool) => (
            <option key={tool}>{tool}</option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Check
        type="switch"
        id={`${id}-optional`}
        label="Optional"
        checked={step.isOptional}
        onChange={(event) => onChange({ isOptional: event.target.checked })}
      />
      <Words label="What to do" value={step.doing} onChange={(doing) => onChange({ doing })} />
      <Words label="Done when" value={step.check} onChange={(check) => onChange({ check })} />
      <Words
        label="Not (one a line)"
        value={step.mistakes.join('\n')}
        onChange={(text) => onChange({ mistakes: text.split('\n').filter((line) => line.trim() !== '') })}
      />
      <fieldset>
        <legend>Piles that leave the board here</legend>
        {piles.map((pile) => (
          <Form.Check
            key={pile.id}
            id={`${id}-pile-${pile.id}`}
            label={pile.name}
            checked={step.pileIds.includes(pile.id)}
            onChange={() => onChange({ pileIds: toggled(step.pileIds, pile.id) })}
          />
        ))}
      </fieldset>
      <fieldset>
        <legend>Cautions that stand here</legend>
        <p className="quiet">
          One that stands here stays. Where your own plan says otherwise,{' '}
          <Link to="/guide/cautions">say so with the reason</Link>.
        </p>
        {CAUTIONS.filter((caution) => caution.places.includes('step')).map((caution) => (
          <Form.Check
            key={caution.id}
            id={`${id}-caution-${caution.id}`}
            label={caution.text}
            checked={step.cautions.includes(caution.id)}
            disabled={kept.includes(caution.id)}
            onChange={() => onChange({ cautions: toggled(step.cautions, caution.id) })}
          />
        ))}
      </fieldset>
    </div>
  )
}

interface WordsProps {
  label: string
  value: string
  onChange: (text: string) => void
}

function Words({ label, value, onChange }: WordsProps) {
  const id = useId()
  return (
    <Form.Group controlId={id} className="words">
      <Form.Label>{label}</Form.Label>
      <Form.Control
        as="textarea"
        rows={2}
        maxLength={600}
        defaultValue={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </Form.Group>
  )
}
