import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Modal from 'react-bootstrap/Modal'
import { useForm } from 'react-hook-form'

/** A name of a document that fits nothing here, or several things, with what it may be. */
export interface OpenName {
  field: 'item' | 'style' | 'supplier' | 'cook'
  name: string
  candidates: { id: string; name: string }[]
}

const QUESTIONS: Readonly<Record<OpenName['field'], string>> = {
  item: 'What was cut',
  style: 'How it was cut',
  supplier: 'Who delivered it',
  cook: 'Who cut it',
}

interface NameChoiceProps {
  open: readonly OpenName[]
  isPending: boolean
  /** What was decided of each name: an id, `none`, or `add` for a supplier that is new. */
  onDecide: (names: Record<string, string>) => void
  onLeave: () => void
}

/** Asks once what each unknown name means; nothing of the document is taken in before. */
export function NameChoice({ open, isPending, onDecide, onLeave }: NameChoiceProps) {
  const form = useForm<Record<string, string>>({
    defaultValues: Object.fromEntries(open.map(({ field }) => [field, field === 'supplier' ? 'add' : 'none'])),
  })
  const submit = form.handleSubmit(onDecide)
  return (
    <Modal show onHide={onLeave} aria-labelledby="names-title" centered>
      <Form onSubmit={(event) => void submit(event)}>
        <Modal.Header closeButton>
          <Modal.Title id="names-title" as="h2">
            {open.length === 1 ? 'A name is not known here' : 'Some names are not known here'}
          </Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <p>Nothing is imported yet. Choose what each one is.</p>
          {open.map(({ field, name, candidates }) => (
            <Form.Group key={field} controlId={`name-${field}`} className="mb-3">
              <Form.Label>
                {QUESTIONS[field]}: <strong>{name}</strong>
              </Form.Label>
              <Form.Select {...form.register(field)}>
                {field === 'supplier' ? <option value="add">a new supplier</option> : null}
                <option value="none">none of ours: keep the name only</option>
                {candidates.map((candidate) => (
                  <option key={candidate.id} value={candidate.id}>
                    {candidate.name}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
          ))}
        </Modal.Body>
        <Modal.Footer>
          <Button variant="outline-dark" onClick={onLeave}>
            Cancel
          </Button>
          <Button type="submit" disabled={isPending}>
            Import it
          </Button>
        </Modal.Footer>
      </Form>
    </Modal>
  )
}
