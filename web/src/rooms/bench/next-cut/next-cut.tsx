import { MM_PER_INCH } from '@fleam/core/units'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { useScale } from '../../../data/scale.ts'
import { LengthField } from '../../../parts/length-field.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import { WAY_WORDS } from '../../../parts/way-words.ts'
import { WeightField } from '../../../parts/weight-field.tsx'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'
import css from './next-cut.module.css'
import { useMeasuredBefore } from './use-measured-before.ts'
import { type LaidDraft, useNextCut } from './use-next-cut.ts'

/** A cut is put right by a millimetre, or by the least that a ruler in inches has. */
const SIXTEENTHS = 16

/** Where the knife goes next: weigh the portion, and the next cut is there. */
export default function NextCut({ live }: { live: LiveFabrication }) {
  const format = useFormat()
  const state = useNextCut(live)
  if (!state || live.record.status !== 'open') return null
  const { onBoard, next, isWorking, shape } = state
  const step = format.lengthUnit === 'mm' ? 1 : MM_PER_INCH / SIXTEENTHS
  const words = format.length(step)
  return (
    <section className={css.benchNextCut} aria-label="Next cut">
      {onBoard === null ? (
        <LayOn usual={shape} onLay={state.lay} />
      ) : (
        <>
          <p className={css.nextCutMm} role="status">
            {next ? (
              <>
                <strong>{format.lengthAmount(next.thickness)}</strong> {format.lengthUnit}
                {state.slant > 0 ? ` along, at ${state.slant}°, ${format.length(next.ownThickness)} thick` : ''}{' '}
                <span>{next.product ?? shape.scrap.name}</span>{' '}
                <span className="quiet">about {format.weight(next.weight)}</span>
              </>
            ) : (
              <span>{isWorking ? 'Next cut …' : 'Nothing is left to cut of this piece.'}</span>
            )}
          </p>
          {state.lastThickness === null ? null : (
            <fieldset className={css.nextCutLast} aria-label="The last cut">
              <span>the last one was {format.length(state.lastThickness)}</span>
              <Button
                variant="outline-dark"
                aria-label={`It came out ${words} thinner`}
                onClick={() => state.correctLast(-step)}
              >
                −
              </Button>
              <Button
                variant="outline-dark"
                aria-label={`It came out ${words} thicker`}
                onClick={() => state.correctLast(step)}
              >
                +
              </Button>
            </fieldset>
          )}
          <div className={css.nextCutActions}>
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
  onLay: (piece: LaidDraft) => void
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
    <Form onSubmit={submit} className={css.nextCutLay}>
      <strong>{usual.name}</strong>
      <WeightField
        label="weighs"
        hint={onScale === null ? `usually ${format.weight(usual.weight)}` : `on the scale: ${format.weight(onScale)}`}
        grams={null}
        onChange={setTyped}
      />
      <LengthField label="is long" mm={length} min={20} max={2000} onChange={setLength} />
      <Button type="submit" variant="outline-dark" disabled={!length}>
        Where to cut?
      </Button>
      {measured ? (
        <Button variant="outline-dark" onClick={() => onLay(measured)}>
          As measured {WAY_WORDS[measured.way]}: {format.weight(measured.weight)}, {format.length(measured.length)}
        </Button>
      ) : (
        <Link to={`/knife?shape=${usual.id}`}>Measure it by tape or by a photograph</Link>
      )}
    </Form>
  )
}
