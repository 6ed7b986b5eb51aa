import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Modal from 'react-bootstrap/Modal'
import { useForm } from 'react-hook-form'
import { v7 as newId } from 'uuid'
import { useUpdateContainers } from '../../../data/style-queries.ts'
import { Failed } from '../../../parts/states.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import type { Bench } from '../state/use-bench.ts'
import css from './container-choice.module.css'

interface ContainerListProps {
  bench: Bench
  onClose: () => void
}

/** The containers that are remembered, to choose from; loaded when it is first opened. */
export default function ContainerList({ bench, onClose }: ContainerListProps) {
  const { containers, of, choose } = bench.containers
  const pile = bench.pileInTurn.name
  const container = of(pile)
  const { remove } = useUpdateContainers()
  const format = useFormat()
  const pick = (id: string | null) => {
    choose(pile, id)
    onClose()
  }
  return (
    <Modal show onHide={onClose} aria-labelledby="containers-title" centered>
      <Modal.Header closeButton>
        <Modal.Title id="containers-title" as="h2">
          What does {pile} lie in?
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className={css.containers}>
        <ul>
          <li>
            <button type="button" aria-pressed={container === null} onClick={() => pick(null)}>
              Nothing, or tared by hand
            </button>
          </li>
          {containers.map((kept) => (
            <li key={kept.id}>
              <button type="button" aria-pressed={kept.id === container?.id} onClick={() => pick(kept.id)}>
                {kept.name} <span className="quiet">{format.weight(kept.grams)}</span>
              </button>
              <Button variant="outline-dark" aria-label={`Delete ${kept.name}`} onClick={() => remove.mutate(kept.id)}>
                Delete
              </Button>
            </li>
          ))}
        </ul>
        <RememberContainer bench={bench} onKept={pick} />
      </Modal.Body>
    </Modal>
  )
}

/** Names the empty container that stands on the scale. */
function RememberContainer({ bench, onKept }: { bench: Bench; onKept: (id: string) => void }) {
  const { register, handleSubmit, formState } = useForm({ defaultValues: { name: '' } })
  const { create } = useUpdateContainers()
  const format = useFormat()
  const { reading } = bench.scale
  const grams = reading?.state === 'stable' && reading.grams > 0 ? reading.grams : null
  const remember = handleSubmit(({ name }) => {
    if (grams === null) return
    const request = { id: newId(), name: name.trim(), grams }
    create.mutate(request, {
      onSuccess: (kept) => onKept(kept.find((row) => row.name === request.name)?.id ?? request.id),
    })
  })
  return (
    <Form onSubmit={(event) => void remember(event)}>
      <Form.Label htmlFor="container-name">
        {grams === null
          ? 'Put the empty container on the scale to remember it.'
          : `${format.weight(grams)} stands on the scale. Remember it as`}
      </Form.Label>
      <div className={css.containerName}>
        <Form.Control
          {...register('name', { validate: (name) => name.trim() !== '' || 'Say what it is called.' })}
          id="container-name"
          maxLength={120}
          placeholder="blue tub"
          isInvalid={formState.errors.name !== undefined}
        />
        <Button type="submit" disabled={grams === null || create.isPending}>
          Remember
        </Button>
      </div>
      {formState.errors.name ? <Form.Text className="refusal">{formState.errors.name.message}</Form.Text> : null}
      {create.isError ? <Failed error={create.error} /> : null}
    </Form>
  )
}
