import { SHAPES } from '@fleam/catalogue'
import { MEASURING_WAYS, type MeasuringWay } from '@fleam/core/facts'
import type { KnifeLines } from '@fleam/core/portioning'
import { explainHowFarOff, howFarOff } from '@fleam/core/portioning'
import { lazy, Suspense } from 'react'
import Form from 'react-bootstrap/Form'
import { useMeasuredCuts } from '../../outbox/measured-cuts.ts'
import { Explained } from '../../parts/figure.tsx'
import { LengthField } from '../../parts/length-field.tsx'
import { shapeById, trimmed } from '../../parts/measured-piece.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { PricePerWeightField } from '../../parts/price-per-weight-field.tsx'
import { Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WAY_WORDS } from '../../parts/way-words.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import { freshDraft, stretched } from './draft.ts'
import { GirthDrawing } from './girth-drawing.tsx'
import css from './knife.module.css'

const OutlineTracer = lazy(() => import('./outline-tracer.tsx'))

interface PieceFieldsProps {
  draft: KnifeLines
  onChange: (changes: Partial<KnifeLines>) => void
  onReplace: (draft: KnifeLines) => void
}

/** What lies on the board, and how its shape is known. */
export function PieceFields({ draft, onChange, onReplace }: PieceFieldsProps) {
  const format = useFormat()
  const measured = useMeasuredCuts().of(draft.way, draft.shape)
  const off = howFarOff(draft.way, measured)
  // Whatever the piece was, other measures make another piece: its lines and cuts go with it.
  const measure = (changes: Partial<KnifeLines>) => onChange({ ...changes, lines: [], taken: [] })
  return (
    <section className="knife-piece no-print" aria-label="The piece">
      <div className={css.knifeFields}>
        <Form.Group controlId="knife-shape">
          <Form.Label>What it is</Form.Label>
          <Form.Select value={draft.shape} onChange={(event) => onReplace(freshDraft(shapeById(event.target.value)))}>
            {SHAPES.map((shape) => (
              <option key={shape.id} value={shape.id}>
                {shape.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <WeightField
          label="It weighs"
          grams={draft.weight}
          onChange={(weight) => weight !== null && weight > 0 && measure({ weight })}
        />
        <LengthField
          label="It is long"
          mm={draft.length}
          min={20}
          max={2000}
          onChange={(length) => length !== null && measure(stretched(draft, length))}
        />
        <Form.Group controlId="knife-way">
          <Form.Label>Its shape is known</Form.Label>
          <Form.Select
            value={draft.way}
            onChange={(event) => measure({ way: event.target.value as MeasuringWay })}
            aria-describedby="knife-off"
          >
            {MEASURING_WAYS.map((way) => (
              <option key={way} value={way}>
                {WAY_WORDS[way]}
              </option>
            ))}
          </Form.Select>
          <Form.Text id="knife-off">
            a portion may be off by <Explained explanation={explainHowFarOff(draft.way, measured)} format={format} />,{' '}
            {off.isOwn ? `as ${off.portions} portions of this kitchen were` : 'assumed until portions are weighed'}
          </Form.Text>
        </Form.Group>
      </div>
      {shapeById(draft.shape).isFillet ? <FilletTrim draft={draft} measure={measure} onChange={onChange} /> : null}
      {draft.way === 'girths' ? <GirthDrawing draft={draft} measure={measure} /> : null}
      {draft.way === 'outline' ? (
        <Suspense fallback={<Loading what="the tracer" />}>
          <OutlineTracer draft={draft} measure={measure} />
        </Suspense>
      ) : null}
    </section>
  )
}

/** Places of the pin bones and of the belly on a usual fillet, as shares of its length. */
const PIN_BONES = [0.08, 0.5] as const
const BELLY = [0.05, 0.55] as const

interface FilletTrimProps extends Pick<PieceFieldsProps, 'draft' | 'onChange'> {
  measure: (changes: Partial<KnifeLines>) => void
}

/** What comes off along a fillet before it is cut across: the belly, and a notch along the pin bones. */
function FilletTrim({ draft, measure, onChange }: FilletTrimProps) {
  const format = useFormat()
  const { belly, notch, length } = draft
  const { bellyWeight, notchWeight } = trimmed(draft)
  const place = ([from, to]: readonly [number, number]) => ({ from: from * length, to: to * length })
  return (
    <div className={css.knifeFields}>
      <NumberField
        label="Belly that comes off, % of the section"
        hint={belly ? `${format.weight(bellyWeight)} of belly, a product of its own` : 'nothing: it stays on'}
        value={belly ? belly.share * 100 : null}
        max={60}
        onChange={(percent) => measure({ belly: percent ? { ...belly, share: percent / 100, ...place(BELLY) } : null })}
      />
      {belly ? (
        <PricePerWeightField
          of="belly is worth"
          perKg={belly.valuePerKg ?? null}
          onChange={(valuePerKg) => onChange({ belly: { ...belly, valuePerKg: valuePerKg ?? undefined } })}
        />
      ) : null}
      <LengthField
        label="Notch along the pin bones, wide"
        hint={notch ? `${format.weight(notchWeight)} of scrap` : 'nothing: they are tweezed'}
        mm={notch?.width ?? null}
        max={60}
        onChange={(width) => measure({ notch: width ? { depth: 12, ...notch, ...place(PIN_BONES), width } : null })}
      />
      {notch ? (
        <LengthField
          label="and deep"
          mm={notch.depth}
          max={60}
          onChange={(depth) => depth !== null && measure({ notch: { ...notch, depth } })}
        />
      ) : null}
    </div>
  )
}
