import { type CutPile, expectedUnitWeight, type SettledStyle } from '@fleam/core/style'
import { OpenFigure } from '../../parts/figure.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './style-piles.module.css'

interface StylePilesProps {
  settled: SettledStyle
  /** Usual weight of a unit, grams. */
  usual: number
  unit: string
}

/** What comes off a usual unit: assumed until the kitchen has its own figures. */
export function StylePiles({ settled, usual, unit }: StylePilesProps) {
  const format = useFormat()
  return (
    <section aria-label="Piles">
      <h2>
        What comes off one {unit}{' '}
        <span className="quiet">assumed, {format.quantity(settled.minutesPerUnit, 'minutes')}</span>
      </h2>
      <table className={css.guidePiles}>
        <thead>
          <tr>
            <th scope="col">Pile</th>
            <th scope="col">Use</th>
            <th scope="col">Share</th>
            <th scope="col">Of {format.weight(usual)}</th>
            <th scope="col">Portions</th>
            <th scope="col">Each</th>
            <th scope="col">Mark</th>
          </tr>
        </thead>
        <tbody>
          {settled.piles.map((pile) => (
            <tr key={pile.name}>
              <th scope="row">{pile.name}</th>
              <td>{CLASS_WORDS[pile.class]}</td>
              <td className="number">{pile.expectedShare === null ? '–' : format.share(pile.expectedShare)}</td>
              <td className="number">
                <UnitWeight pile={pile} usual={usual} />
              </td>
              <td className="number">{pile.portionsPerUnit ?? '–'}</td>
              <td className="number">
                {pile.bounds
                  ? `${format.weight(pile.bounds.target)} (${format.weight(pile.bounds.low)} to ${format.weight(pile.bounds.high)})`
                  : '–'}
              </td>
              <td>{format.words(pile.landmark)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

function UnitWeight({ pile, usual }: { pile: CutPile; usual: number }) {
  const format = useFormat()
  const expected = expectedUnitWeight(pile, usual)
  if (!expected) return '–'
  return (
    <OpenFigure explain={() => expected.explanation} format={format}>
      {format.weight(expected.grams)}
    </OpenFigure>
  )
}

const CLASS_WORDS = { primary: 'portions', 'by-product': 'by-product', waste: 'waste' } as const
