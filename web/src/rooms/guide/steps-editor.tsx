import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import type { Style } from '@fleam/core/style'
import { ArrowDown, ArrowUp, GripVertical } from 'lucide-react'
import Button from 'react-bootstrap/Button'
import { pileNames } from '../../parts/pile-names.ts'
import { StepFields } from './step-fields.tsx'
import css from './steps-editor.module.css'
import { newStep, withStepAt } from './style-draft.ts'
import type { StyleForm } from './use-style-form.ts'

const INSTRUCTIONS = {
  draggable: 'Space picks the step up, the arrow keys move it, Space puts it down, Escape leaves it where it was.',
}

interface StepsEditorProps {
  editing: StyleForm
  /** As it was when the change began: cautions that stood there stay. */
  saved: Style
}

/** Steps of a style in their order: each can be moved, changed, left out, and new ones written. */
export function StepsEditor({ editing, saved }: StepsEditorProps) {
  const { style, apply } = editing
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const ids = style.steps.map(({ id }) => id)
  // What a drag does is heard in the words of the steps, not by their ids.
  const heard = ({ active, over }: { active: { id: string | number }; over?: { id: string | number } | null }) => {
    const title = style.steps[ids.indexOf(String(active.id))]?.title || 'The new step'
    return `${title} is at place ${ids.indexOf(String(over?.id ?? active.id)) + 1} of ${ids.length}.`
  }
  const announcements = { onDragStart: heard, onDragOver: heard, onDragEnd: heard, onDragCancel: heard }
  const move = (id: string, to: number) => apply(withStepAt(style, ids.indexOf(id), to))
  return (
    <section aria-label="Steps">
      <h2>Steps, in their order</h2>
      <DndContext
        sensors={sensors}
        accessibility={{ announcements, screenReaderInstructions: INSTRUCTIONS }}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => over && move(String(active.id), ids.indexOf(String(over.id)))}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className={css.stepsEditor}>
            {style.steps.map(({ id }, index) => (
              <StepEditor
                key={id}
                editing={editing}
                at={index}
                kept={saved.steps.find((step) => step.id === id)?.cautions ?? []}
                onMove={(to) => move(id, to)}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <Button variant="outline-dark" onClick={() => apply({ ...style, steps: [...style.steps, newStep(style)] })}>
        Add a step
      </Button>
    </section>
  )
}

interface StepEditorProps {
  editing: StyleForm
  at: number
  /** Cautions that may be reworded with a reason, but not dropped. */
  kept: readonly string[]
  onMove: (to: number) => void
}

function StepEditor({ editing, at, kept, onMove }: StepEditorProps) {
  const { style, apply, form, revision } = editing
  const step = style.steps[at] as Style['steps'][number]
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: step.id })
  const moved = transform ? { transform: `translateY(${transform.y}px)`, transition } : {}
  const isRefused = form.formState.errors.steps?.[at] !== undefined
  return (
    <li ref={setNodeRef} style={moved}>
      <button
        type="button"
        className={css.stepGrip}
        {...attributes}
        {...listeners}
        aria-label={`Drag ${step.title || 'the new step'}`}
      >
        <GripVertical size={18} aria-hidden />
      </button>
      <details open={step.title === '' || isRefused || undefined}>
        <summary>
          {at + 1}. {step.title || 'A new step'} <span className="quiet">{pileNames(style, step).join(', ')}</span>
        </summary>
        <StepFields key={`${at} ${revision}`} editing={editing} at={at} kept={kept} />
      </details>
      <div className={css.stepOrder}>
        <Button
          variant="outline-dark"
          aria-label={`${step.title}: earlier`}
          disabled={at === 0}
          onClick={() => onMove(at - 1)}
        >
          <ArrowUp size={18} aria-hidden />
        </Button>
        <Button
          variant="outline-dark"
          aria-label={`${step.title}: later`}
          disabled={at === style.steps.length - 1}
          onClick={() => onMove(at + 1)}
        >
          <ArrowDown size={18} aria-hidden />
        </Button>
        <Button
          variant="outline-dark"
          aria-label={`${step.title}: leave out`}
          onClick={() => apply({ ...style, steps: style.steps.filter((_step, place) => place !== at) })}
        >
          Leave out
        </Button>
      </div>
    </li>
  )
}
