import { boundOf, type PieceBound, type PileResult } from '@fleam/core'
import { useAppraised } from '../../parts/appraised-context.ts'
import { MaybeFigure } from '../../parts/figure.tsx'
import type { Bench } from './use-bench.ts'
import type { StandingReading } from './use-live-fabrication.ts'

const MARKS: Readonly<Record<PieceBound, string>> = { below: '▽', within: '', above: '△' }
const BOUND_WORDS: Readonly<Record<PieceBound, string>> = { below: 'too light', within: '', above: 'too heavy' }

/** The weighings of the active pile, newest first; each can be taken back. */
export function PieceList({ bench }: { bench: Bench }) {
  const { appraisal, format } = useAppraised()
  const { activePile: pile, live } = bench
  const result = appraisal.piles.find((each) => each.name === pile.name) as PileResult
  const readings = live.standing.filter((each) => each.pileId === pile.id).reverse()
  const isPieces = pile.weighing === 'pieces'
  return (
    <section className="pieces" aria-label={`Weighed onto ${pile.name}`}>
      <h2>
        {pile.name}
        {pile.target === null ? null : (
          <span className="quiet">
            {' '}
            {isPieces ? 'each ' : 'a portion '}
            {format.weight(pile.target)}
            {pile.low !== null && pile.high !== null
              ? ` (${format.weight(pile.low)} to ${format.weight(pile.high)})`
              : ''}
          </span>
        )}
      </h2>
      {isPieces && result.mean !== null ? (
        <p className="pieces-sum">
          mean{' '}
          <MaybeFigure
            of={{ group: 'pile', pile: pile.name, figure: 'mean' }}
            value={result.mean}
            word={format.weight}
          />
          {' · '}
          {result.within} in bounds, {result.below} too light, {result.above} too heavy
        </p>
      ) : null}
      {readings.length === 0 ? <p className="quiet">Nothing weighed onto it yet.</p> : null}
      <ol reversed>
        {readings.map((reading) => (
          <Piece
            key={reading.id}
            reading={reading}
            bound={isPieces ? boundOf(reading.grams, pile.low, pile.high) : 'within'}
            words={format.weight(reading.grams)}
            onWithdraw={() => bench.withdraw(reading.id)}
          />
        ))}
      </ol>
    </section>
  )
}

interface PieceProps {
  reading: StandingReading
  bound: PieceBound
  words: string
  onWithdraw: () => void
}

function Piece({ reading, bound, words, onWithdraw }: PieceProps) {
  return (
    <li className={bound === 'within' ? '' : 'out-of-bounds'}>
      <button type="button" onClick={onWithdraw} title="Touch to take it back">
        <span aria-hidden>{MARKS[bound]}</span>
        {words}
        {bound === 'within' ? null : <span className="visually-hidden">, {BOUND_WORDS[bound]}</span>}
        {reading.isKeptHere ? <em> kept here</em> : null}
        <span className="visually-hidden">, take back</span>
      </button>
    </li>
  )
}
