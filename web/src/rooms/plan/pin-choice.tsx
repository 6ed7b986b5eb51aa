import type { DraftPin } from '@fleam/core'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Dropdown from 'react-bootstrap/Dropdown'
import { NumberField } from '../../parts/number-field.tsx'
import { heldWords } from './pin-words.ts'
import css from './plan.module.css'
import type { Pinning } from './plan-parts.ts'

interface PinChoiceProps {
  pinning: Pinning | null
  kind: DraftPin['kind']
  id: string
  name: string
  /** How much of it the plan has. */
  amount: number
  /** Packs or units, as they are counted. */
  unit: string
}

/** A line held by touch: not at all, at least or at most so many over all days. */
export function PinChoice({ pinning, kind, id, name, amount, unit }: PinChoiceProps) {
  const [edge, setEdge] = useState<'atLeast' | 'atMost' | null>(null)
  if (!pinning) return null
  const held = pinning.pins.find((pin) => pin.kind === kind && pin.id === id)
  const set = (atLeast: number | null, atMost: number | null) => pinning.setPin({ kind, id, atLeast, atMost })
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
        {held ? <Dropdown.Item onClick={() => set(null, null)}>Let it go</Dropdown.Item> : null}
      </Dropdown.Menu>
    </Dropdown>
  )
}
