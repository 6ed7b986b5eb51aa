import type { FigureRef } from '@fleam/core/explanation'
import { checkClaim } from '@fleam/core/fabrication'
import { useAppraised } from '../../parts/appraised-context.ts'
import { Figure } from '../../parts/figure.tsx'
import css from './claim-strip.module.css'

const DEFINITIONS = [
  ['portionYield', 'portion yield'],
  ['drainedYield', 'drained yield'],
  ['utilisation', 'utilisation'],
] as const

/** The claim as a line through the three yields on one scale from nothing to everything: which does it meet? */
export function ClaimStrip({ claimed }: { claimed: number }) {
  const { appraisal, format } = useAppraised()
  const { fits, tolerance } = checkClaim(claimed, appraisal.weights)
  const percent = (share: number) => `${Math.min(100, Math.max(0, share * 100))}%`
  return (
    <table className={css.claimStrip}>
      <caption className="visually-hidden">
        The claim of {format.share(claimed)} beside each definition of yield; a definition fits within{' '}
        {format.share(tolerance)}.
      </caption>
      <tbody>
        {DEFINITIONS.map(([definition, name]) => {
          const share = appraisal.weights[definition]
          const of: FigureRef = { group: 'weights', figure: definition }
          return (
            <tr key={definition} className={fits.includes(definition) ? css.fits : ''}>
              <th scope="row">{format.words(name)}</th>
              <td>
                <div className={css.claimTrack}>
                  <div className={css.claimYield} style={{ width: percent(share) }} />
                  <div
                    className={css.claimBand}
                    style={{ left: percent(claimed - tolerance), width: percent(2 * tolerance) }}
                  />
                </div>
              </td>
              <td className="number">
                <Figure of={of}>{format.share(share)}</Figure>
              </td>
              <td>{fits.includes(definition) ? 'fits' : ''}</td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
