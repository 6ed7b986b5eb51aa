import { explainPlate, explainPlating, type PlatePiece, type Plating } from '@fleam/core/plating'
import { Explained } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './knife.module.css'

interface PlatesAnswerProps {
  pieces: readonly PlatePiece[]
  plating: Plating
  /** Plates were numbered one piece after the other: what could have been matched at the end is not known. */
  isAsWeighed: boolean
}

/** The plates that were made, how fair they are, and how far off the best they may be. */
export function PlatesAnswer({ pieces, plating, isAsWeighed }: PlatesAnswerProps) {
  const format = useFormat()
  const { plates, left, gap } = plating
  return (
    <>
      <p className={css.forecastSentence}>
        <strong>{plates.length}</strong> {plates.length === 1 ? 'plate' : 'plates'}
        {plates.length === 0 ? '' : ' of '}
        {plates.length === 0 ? null : (
          <>
            <Explained explanation={explainPlating(plating, 'mean')} format={format} /> on average; heaviest less
            lightest <Explained explanation={explainPlating(plating, 'spread')} format={format} />, heaviest ÷ lightest{' '}
            <Explained explanation={explainPlating(plating, 'fairness')} format={format} />
          </>
        )}
        . {left.length > 0 ? `${left.length} ${isAsWeighed ? 'wait for their like' : 'left over'}. ` : ''}
        <span className="quiet">
          {gap === 0 ? 'No better way is possible.' : `Within ${format.share(gap)} of the best there could be.`}
        </span>
      </p>
      <SmallTable heads={['Plate', 'Pieces', numbers('Weighs')]} responsive>
        {plates.map((plate, index) => (
          <tr key={plate.ids.join(' ')}>
            <th scope="row">{index + 1}</th>
            <td>{plate.ids.map((id) => wordsOf(pieces, id, format.weight)).join(' + ')}</td>
            <td className="number">
              <Explained explanation={explainPlate(pieces, plate)} format={format} />
            </td>
          </tr>
        ))}
      </SmallTable>
    </>
  )
}

function wordsOf(pieces: readonly PlatePiece[], id: string, weight: (grams: number) => string): string {
  const piece = pieces.find((piece) => piece.id === id)
  if (!piece) return id
  return ['no.', id, ...(piece.kind === 'piece' ? [] : [piece.kind]), weight(piece.weight)].join(' ')
}
