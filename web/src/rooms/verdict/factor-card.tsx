import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { appraise, factorReach } from '@fleam/core/appraisal'
import { type Explanation, evaluate, explain, reachFigure } from '@fleam/core/explanation'
import { documentOf } from '@fleam/core/fabrication'
import Button from 'react-bootstrap/Button'
import { Link, useParams } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useEvidence, useFabrication } from '../../data/queries.ts'
import { dateWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './factor-card.module.css'

/** A card for the office wall: a new price times the factor is what a portion costs. */
export function Component() {
  const { id = '' } = useParams()
  const fabrication = useFabrication(id)
  if (fabrication.data) return <FactorCard state={fabrication.data} />
  if (fabrication.isError) return <Failed error={fabrication.error} retry={() => void fabrication.refetch()} />
  return <Loading what="the card" />
}

function FactorCard({ state }: { state: FabricationState }) {
  const { record } = state
  const { name } = useKitchen()
  const format = useFormat(record.currency)
  const tests = useEvidence(record.id).data?.tests.length ?? 0
  const document = documentOf(record, state.facts)
  const appraisal = appraise(document)
  const reaches = factorReach(document, appraisal)
  const open = (explanation: Explanation | null, words: (value: number) => string) =>
    explanation && (
      <OpenFigure explain={() => explanation} format={format}>
        {words(evaluate(explanation.expression))}
      </OpenFigure>
    )
  return (
    <div className={`room ${css.factorCard}`}>
      <div className="room-heading">
        <h1>Cost factors: {record.item}</h1>
        <Button className="no-print" onClick={() => window.print()}>
          Print
        </Button>
        <Link className="btn btn-outline-dark no-print" to={`/verdict/${record.id}`}>
          Back to the verdict
        </Link>
      </div>
      <p>
        {name}. {record.style}, weighed on {dateWords(record.date)}; {tests === 1 ? 'one test' : `${tests} tests`} of
        this style so far. Made when a {format.perWeightUnit} cost {format.perWeightAmount(appraisal.cost.apPricePerKg)}
        , charges in.
      </p>
      <SmallTable
        heads={[
          'A portion of',
          numbers(`Price a ${format.perWeightUnit}, times`),
          numbers('Costs now'),
          'Within 2 % of the full sum',
        ]}
        responsive
      >
        {reaches.map((reach) => (
          <tr key={reach.pile}>
            <th scope="row">{reach.pile}</th>
            <td className={`number ${css.factor}`}>
              {open(
                explain(document, appraisal, { group: 'pile', pile: reach.pile, figure: 'factorPerPortion' }),
                (factor) => format.quantity(factor, 'factor-per-kg'),
              )}
            </td>
            <td className="number">
              {open(
                explain(document, appraisal, { group: 'pile', pile: reach.pile, figure: 'costPerPortion' }),
                format.money,
              )}
            </td>
            <td>
              from {open(reachFigure(reach, 'from'), format.perWeight) ?? format.perWeight(reach.from)}{' '}
              {reach.to === null ? 'up' : <>to {open(reachFigure(reach, 'to'), format.perWeight)}</>}
            </td>
          </tr>
        ))}
      </SmallTable>
      <p className="quiet">
        Beyond those prices sum it in full: {format.words('labour')} and by-products do not move with the price, and the
        factor moves them.
      </p>
    </div>
  )
}
