import type { ScaleReading } from '@fleam/contract/scale/scale-line'
import type { PlannedPile } from '@fleam/core/fabrication'
import { GRAMS_PER_UNIT, parseWeight } from '@fleam/core/units'
import { expectedReading } from '@fleam/core/weighing'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { loadStandIn } from '../../../data/scale.ts'
import css from './stand-in.module.css'

interface StandInProps {
  reading: ScaleReading | null
  pile: PlannedPile
  ap: number
}

/** What is likely to lie on the scale next: a piece, or the whole of a pile. */
const likelyGrams = (pile: PlannedPile, ap: number): number => expectedReading(pile, ap) ?? UNKNOWN_GRAMS

/** What is put on for a pile of which nothing is expected. */
const UNKNOWN_GRAMS = 500
const SPREAD = 0.06

/** Hands for the simulated scale, marked as what it is. A real scale shows nothing here. */
export function StandIn({ reading, pile, ap }: StandInProps) {
  const { units } = useKitchen()
  // The scale is told grams; where ounces are weighed, hands think in ounces.
  const unit = units === 'metric' ? 'g' : 'oz'
  const shown = (grams: number) => (unit === 'g' ? String(grams) : (grams / GRAMS_PER_UNIT.oz).toFixed(1))
  const [text, setText] = useState(() => shown(281))
  if (!reading?.simulated) return null
  const put = (grams: number) => void loadStandIn(grams).catch(() => {})
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const result = parseWeight(text, unit)
    if (result.ok) put(Math.round(result.grams))
  }
  const putLikely = () => {
    const grams = Math.round(likelyGrams(pile, ap) * (1 + (Math.random() - 0.5) * SPREAD))
    setText(shown(grams))
    put(grams)
  }
  return (
    <section className={css.standIn} aria-label="Stand-in for the scale">
      <h2>Stand-in: this scale is simulated</h2>
      <Form onSubmit={submit}>
        <Form.Control
          aria-label={`${unit === 'g' ? 'Grams' : 'Ounces'} to put on the simulated scale`}
          inputMode="decimal"
          value={text}
          onChange={(event) => setText(event.target.value.replace(/[^\d.]/g, ''))}
        />
        <span>{unit}</span>
        <Button type="submit" variant="outline-dark">
          Put on
        </Button>
        <Button variant="outline-dark" onClick={() => put(0)}>
          Lift off
        </Button>
        <Button variant="outline-dark" onClick={putLikely}>
          Example weight
        </Button>
      </Form>
    </section>
  )
}
