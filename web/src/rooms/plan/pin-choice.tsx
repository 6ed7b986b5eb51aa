import type { Day } from '@fleam/core/calendar'
import type { DraftPin } from '@fleam/core/planning'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Dropdown from 'react-bootstrap/Dropdown'
import { dayWords } from '../../parts/dates.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { heldWords } from './pin-words.ts'
import css from './plan.module.css'
import type { Pinning } from './plan-parts.ts'

interface PinChoiceProps {
  pinning: Pinning | null
  kind: Exclude<DraftPin['kind'], 'supplier'>
  id: string
  name: string
  /** How much of it the plan has. */
  amount: number
  /** Packs or units, as they are counted. */
  unit: string
  /** The day on which it is planned: another may be asked for. */
  day: Day
}

/** A line held by touch: not at all, at least or at most so many over all days. */
export function PinChoice({ pinning, kind, id, name, amount, unit, day }: PinChoiceProps) {
  const [edge, setEdge] = useState<'atLeast' | 'atMost' | null>(null)
  if (!pinning) return null
  const held = pinning.pins.find((pin) => pin.kind === kind && pin.id === id && pin.day === null)
  const set = (atLeast: number | null, atMost: number | null) =>
    pinning.setPin({ kind, id, day: null, atLeast, atMost })
  if (edge) {
    return (
      <div className={css.pin}>
        <NumberField
          label={`${edge === 'atLeast' ? 'At least' : 'At most'}, ${unit} of ${name}`}
          isLabelHidden
          value={held?.[edge] ?? Math.round(amount)}
          onChange={(value, isValid) => {
            if (!isValid || value === null || !Number.isInteger(value)) return
            set(edge === 'atLeast' ? value : null, edge === 'atMost' ? value : null)
          }}
        />
        <Button size="sm" variant="outline-dark" onClick={() => setEdge(null)}>
          Done
        </Button>
      </div>
    )
  }
  return (
    <Dropdown>
      <Dropdown.Toggle size="sm" variant="outline-dark" aria-label={`Fix amount of ${name}`}>
        {heldWords(held, unit) ?? 'Fix amount'}
      </Dropdown.Toggle>
      <Dropdown.Menu>
        <Dropdown.Item onClick={() => set(null, 0)}>None of it</Dropdown.Item>
        <Dropdown.Item
          onClick={() => {
            set(Math.round(amount), null)
            setEdge('atLeast')
          }}
        >
          At least …
        </Dropdown.Item>
        <Dropdown.Item
          onClick={() => {
            set(null, Math.round(amount))
            setEdge('atMost')
          }}
        >
          At most …
        </Dropdown.Item>
        <Dropdown.Item onClick={() => pinning.setPin({ kind, id, day, atLeast: null, atMost: 0 })}>
          Another day than {dayWords(day)}
        </Dropdown.Item>
        {held ? <Dropdown.Item onClick={() => set(null, null)}>Allow any amount</Dropdown.Item> : null}
      </Dropdown.Menu>
    </Dropdown>
  )
}
