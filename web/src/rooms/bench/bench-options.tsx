import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Modal from 'react-bootstrap/Modal'
import { Link } from 'react-router-dom'
import { useCooks } from '../../data/queries.ts'
import css from './bench-options.module.css'
import { Abandon } from './finish/abandon.tsx'
import type { BenchSettings } from './state/bench-settings.ts'
import type { Bench } from './state/use-bench.ts'

const SWITCHES: readonly {
  name: keyof BenchSettings & ('takesItself' | 'sound' | 'voice')
  words: string
  more: string
}[] = [
  { name: 'takesItself', words: 'Take by itself', more: 'a new load that has settled is taken; undo works as ever' },
  { name: 'sound', words: 'Sound', more: 'high: taken; low: look' },
  { name: 'voice', words: 'Voice', more: '“taken”, “too light”, “which pile?”' },
]

/** What this device does by itself, and who works at it. */
export function BenchOptions({ bench }: { bench: Bench }) {
  const [isOpen, setOpen] = useState(false)
  const { settings } = bench
  const { data: cooks = [] } = useCooks()
  return (
    <>
      <Button variant="outline-dark" onClick={() => setOpen(true)}>
        More
      </Button>
      <Modal show={isOpen} onHide={() => setOpen(false)} aria-labelledby="options-title" centered>
        <Modal.Header closeButton>
          <Modal.Title id="options-title" as="h2">
            More
          </Modal.Title>
        </Modal.Header>
        <Modal.Body className={css.options}>
          <Form.Group controlId="bench-cook">
            <Form.Label>Who works here</Form.Label>
            <Form.Select
              value={settings.cookId ?? ''}
              onChange={(event) => settings.change({ cookId: event.target.value || null })}
            >
              <option value="">{bench.live.record.cook ?? 'Unassigned'}</option>
              {cooks.map((cook) => (
                <option key={cook.id} value={cook.id}>
                  {cook.name}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          {SWITCHES.map(({ name, words, more }) => (
            <Form.Check
              key={name}
              type="switch"
              id={`option-${name}`}
              checked={settings[name]}
              label={
                <>
                  {words} <span className="quiet">{more}</span>
                </>
              }
              onChange={(event) => settings.change({ [name]: event.target.checked })}
            />
          ))}
          <Abandon live={bench.live} />
          <p>
            <Link to={`/bench/${bench.live.record.id}/entry`}>Enter a filled-in card</Link>
            {bench.live.record.styleId ? (
              <>
                {' · '}
                <Link to={`/card/${bench.live.record.styleId}?units=${bench.live.record.units}`}>
                  Print a blank card
                </Link>
              </>
            ) : null}
          </p>
        </Modal.Body>
      </Modal>
    </>
  )
}
