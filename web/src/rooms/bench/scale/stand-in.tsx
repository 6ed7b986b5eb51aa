import type { ScaleReading } from '@fleam/contract'
import { expectedReading, type PlannedPile } from '@fleam/core'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
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
  const [text, setText] = useState('281')
  if (!reading?.simulated) return null
  const put = (grams: number) => void loadStandIn(grams).catch(() => {})
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const grams = Number(text)
    if (grams >= 0) put(grams)
  }
  const putLikely = () => {
    const grams = Math.round(likelyGrams(pile, ap) * (1 + (Math.random() - 0.5) * SPREAD))
    setText(String(grams))
    put(grams)
  }
  return (
    <section className={css.standIn} aria-label="Stand-in for the scale">
      <h2>Stand-in: this scale is simulated</h2>
      <Form onSubmit={submit}>
        <Form.Control
          aria-label="Grams to put on the simulated scale"
          inputMode="numeric"
          value={text}
          onChange={(event) => setText(event.target.value.replace(/[^\d.]/g, ''))}
        />
        <span>g</span>
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
