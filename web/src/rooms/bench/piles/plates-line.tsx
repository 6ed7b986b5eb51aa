import { explainPlating } from '@fleam/core/plating'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { Explained } from '../../../parts/figure.tsx'
import { NumberField } from '../../../parts/number-field.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import { WeightField } from '../../../parts/weight-field.tsx'
import nextCutCss from '../next-cut/next-cut.module.css'
import css from './plates-line.module.css'
import type { BenchPlates, Numbering } from './use-plates.ts'

interface PlatesLineProps {
  plates: BenchPlates
  fabricationId: string
}

/** Plates made of the pieces that are weighed: the number of the last one, how many are whole, and how fair they are. */
export function PlatesLine({ plates, fabricationId }: PlatesLineProps) {
  const format = useFormat()
  const [isSetting, setSetting] = useState(false)
  const { plate, plating, last } = plates
  if (!plate || !plating) {
    return (
      <Button variant="outline-dark" className={css.beginPlates} onClick={plates.begin}>
        Number the plates
      </Button>
    )
  }
  const needs = plate.needs.map(({ kind, count }) => `${count} ${kind}`).join(' + ')
  return (
    <section className={nextCutCss.benchPlates} aria-label="Plates">
      {plates.numbering === 'as-weighed' ? (
        <p className={nextCutCss.nextCutMm} role="status">
          {last === null ? (
            <span className="quiet">the next piece gets its plate</span>
          ) : (
            <>
              plate <strong>{last}</strong>
            </>
          )}
        </p>
      ) : (
        <Button
          variant="outline-dark"
          disabled={plates.isMatching || plates.pieces.length === 0}
          onClick={plates.match}
        >
          {plates.isMatching ? 'Matching …' : `Match all ${plates.pieces.length} now`}
        </Button>
      )}
      <p className={css.platesSum}>
        {plating.plates.length} whole of {needs}
        {plating.fairness === null ? null : (
          <>
            , the heaviest <Explained explanation={explainPlating(plating, 'fairness')} format={format} /> of the
            lightest
          </>
        )}
        {plating.left.length > 0 ? `; ${plating.left.length} wait` : ''}
      </p>
      <div className={nextCutCss.nextCutActions}>
        <Button variant="outline-dark" aria-expanded={isSetting} onClick={() => setSetting(!isSetting)}>
          {isSetting ? 'Done' : 'Change'}
        </Button>
        <Button variant="outline-dark" onClick={plates.stop}>
          No plates
        </Button>
      </div>
      {isSetting ? <PlateSettings plates={plates} fabricationId={fabricationId} /> : null}
    </section>
  )
}

const NUMBERING_WORDS: Readonly<Record<Numbering, string>> = {
  'as-weighed': 'as it is weighed, and it stays',
  'at-the-end': 'at the end, when all are weighed',
}

/** What one plate takes, and when its number is given. */
function PlateSettings({ plates, fabricationId }: PlatesLineProps) {
  const { plate, change } = plates
  if (!plate) return null
  return (
    <div className={css.plateSettings}>
      <Form.Group controlId="plate-numbering">
        <Form.Label>A piece gets its number</Form.Label>
        <Form.Select
          value={plates.numbering}
          onChange={(event) => change({ numbering: event.target.value as Numbering })}
        >
          {(Object.keys(NUMBERING_WORDS) as Numbering[]).map((numbering) => (
            <option key={numbering} value={numbering}>
              {NUMBERING_WORDS[numbering]}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {plate.needs.map(({ kind, count }) => (
        <NumberField
          key={kind}
          label={`${kind} on a plate`}
          value={count}
          min={0}
          max={6}
          onChange={(next) => {
            if (next === null || !Number.isInteger(next)) return
            const needs = plate.needs.map((need) => (need.kind === kind ? { kind, count: next } : need))
            const wanted = needs.filter((need) => need.count > 0)
            if (wanted.length > 0) change({ plate: { ...plate, needs: wanted } })
          }}
        />
      ))}
      {(['target', 'low', 'high'] as const).map((bound) => (
        <WeightField
          key={bound}
          label={{ target: 'A plate weighs', low: 'from', high: 'to' }[bound]}
          grams={plate[bound]}
          onChange={(grams) => {
            if (grams === null || grams <= 0) return
            const next = { ...plate, [bound]: grams }
            if (next.low <= next.high) change({ plate: next })
          }}
        />
      ))}
      <Link to={`/knife/plates?of=${fabricationId}`}>match them in Knife lines</Link>
    </div>
  )
}
