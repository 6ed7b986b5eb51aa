import type { Lot } from '@fleam/contract/receiving/schemas'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import css from './standing-choice.module.css'

type Standing = Lot['standing']

/** What can become of a lot, from how it stands, in the order in which it is offered. */
const NEXT: Readonly<Record<Standing, readonly (readonly [Standing, string])[]>> = {
  accepted: [
    ['quarantined', 'Quarantine it'],
    ['returned', 'Return it'],
  ],
  quarantined: [
    ['returned', 'Return it'],
    ['accepted', 'Release it'],
  ],
  returned: [['accepted', 'It is here again']],
  refused: [['accepted', 'It is here after all']],
}

interface StandingChoiceProps {
  standing: Standing
  isPending: boolean
  onChange: (standing: Standing, reason: string) => void
}

/** Quarantine, return or release of a lot: each with its reason. */
export function StandingChoice({ standing, isPending, onChange }: StandingChoiceProps) {
  const [asked, setAsked] = useState<Standing | null>(null)
  const [reason, setReason] = useState('')
  if (asked === null) {
    return (
      <div className={`form-actions ${css.standingChoice}`}>
        {NEXT[standing].map(([next, words]) => (
          <Button key={next} variant="outline-dark" onClick={() => setAsked(next)}>
            {words}
          </Button>
        ))}
      </div>
    )
  }
  const words = NEXT[standing].find(([next]) => next === asked)?.[1] ?? ''
  return (
    <Form
      className={css.standingReason}
      onSubmit={(event) => {
        event.preventDefault()
        onChange(asked, reason.trim())
        setAsked(null)
        setReason('')
      }}
    >
      <Form.Group controlId="standing-reason">
        <Form.Label>Why, and what temperature it had</Form.Label>
        <Form.Control value={reason} maxLength={600} onChange={(event) => setReason(event.target.value)} />
      </Form.Group>
      <div className="form-actions">
        <Button type="submit" disabled={reason.trim() === '' || isPending}>
          {words}
        </Button>
        <Button variant="outline-dark" onClick={() => setAsked(null)}>
          Cancel
        </Button>
      </div>
    </Form>
  )
}
