import type { PlatePiece } from '@fleam/core/plating'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useFormat } from '../../parts/use-format.ts'
import css from './plate-pieces.module.css'

interface PlatePiecesProps {
  pieces: readonly PlatePiece[]
  /** Number of a piece's plate, from zero; null where it has none. */
  plateOf: (id: string) => number | null
  /** Whether its plate has all that it takes. */
  isWhole: (id: string) => boolean
  /** Kinds that a plate asks for; a piece that was called the wrong one is called another without weighing again. */
  kinds: readonly string[]
  onKind: (id: string, kind: string) => void
  onRemove: (id: string) => void
  onClear: () => void
}

/** The pieces as they were weighed, each with the number of its plate. */
export function PlatePieces({ pieces, plateOf, isWhole, kinds, onKind, onRemove, onClear }: PlatePiecesProps) {
  const format = useFormat()
  if (pieces.length === 0) {
    return (
      <p className="quiet">Weigh the pieces one after the other; each gets its plate’s number as soon as it has one.</p>
    )
  }
  return (
    <section aria-labelledby="pieces-weighed">
      <h2 id="pieces-weighed">{pieces.length} weighed</h2>
      <ul className={css.platePieces}>
        {pieces.map((piece) => (
          <li key={piece.id}>
            <span className="quiet">no. {piece.id}</span>{' '}
            <PieceKind piece={piece} kinds={kinds} onKind={(kind) => onKind(piece.id, kind)} />{' '}
            {format.weight(piece.weight)} <strong>{plateWords(plateOf(piece.id))}</strong>
            {plateOf(piece.id) === null || isWhole(piece.id) ? null : <span className="quiet"> waits for more</span>}
            <Button
              size="sm"
              variant="outline-dark"
              className="no-print"
              aria-label={`Take no. ${piece.id} away`}
              onClick={() => onRemove(piece.id)}
            >
              Take away
            </Button>
          </li>
        ))}
      </ul>
      <div className="actions no-print">
        <Button size="sm" variant="outline-dark" onClick={onClear}>
          Clear the table
        </Button>
        <Button size="sm" variant="outline-dark" onClick={() => window.print()}>
          Print
        </Button>
      </div>
    </section>
  )
}

interface PieceKindProps {
  piece: PlatePiece
  kinds: readonly string[]
  onKind: (kind: string) => void
}

function PieceKind({ piece: { id, kind }, kinds, onKind }: PieceKindProps) {
  const choices = [...new Set([...kinds, kind])]
  if (choices.length < 2) return kind === 'piece' ? null : kind
  return (
    <Form.Select
      size="sm"
      aria-label={`Kind of no. ${id}`}
      value={kind}
      onChange={(event) => onKind(event.target.value)}
    >
      {choices.map((choice) => (
        <option key={choice}>{choice}</option>
      ))}
    </Form.Select>
  )
}

const plateWords = (plate: number | null): string => (plate === null ? 'left over' : `plate ${plate + 1}`)
