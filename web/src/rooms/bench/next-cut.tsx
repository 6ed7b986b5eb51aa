import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { useScale } from '../../data/scale.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WAY_WORDS } from '../../parts/way-words.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import type { LiveFabrication } from './use-live-fabrication.ts'
import { useMeasuredBefore } from './use-measured-before.ts'
import { type LaidPiece, useNextCut } from './use-next-cut.ts'

/** Where the knife goes next: weigh the portion, and the next cut is there. */
export default function NextCut({ live }: { live: LiveFabrication }) {
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
          {state.lastThickness === null ? null : (
            <fieldset className="next-cut-last" aria-label="The last cut">
              <span>the last one was {Math.round(state.lastThickness)} mm</span>
              <Button
                variant="outline-dark"
                aria-label="It came out 1 mm thinner"
                onClick={() => state.correctLast(-1)}
              >
                −
              </Button>
              <Button variant="outline-dark" aria-label="It came out 1 mm thicker" onClick={() => state.correctLast(1)}>
                +
              </Button>
            </fieldset>
          )}
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
  usual: { id: string; name: string; weight: number; length: number }
  onLay: (piece: LaidPiece) => void
}

/** A piece on the scale need not be typed; without one, a usual piece is taken. */
function LayOn({ usual, onLay }: LayOnProps) {
  const format = useFormat()
  const measured = useMeasuredBefore(usual.id)
  const { reading, connected } = useScale()
  const onScale = connected && reading?.state === 'stable' && reading.grams > 0 ? reading.grams : null
  const [typed, setTyped] = useState<number | null>(null)
  const [length, setLength] = useState<number | null>(usual.length)
  const weight = typed ?? onScale ?? usual.weight
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (length) onLay({ weight, length, way: 'template' })
  }
  return (
    <Form onSubmit={submit} className="next-cut-lay">
      <strong>{usual.name}</strong>
      <WeightField
        label="weighs"
        hint={onScale === null ? `usually ${format.weight(usual.weight)}` : `on the scale: ${format.weight(onScale)}`}
        grams={null}
        onChange={setTyped}
      />
      <NumberField label="is long, mm" value={length} min={20} max={2000} onChange={setLength} />
      <Button type="submit" variant="outline-dark" disabled={!length}>
        Where to cut?
      </Button>
      {measured ? (
        <Button variant="outline-dark" onClick={() => onLay(measured)}>
          As measured {WAY_WORDS[measured.way]}: {format.weight(measured.weight)}, {Math.round(measured.length)} mm
        </Button>
      ) : (
        <Link to={`/knife?shape=${usual.id}`}>Measure it by tape or by a photograph</Link>
      )}
    </Form>
  )
}
