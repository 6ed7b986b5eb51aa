import { type Appraised, AppraisedContext, useAppraised } from '../../../parts/appraised-context.ts'
import { Figure, MaybeFigure } from '../../../parts/figure.tsx'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'
import css from './running.module.css'

interface RunningProps {
  live: LiveFabrication
  expected: Appraised
}

/** How it goes: yield so far, and what a portion will cost if the rest comes out as expected. */
export function Running({ live, expected }: RunningProps) {
  const { appraisal, format } = useAppraised()
  return (
    <section className={css.running} aria-label="How it goes">
      <dl>
        <div>
          <dt>Portion yield so far</dt>
          <dd>
            <Figure of={{ group: 'weights', figure: 'portionYield' }}>
              {format.share(appraisal.weights.portionYield)}
            </Figure>
          </dd>
        </div>
        <div>
          <dt>Not weighed yet</dt>
          <dd>
            <Figure of={{ group: 'weights', figure: 'unaccounted' }}>
              {format.weight(appraisal.weights.unaccounted)}
            </Figure>
          </dd>
        </div>
        {live.record.priceFrom === 'none' ? (
          <div>
            <dt>No portion cost yet</dt>
            <dd>no price is known</dd>
          </div>
        ) : (
          <HeadingFor expected={expected} />
        )}
      </dl>
    </section>
  )
}

/** Cost per portion of the first portion pile, the piles that are not weighed yet counted as expected. */
function HeadingFor({ expected }: { expected: Appraised }) {
  const pile = expected.appraisal.piles.find((pile) => pile.class === 'primary')
  if (!pile) return null
  return (
    <AppraisedContext value={expected}>
      <div>
        <dt>Cost per portion, {pile.name}, the rest as expected</dt>
        <dd>
          <MaybeFigure
            of={{ group: 'pile', pile: pile.name, figure: 'costPerPortion' }}
            value={pile.costPerPortion}
            word={expected.format.money}
          />
        </dd>
      </div>
    </AppraisedContext>
  )
}
