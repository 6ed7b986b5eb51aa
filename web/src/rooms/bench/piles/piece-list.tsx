import { boundOf, type PieceBound, type PileResult } from '@fleam/core/costing'
import { explainPieceMean } from '@fleam/core/explanation'
import { piecesIn } from '@fleam/core/fabrication'
import Button from 'react-bootstrap/Button'
import type { StandingReading } from '../../../outbox/merge.ts'
import { useAppraised } from '../../../parts/appraised-context.ts'
import { Explained, MaybeFigure } from '../../../parts/figure.tsx'
import type { Format } from '../../../parts/use-format.ts'
import type { Bench } from '../state/use-bench.ts'
import css from './piece-list.module.css'
import { ChangePile } from './pile-buttons.tsx'
import { PlatesLine } from './plates-line.tsx'
import { usePlates } from './use-plates.ts'

const MARKS: Readonly<Record<PieceBound, string>> = { below: '▽', within: '', above: '△' }
const BOUND_WORDS: Readonly<Record<PieceBound, string>> = { below: 'too light', within: '', above: 'too heavy' }

/** A batch of a hundred birds has more pieces than anybody looks at; all of them count. */
const MAX_SHOWN = 48

/** The weighings of the active pile, newest first; each can be taken back or moved. */
export function PieceList({ bench }: { bench: Bench }) {
  const { appraisal, format } = useAppraised()
  const { activePile: pile, live } = bench
  const plates = usePlates(live)
  const result = appraisal.piles.find((other) => other.name === pile.name) as PileResult
  const readings = live.standing.filter((reading) => reading.pileId === pile.id).reverse()
  const isPieces = pile.weighing === 'pieces'
  const pieces = bench.progress.counts.get(pile.id) ?? 0
  // The pile that comes next is shown, but a slip is noticed just after: the last weighing stays in reach.
  const last = live.standing.findLast((reading) => reading.isMine)
  const lastPile = live.record.piles.find((pile) => pile.id === last?.pileId)
  return (
    <section className={css.pieces} aria-label={`Weighed onto ${pile.name}`}>
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
        )}{' '}
        {live.record.status === 'open' ? <ChangePile key={pile.id} live={live} pile={pile} /> : null}
      </h2>
      {isPieces && result.mean === null && pieces > 0 ? (
        <p className={css.piecesSum}>
          {pieces} pieces,{' '}
          <Explained explanation={explainPieceMean(pile.name, result.weight, pieces)} format={format} /> on average;
          weighed together, so none is judged by itself
        </p>
      ) : null}
      {isPieces && result.mean !== null ? (
        <p className={css.piecesSum}>
          on average{' '}
          <MaybeFigure
            of={{ group: 'pile', pile: pile.name, figure: 'mean' }}
            value={result.mean}
            word={format.weight}
          />
          {' · '}
          {result.within} in bounds, {result.below} too light, {result.above} too heavy
        </p>
      ) : null}
      {plates && live.record.status === 'open' ? <PlatesLine plates={plates} fabricationId={live.record.id} /> : null}
      {readings.length === 0 ? <p className="quiet">Nothing weighed onto it yet.</p> : null}
      <ol reversed>
        {last && lastPile && last.pileId !== pile.id ? (
          <Piece
            key={last.id}
            reading={last}
            bound="within"
            words={`just now ${wordsOf(last, format)} ${lastPile.name}`}
            plate={plates?.numberOf(last.id) ?? null}
            isPicked={last.id === bench.picked?.id}
            onPick={() => bench.pick(last.id)}
          />
        ) : null}
        {readings.slice(0, MAX_SHOWN).map((reading) => (
          <Piece
            key={reading.id}
            reading={reading}
            bound={isPieces && piecesIn(pile, reading) === 1 ? boundOf(reading.grams, pile.low, pile.high) : 'within'}
            words={wordsOf(reading, format)}
            plate={plates?.numberOf(reading.id) ?? null}
            isPicked={reading.id === bench.picked?.id}
            onPick={() => bench.pick(reading.id)}
          />
        ))}
      </ol>
      {readings.length > MAX_SHOWN ? <p className="quiet">and {readings.length - MAX_SHOWN} earlier ones</p> : null}
      {bench.picked ? <PickedActions bench={bench} words={wordsOf(bench.picked, format)} /> : null}
    </section>
  )
}

function wordsOf({ grams, pieces }: StandingReading, format: Format): string {
  // What an outbox of the version before still holds says nothing of pieces.
  return (pieces ?? 1) === 1 ? format.weight(grams) : `${format.weight(grams)} for ${pieces}`
}

/** What can be done with the weighing that was picked. */
function PickedActions({ bench, words }: { bench: Bench; words: string }) {
  const { picked } = bench
  if (!picked) return null
  const cook = picked.cookId === null ? undefined : bench.live.cookName(picked.cookId)
  return (
    <p className={css.picked}>
      <span>
        {words}
        {cook ? ` by ${cook}` : ''}: touch the pile it belongs to, or
      </span>
      <Button variant="outline-dark" onClick={() => bench.withdraw(picked.id)}>
        Delete this weight
      </Button>
      <Button variant="outline-dark" onClick={() => bench.pick(null)}>
        Cancel
      </Button>
    </p>
  )
}

interface PieceProps {
  reading: StandingReading
  bound: PieceBound
  words: string
  /** Number of its plate; null where it has none. */
  plate: number | null
  isPicked: boolean
  onPick: () => void
}

function Piece({ reading, bound, words, plate, isPicked, onPick }: PieceProps) {
  return (
    <li className={bound === 'within' ? '' : css.outOfBounds}>
      <button type="button" aria-pressed={isPicked} onClick={onPick} title="Touch to delete it or to move it">
        <span aria-hidden>{MARKS[bound]}</span>
        {words}
        {bound === 'within' ? null : <span className="visually-hidden">, {BOUND_WORDS[bound]}</span>}
        {plate === null ? null : <strong> plate {plate}</strong>}
        {reading.isKeptHere ? <em> kept here</em> : null}
        <span className="visually-hidden">, delete or move</span>
      </button>
    </li>
  )
}
