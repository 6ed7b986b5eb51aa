import {
  explainGivenAwayOf,
  explainJudged,
  explainMeanOf,
  explainScrapRequest,
  explainTogether,
  type JudgedCuts,
  judgeCuts,
  type PortionPlan,
  type PortionRequest,
} from '@fleam/core/portioning'
import { memo, useMemo } from 'react'
import Button from 'react-bootstrap/Button'
import { Explained, OpenFigure } from '../../parts/figure.tsx'
import { numbers, SmallTable, unseen } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import type { NamedPlan } from './use-plans.ts'

interface PlansTableProps {
  plans: readonly NamedPlan[]
  /** The lines as they lie on the board; null while none do. */
  judged: JudgedCuts | null
  request: PortionRequest
  onTake: (cuts: readonly number[]) => void
}

/** Up to four plans beside what lies on the board: portions, money, what is given away and what is scrap. */
export function PlansTable({ plans, judged, request, onTake }: PlansTableProps) {
  const planned = useMemo(
    () => plans.map(({ name, plan, request: asked }) => ({ name, plan, judged: judgeCuts(asked, plan.cuts) })),
    [plans],
  )
  const scrapPerKg = request.scrap.valuePerKg
  return (
    <section aria-labelledby="plans">
      <h2 id="plans">Plans side by side</h2>
      <SmallTable
        heads={['Plan', 'Portions', numbers('Worth'), numbers('Overweight cost'), numbers('Scrap'), unseen('Do')]}
        responsive
      >
        {judged ? (
          <PlanRow name="on the board" plan={null} judged={judged} onTake={onTake} scrapPerKg={scrapPerKg} />
        ) : null}
        {planned.map((row) => (
          <PlanRow key={row.name} {...row} onTake={onTake} scrapPerKg={scrapPerKg} />
        ))}
      </SmallTable>
      {plans[0] ? <PlanWords plan={plans[0].plan} request={plans[0].request} /> : null}
    </section>
  )
}

interface PlanRowProps {
  name: string
  plan: PortionPlan | null
  judged: JudgedCuts
  scrapPerKg: number
  onTake: (cuts: readonly number[]) => void
}

/** Only the row of the board changes while a line is dragged. */
const PlanRow = memo(function PlanRow({ name, plan, judged, scrapPerKg, onTake }: PlanRowProps) {
  const format = useFormat()
  const counts = new Map<string, number>()
  for (const { product } of judged.parts) if (product !== null) counts.set(product, (counts.get(product) ?? 0) + 1)
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>{[...counts].map(([product, count]) => `${count} ${product}`).join(', ') || 'none: it is all scrap'}</td>
      <td className="number">
        <OpenFigure explain={() => explainJudged(judged, scrapPerKg, 'value')} format={format}>
          {format.money(judged.value)}
        </OpenFigure>
      </td>
      <td className="number">
        <OpenFigure explain={() => explainJudged(judged, scrapPerKg, 'givenAway')} format={format}>
          {format.money(judged.givenAway)}
        </OpenFigure>
      </td>
      <td className="number">
        <OpenFigure explain={() => explainJudged(judged, scrapPerKg, 'scrapWeight')} format={format}>
          {format.weight(judged.scrapWeight)}
        </OpenFigure>
      </td>
      <td>
        {plan ? (
          <Button size="sm" variant="outline-dark" aria-label={`Lay out ${name}`} onClick={() => onTake(plan.cuts)}>
            Lay it out
          </Button>
        ) : null}
      </td>
    </tr>
  )
})

/** What a plan could not meet, and what a request for scrap costs. */
function PlanWords({ plan, request }: { plan: PortionPlan; request: PortionRequest }) {
  const format = useFormat()
  const { unmet, scrapRequest, spreads, together } = plan
  const { products } = request
  const sameThickness = request.together?.thickness
  return (
    <>
      {unmet.map(({ product, min }) => (
        <p key={product} className="refusal" role="alert">
          {min} of {product} cannot be met with this piece.
        </p>
      ))}
      {scrapRequest ? (
        <p>
          {scrapRequest.isMet ? (
            <>
              That much scrap costs <Explained explanation={explainScrapRequest(plan)} format={format} />.
            </>
          ) : (
            'That much scrap cannot be had from this piece.'
          )}
        </p>
      ) : null}
      {together && together.costs > 0 ? (
        <p>
          Equal portions lie side by side, and nearer to each other in thickness: that costs{' '}
          <Explained explanation={explainTogether(plan)} format={format} />.
        </p>
      ) : null}
      {together && sameThickness !== undefined && together.thicknessApart > sameThickness ? (
        <p className="quiet">
          No plan that brings nearly as much keeps all portions of one kind within {format.length(sameThickness)} of
          each other in thickness.
        </p>
      ) : null}
      {products.map((product) => {
        const spread = spreads.find((spread) => spread.product === product.name)
        if (!spread || spread.count < 2) return null
        return (
          <p key={product.name} className="quiet">
            {product.name}: {spread.count} of {format.weight(spread.lightest)} to {format.weight(spread.heaviest)},{' '}
            {format.lengthAmount(spread.thinnest)} to {format.length(spread.thickest)} thick,{' '}
            <Explained explanation={explainMeanOf(plan, product.name)} format={format} /> on average; what is over gives
            away <Explained explanation={explainGivenAwayOf(plan, product)} format={format} />.
          </p>
        )
      })}
    </>
  )
}
