import type { JudgedPart, KnifeLines } from '@fleam/core/portioning'
import { summarise } from '@fleam/core/statistics'
import { memo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { v7 as newId } from 'uuid'
import { useScale } from '../../data/scale.ts'
import { useMeasuredCuts } from '../../outbox/measured-cuts.ts'
import { LengthField } from '../../parts/length-field.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import css from './cut-loop.module.css'

interface CutLoopProps {
  draft: KnifeLines
  /** The part before the first line. */
  next: JudgedPart
  onChange: (changes: Partial<KnifeLines>) => void
}

/** The next cut, and what it weighed: after each one the rest is planned anew. */
export const CutLoop = memo(function CutLoop({ draft, next, onChange }: CutLoopProps) {
  const format = useFormat()
  const { reading, connected } = useScale()
  const measured = useMeasuredCuts()
  const [typed, setTyped] = useState<number | null>(null)
  const [cameOut, setCameOut] = useState<number | null>(null)
  const onScale = connected && reading?.state === 'stable' && reading.grams > 0 ? reading.grams : null
  const weight = typed ?? onScale
  const planned = next.to - next.from
  // A cook measures the portion, square to its faces; the piece is shorter by what that is along it.
  const ownPerMm = next.thickness / planned
  const thickness = cameOut === null ? planned : cameOut / ownPerMm
  const take = () => {
    if (weight === null) return
    const cut = { id: newId(), thickness, weight, product: next.product, planned: next.weight }
    if (next.product !== null) {
      const { way, shape } = draft
      const weighed = { way, shape, planned: next.weight, weighed: weight }
      measured.create({ fabricationId: null, readingId: null, ...weighed }, cut.id)
    }
    setTyped(null)
    setCameOut(null)
    // No lines: what is left is planned anew.
    onChange({ taken: [...draft.taken, cut], lines: [] })
  }
  const takeBack = () => {
    const last = draft.taken.at(-1)
    if (last?.id && last.product !== null) measured.remove(last.id)
    onChange({ taken: draft.taken.slice(0, -1), lines: [] })
  }
  const portions = draft.taken.filter(({ product }) => product !== null)
  const { mean, sd } = summarise(portions.map((cut) => cut.weight))
  return (
    <section className={`${css.cutLoop} no-print`} aria-labelledby="next-cut">
      <div>
        <h2 id="next-cut">Next cut</h2>
        <p className={css.nextCut}>
          <strong>{format.lengthAmount(planned)}</strong> {format.lengthUnit}
          {draft.biasAngle > 0 ? ` along, at ${draft.biasAngle}°` : ''}
        </p>
        <p>
          {next.product ?? 'scrap'}, about {format.weight(next.weight)}
          {next.thickness < planned ? `, ${format.length(next.thickness)} thick` : ''}
        </p>
      </div>
      <div className={css.cutLoopFields}>
        <WeightField
          key={`weight-${draft.taken.length}`}
          label="It weighs"
          hint={onScale === null ? 'type it, or lay it on the scale' : `on the scale: ${format.weight(onScale)}`}
          grams={null}
          onChange={setTyped}
        />
        <LengthField
          key={`thickness-${draft.taken.length}`}
          label="It came out thick"
          hint={
            draft.biasAngle > 0 ? 'square to its faces, only where it is not as said' : 'only where it is not as said'
          }
          mm={null}
          min={1}
          onChange={setCameOut}
        />
        <div className="actions">
          <Button className="main-action" disabled={weight === null} onClick={take}>
            Cut, and plan the rest
          </Button>
          {draft.taken.length > 0 ? (
            <Button variant="outline-dark" onClick={takeBack}>
              Take the last one back
            </Button>
          ) : null}
        </div>
      </div>
      {draft.taken.length > 0 ? (
        <div>
          <h3>Cut so far</h3>
          <ol className={css.cutsTaken}>
            {draft.taken.map((cut, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: cuts are in their order and only the last is taken back
              <li key={index}>
                {cut.product ?? 'scrap'} {format.weight(cut.weight)}{' '}
                <span className="quiet">planned {format.weight(cut.planned)}</span>
              </li>
            ))}
          </ol>
          {mean === null || sd === null ? null : (
            <p>
              Portions weigh {format.weight(mean)} on average, and spread by {format.weight(sd)}.
            </p>
          )}
        </div>
      ) : null}
    </section>
  )
}, isSameCut)

/** Other lines may move: the next cut is the same one between the same two faces. */
function isSameCut(before: CutLoopProps, after: CutLoopProps): boolean {
  return (
    before.draft === after.draft &&
    before.onChange === after.onChange &&
    before.next.to === after.next.to &&
    before.next.product === after.next.product &&
    before.next.weight === after.next.weight &&
    before.next.thickness === after.next.thickness
  )
}
