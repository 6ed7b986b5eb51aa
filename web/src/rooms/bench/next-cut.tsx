import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { NumberField } from '../../parts/number-field.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import type { LiveFabrication } from './use-live-fabrication.ts'
import { useNextCut } from './use-next-cut.ts'

/** Where the knife goes next: weigh the portion, and the next cut is there. */
export function NextCut({ live }: { live: LiveFabrication }) {
  const format = useFormat()
  const state = useNextCut(live)
  if (!state || live.record.status !== 'open') return null
  const { onBoard, next, isWorking, shape } = state
  return (
    <section className="bench-next-cut" aria-label="Next cut">
      {onBoard === null ? (
        <LayOn usual={shape} onLay={state.lay} />
      ) : (
        <>
          <p className="next-cut-mm" role="status">
            {next ? (
              <>
                <strong>{Math.round(next.thickness)}</strong> mm <span>{next.product ?? shape.scrap.name}</span>{' '}
                <span className="quiet">about {format.weight(next.weight)}</span>
              </>
            ) : (
              <span>{isWorking ? 'Next cut …' : 'Nothing is left to cut of this piece.'}</span>
            )}
          </p>
          <div className="next-cut-actions">
            {next && next.product === null ? (
              <Button variant="outline-dark" onClick={state.scrapIsOff}>
                It is off
              </Button>
            ) : null}
            <Button variant="outline-dark" onClick={state.clear}>
              Another piece
            </Button>
          </div>
        </>
      )}
    </section>
  )
}

interface LayOnProps {
  usual: { name: string; weight: number; length: number }
  onLay: (weight: number, length: number) => void
}

function LayOn({ usual, onLay }: LayOnProps) {
  const [weight, setWeight] = useState<number | null>(usual.weight)
  const [length, setLength] = useState<number | null>(usual.length)
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (weight && length) onLay(weight, length)
  }
  return (
    <Form onSubmit={submit} className="next-cut-lay">
      <WeightField label={`${usual.name}: weighs`} grams={weight} onChange={setWeight} />
      <NumberField label="is long, mm" value={length} min={20} max={2000} onChange={setLength} />
      <Button type="submit" variant="outline-dark" disabled={!weight || !length}>
        Where to cut?
      </Button>
    </Form>
  )
}
