import {
  type BondedFigure,
  type BondedPlan,
  type BondedRequest,
  explainBonded,
  judgeCuts,
} from '@fleam/core/portioning'
import type { ReactNode } from 'react'
import { Explained } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { Board } from './board.tsx'
import css from './knife.module.css'

interface BondedAnswerProps {
  request: BondedRequest
  plan: BondedPlan
}

/** The log on the board, and what it brings beside both pieces alone. */
export function BondedAnswer({ request, plan }: BondedAnswerProps) {
  const format = useFormat()
  const log = { ...request, piece: plan.piece }
  const { alone, bonded } = plan
  const figure = (name: BondedFigure) => <Explained explanation={explainBonded(request, plan, name)} format={format} />
  return (
    <>
      <p className={css.forecastSentence}>
        The second lies turned round beside the first from {format.length(plan.offset)} on, overlapping by{' '}
        {format.length(plan.overlap)}. So they give <strong>{bonded.pieces.length}</strong> portions, alone{' '}
        {alone[0].pieces.length} and {alone[1].pieces.length}. With {figure('enzyme-grams')} of enzyme, film and work
        for {figure('cost')}, {plan.gain >= 0 ? 'bonding keeps' : 'the log is worth less than both alone:'}{' '}
        <strong className={plan.gain > 0 ? 'kept' : ''}>{figure('gain')}</strong>. It sets for {plan.settingHours} hours
        in the cold.
      </p>
      <BreakEven share={plan.breakEvenShare}>{figure('break-even-share')}</BreakEven>
      <Board request={log} judged={judgeCuts(log, bonded.cuts)} lines={bonded.cuts} onLines={null} />
      <SmallTable
        heads={[
          'Cut as',
          'Portions',
          numbers('Worth'),
          numbers('Enzyme, film, labour'),
          numbers('Left over'),
          numbers('Scrap'),
        ]}
        responsive
      >
        <tr>
          <th scope="row">one log</th>
          <td>{portionWords([bonded])}</td>
          <td className="number">{figure('bonded-value')}</td>
          <td className="number">{figure('cost')}</td>
          <td className="number">{figure('net')}</td>
          <td className="number">{figure('bonded-scrap')}</td>
        </tr>
        <tr>
          <th scope="row">two alone</th>
          <td>{portionWords(alone)}</td>
          <td className="number">{figure('alone-value')}</td>
          <td className="number">–</td>
          <td className="number">{figure('alone-value')}</td>
          <td className="number">{figure('alone-scrap')}</td>
        </tr>
      </SmallTable>
    </>
  )
}

interface BreakEvenProps {
  share: number | null
  /** The share as a figure that opens. */
  children: ReactNode
}

/** Below which price beside the intact portion bonding stops paying. */
function BreakEven({ share, children }: BreakEvenProps) {
  if (share === null) return null
  if (share <= 0) return <p>Bonding pays whatever a formed portion is sold for.</p>
  if (share > 1) return <p>Bonding does not pay, even with a formed portion sold at the price of an intact one.</p>
  return <p>Bonding pays as long as a formed portion is worth more than {children} of an intact one.</p>
}

function portionWords(plans: readonly BondedPlan['bonded'][]): string {
  const counts = new Map<string, number>()
  for (const { pieces } of plans) for (const { product } of pieces) counts.set(product, (counts.get(product) ?? 0) + 1)
  return [...counts].map(([product, count]) => `${count} ${product}`).join(', ')
}
