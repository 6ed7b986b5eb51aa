import { type Comparison, orderedPieces } from '@fleam/core/comparison'
import { VERDICT_WORDS } from '@fleam/core/wording'
import { useAppraised } from '../../parts/appraised-context.ts'
import { MaybeFigure } from '../../parts/figure.tsx'

/** Each offer beside what making costs. */
export function Offers() {
  const { appraisal } = useAppraised()
  if (appraisal.comparisons.length === 0) return null
  return (
    <section aria-labelledby="offers">
      <h2 id="offers">Against buying ready</h2>
      {appraisal.comparisons.map((comparison, index) => (
        <OfferSums key={comparison.offer} comparison={comparison} at={index} />
      ))}
    </section>
  )
}

function OfferSums({ comparison, at }: { comparison: Comparison; at: number }) {
  const { document, appraisal, format } = useAppraised()
  const offer = document.offers?.[at]
  const portions = appraisal.piles.find((pile) => pile.name === comparison.pile)?.portions ?? null
  const charges = offer?.extras
    ? `with ${format.money(offer.extras)} of charges over ${format.number(orderedPieces(offer, portions), 0)} pieces`
    : null
  const figure = (
    name: 'plateWeight' | 'pricePerPiece' | 'buyPerPortion' | 'buyPerPortionSameWeight' | 'saving' | 'savingShare',
  ) => ({ group: 'comparison', at, figure: name }) as const
  return (
    <>
      <h3>
        {comparison.offer}{' '}
        <span className={`verdict-word ${comparison.verdict ?? 'none'}`}>
          {VERDICT_WORDS[comparison.verdict ?? 'none']}
        </span>
      </h3>
      <dl className="sums">
        <div>
          <dt>A bought piece</dt>
          <dd>
            {charges === null ? null : <span className="quiet">{charges} </span>}
            <MaybeFigure of={figure('pricePerPiece')} value={comparison.pricePerPiece} word={format.money} />
          </dd>
        </div>
        <div>
          <dt>A portion as offered, handled, rejects paid</dt>
          <dd>
            <MaybeFigure of={figure('buyPerPortion')} value={comparison.buyPerPortion} word={format.money} />
          </dd>
        </div>
        <div>
          <dt>Our plate carries</dt>
          <dd>
            <MaybeFigure of={figure('plateWeight')} value={comparison.plateWeight} word={format.weight} />
          </dd>
        </div>
        <div>
          <dt>The same weight bought</dt>
          <dd>
            <MaybeFigure
              of={figure('buyPerPortionSameWeight')}
              value={comparison.buyPerPortionSameWeight}
              word={format.money}
            />
          </dd>
        </div>
        <div>
          <dt>Making one</dt>
          <dd>
            <MaybeFigure
              of={{ group: 'pile', pile: comparison.pile, figure: 'costPerPortion' }}
              value={comparison.costPerPortion}
              word={format.money}
            />
          </dd>
        </div>
        <div className="sum">
          <dt>Saved by making</dt>
          <dd>
            <MaybeFigure
              of={figure('saving')}
              value={comparison.saving}
              word={format.money}
              className={(comparison.saving ?? 0) > 0 ? 'kept' : ''}
            />
            {comparison.savingShare === null ? null : (
              <>
                {' '}
                <MaybeFigure of={figure('savingShare')} value={comparison.savingShare} word={format.share} />
              </>
            )}
          </dd>
        </div>
      </dl>
    </>
  )
}
