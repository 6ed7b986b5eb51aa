import { isUncounted, piecesIn } from '@fleam/core/fabrication'
import { explainCounted } from '@fleam/core/weighing'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { OpenFigure } from '../../../parts/figure.tsx'
import { NumberField } from '../../../parts/number-field.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import type { Bench } from '../state/use-bench.ts'
import css from './how-many.module.css'

const MAX_PIECES = 10_000

/** A weighing that can hardly be one piece: one line asks how many it is, until somebody says it. Nothing waits for it. */
export function HowMany({ bench }: { bench: Bench }) {
  const { record, standing } = bench.live
  const format = useFormat(record.currency)
  const [typed, setTyped] = useState<number | null>(null)
  const piles = new Map(record.piles.map((pile) => [pile.id, pile]))
  const reading = standing.findLast((standingReading) => {
    const pile = piles.get(standingReading.pileId)
    return pile !== undefined && isUncounted(pile, standingReading)
  })
  const pile = piles.get(reading?.pileId ?? '')
  if (!reading || !pile || record.status !== 'open') return null
  const likely = piecesIn(pile, reading)
  const say = (pieces: number) => {
    setTyped(null)
    bench.countPieces(reading.id, pieces)
  }
  return (
    <fieldset className={css.howMany}>
      <legend>
        How many {pile.name} are {format.weight(reading.grams)}?{' '}
        <span className="quiet">
          Counted as{' '}
          <OpenFigure explain={() => explainCounted(pile, reading)} format={format}>
            {String(likely)}
          </OpenFigure>{' '}
          until you say.
        </span>
      </legend>
      <div className={css.howManyAnswers}>
        {[likely - 1, likely, likely + 1].map((pieces) => (
          <Button key={pieces} variant="outline-dark" onClick={() => say(pieces)}>
            {pieces}
          </Button>
        ))}
        <NumberField key={reading.id} label="Pieces" value={typed} onChange={setTyped} min={1} max={MAX_PIECES} />
        <Button
          variant="outline-dark"
          disabled={typed === null || !Number.isInteger(typed)}
          onClick={() => typed !== null && say(typed)}
        >
          Set
        </Button>
      </div>
    </fieldset>
  )
}
