import type { PlatePiece } from '@fleam/core'
import Button from 'react-bootstrap/Button'
import { useFormat } from '../../parts/use-format.ts'

interface PlatePiecesProps {
  pieces: readonly PlatePiece[]
  /** Number of a piece's plate, from zero; null where it has none. */
  plateOf: (id: string) => number | null
  /** Whether its plate has all that it takes. */
  isWhole: (id: string) => boolean
  onRemove: (id: string) => void
  onClear: () => void
}

/** The pieces as they were weighed, each with the number of its plate. */
export function PlatePieces({ pieces, plateOf, isWhole, onRemove, onClear }: PlatePiecesProps) {
  const format = useFormat()
  if (pieces.length === 0) {
    return (
      <p className="quiet">Weigh the pieces one after the other; each gets its plate’s number as soon as it has one.</p>
    )
  }
  return (
    <section aria-labelledby="pieces-weighed">
      <h2 id="pieces-weighed">{pieces.length} weighed</h2>
      <ul className="plate-pieces">
        {pieces.map((piece) => (
          <li key={piece.id}>
            <span className="quiet">no. {piece.id}</span> {piece.kind === 'piece' ? '' : piece.kind}{' '}
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

const plateWords = (plate: number | null): string => (plate === null ? 'left over' : `plate ${plate + 1}`)
