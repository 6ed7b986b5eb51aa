import {
  explainBlade,
  explainOffTarget,
  explainRackWeight,
  explainSpread,
  type Rack,
  type RackPlan,
  type RackRequest,
  type RibRef,
  rackCuts,
} from '@fleam/core/portioning'
import { Explained } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import knifeCss from './knife.module.css'
import css from './rack-answer.module.css'
import { MIN_OUT, RackDrawing } from './rack-drawing.tsx'

/** Portions, cuts and what is left over of the racks. */
export function RackAnswer({ request, plan }: { request: RackRequest; plan: RackPlan }) {
  const format = useFormat()
  const ribWords = (refs: readonly RibRef[]) =>
    refs.map(([rack, rib]) => (request.racks.length > 1 ? `${rack + 1}/${rib + 1}` : String(rib + 1))).join(', ')
  const within = plan.portions.filter(({ weight }) => weight >= request.low && weight <= request.high).length
  return (
    <>
      <p className={knifeCss.forecastSentence}>
        {plan.portions.length} portions, <strong>{within}</strong> within {format.weight(request.low)} to{' '}
        {format.weight(request.high)}
        {plan.spread === null ? '.' : '; heaviest less lightest '}
        {plan.spread === null ? null : (
          <Explained explanation={explainSpread(plan.portions.map(({ weight }) => weight))} format={format} />
        )}
        {plan.spreadStraight === null || plan.spread === null
          ? ''
          : `, cut straight ${format.weight(plan.spreadStraight)}.`}
      </p>
      {request.racks.map((rack, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: racks are told by their place on the board
        <div key={index}>
          <div className={css.rackFrame}>
            <RackDrawing rack={rack} at={index} plan={plan} />
          </div>
          <RackCuts rack={rack} boundaries={plan.boundaries[index] ?? []} />
        </div>
      ))}
      <SmallTable heads={['Plate', 'Ribs, from the loin end', numbers('Weighs'), numbers('Off the target')]} responsive>
        {plan.portions.map((portion, index) => (
          <tr key={portion.bones.join(' ')}>
            <th scope="row">{index + 1}</th>
            <td>{ribWords(portion.bones)}</td>
            <td className="number">
              <Explained explanation={explainRackWeight(request, plan, portion)} format={format} />
            </td>
            <td className="number">
              <Explained explanation={explainOffTarget(request, portion)} format={format} />
            </td>
          </tr>
        ))}
      </SmallTable>
      {plan.left.length > 0 ? (
        <p>
          Left over: {ribWords(plan.left)}. Odd ribs make a tasting plate, a staff meal, or go with the next rack: lay
          it beside this one.
        </p>
      ) : null}
    </>
  )
}

/** Each cut in words: after which rib, and where a blade that leans comes out. */
function RackCuts({ rack, boundaries }: { rack: Rack; boundaries: readonly number[] }) {
  const format = useFormat()
  return (
    <ul className={css.rackCuts}>
      {rackCuts(rack, boundaries).map((cut) => (
        <li key={cut.gap}>
          after rib {cut.gap}:{' '}
          {Math.abs(cut.out) < MIN_OUT ? (
            'straight'
          ) : (
            <>
              out <Explained explanation={explainBlade(rack, cut)} format={format} /> towards the{' '}
              {cut.out < 0 ? 'loin end' : 'thin end'}
            </>
          )}
        </li>
      ))}
    </ul>
  )
}
