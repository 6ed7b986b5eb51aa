import { editOf } from '@fleam/contract/fabrication/edit'
import type { PileClass, PlannedPile } from '@fleam/core/fabrication'
import { zodResolver } from '@hookform/resolvers/zod'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Modal from 'react-bootstrap/Modal'
import { type UseFormReturn, useForm } from 'react-hook-form'
import { useUpdateFabrication } from '../../../data/queries.ts'
import { FormNumber, FormWeight } from '../../../parts/form-fields.tsx'
import { Failed } from '../../../parts/states.tsx'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'
import css from './pile-dialog.module.css'
import { fieldsOf, type PileFields, pileFields, withFields } from './pile-fields.ts'

const CLASS_WORDS: Readonly<Record<PileClass, string>> = {
  primary: 'Portions to serve',
  'by-product': 'By-product: it replaces something',
  waste: 'Waste',
}

interface PileDialogProps {
  live: LiveFabrication
  pile: PlannedPile
  isNew?: boolean
  onClose: () => void
}

/** What can be said of a pile in the middle of the work; loaded when it is opened, so that the bench is there sooner. */
export default function PileDialog({ live: { record, standing }, pile, isNew = false, onClose }: PileDialogProps) {
  const change = useUpdateFabrication(record.id)
  const form = useForm<PileFields>({ resolver: zodResolver(pileFields), defaultValues: fieldsOf(pile) })
  const others = record.piles.filter((other) => other.id !== pile.id)
  const save = form.handleSubmit((fields) => {
    if (others.some((other) => other.name.toLowerCase() === fields.name.toLowerCase())) {
      return form.setError('name', { message: 'There is a pile of this name already.' })
    }
    const changed = withFields(pile, fields)
    const piles = isNew
      ? [...record.piles, changed]
      : record.piles.map((other) => (other.id === pile.id ? changed : other))
    change.mutate(editOf(record, { piles }), { onSuccess: onClose })
  })
  return (
    <Modal show onHide={onClose} aria-labelledby="pile-title" centered>
      <Modal.Header closeButton>
        <Modal.Title id="pile-title" as="h2">
          {isNew ? 'Add a pile' : `Change ${pile.name}`}
        </Modal.Title>
      </Modal.Header>
      <Form onSubmit={(event) => void save(event)} noValidate>
        <Modal.Body className={css.pileForm}>
          <PileFormFields form={form} isWeighed={standing.some((reading) => reading.pileId === pile.id)} />
          {change.isError ? <Failed error={change.error} /> : null}
        </Modal.Body>
        <Modal.Footer>
          <Button variant="outline-dark" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" className="main-action" disabled={change.isPending}>
            {isNew ? 'Add' : 'Save'}
          </Button>
        </Modal.Footer>
      </Form>
    </Modal>
  )
}

function PileFormFields({ form, isWeighed }: { form: UseFormReturn<PileFields>; isWeighed: boolean }) {
  const { control, register, formState } = form
  const [kind, weighing] = [form.watch('class'), form.watch('weighing')]
  return (
    <>
      <Form.Group controlId="pile-name">
        <Form.Label>Name</Form.Label>
        <Form.Control autoComplete="off" isInvalid={formState.errors.name !== undefined} {...register('name')} />
        <Form.Text className="refusal">{formState.errors.name?.message}</Form.Text>
      </Form.Group>
      <Form.Group controlId="pile-class">
        <Form.Label>What it is</Form.Label>
        <Form.Select {...register('class')}>
          {Object.entries(CLASS_WORDS).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="pile-weighing">
        <Form.Label>Weighed</Form.Label>
        <Form.Select {...register('weighing')} disabled={isWeighed}>
          <option value="pieces">piece by piece</option>
          <option value="whole">as a whole</option>
        </Form.Select>
      </Form.Group>
      {kind === 'primary' ? (
        <>
          <FormWeight control={control} name="target" label="Target of one" />
          <FormWeight control={control} name="low" label="Lightest" />
          <FormWeight control={control} name="high" label="Heaviest" />
        </>
      ) : null}
      {kind === 'primary' && weighing === 'pieces' ? (
        <FormNumber
          control={control}
          name="portionsPerPiece"
          label="Portions that one piece is"
          hint="one; 0.5 where two pieces make a portion"
        />
      ) : null}
      <FormNumber
        control={control}
        name="valuePerKg"
        label={kind === 'waste' ? 'Disposal cost per kilo, below zero' : 'Worth per kilo'}
        min={kind === 'waste' ? -100_000 : 0}
      />
      {kind === 'by-product' ? (
        <FormNumber control={control} name="usedPercent" label="Share used, %" max={100} />
      ) : null}
    </>
  )
}
