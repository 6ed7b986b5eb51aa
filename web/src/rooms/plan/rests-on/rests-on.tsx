import { FoldedPart, useOpenParts } from '../../../parts/folded.tsx'
import { Cuts } from './cuts.tsx'
import { Days } from './days.tsx'
import { Keeping } from './keeping.tsx'
import { Prices } from './prices.tsx'
import { StockTable } from './stock-table.tsx'
import type { RestsOnProps } from './value-cell.tsx'

/** Everything that the plan takes from the kitchen, with where it is from; each can be said otherwise for this plan alone. */
export function RestsOn({ state, goods }: RestsOnProps) {
  const parts = useOpenParts('plan')
  return (
    <section aria-labelledby="plan-rests" className="no-print">
      <h2 id="plan-rests">Inputs</h2>
      <FoldedPart part={{ id: 'cuts', title: 'Yields and minutes' }} parts={parts}>
        <Cuts state={state} goods={goods} />
      </FoldedPart>
      <FoldedPart part={{ id: 'prices', title: 'Prices' }} parts={parts}>
        <Prices state={state} goods={goods} />
      </FoldedPart>
      <FoldedPart part={{ id: 'days', title: 'Who comes when, and hours at the board' }} parts={parts}>
        <Days state={state} goods={goods} />
      </FoldedPart>
      <FoldedPart part={{ id: 'cold', title: 'Cold store' }} parts={parts}>
        <StockTable state={state} goods={goods} />
      </FoldedPart>
      <FoldedPart part={{ id: 'keeping', title: 'How long it keeps, and what is over is worth' }} parts={parts}>
        <Keeping state={state} goods={goods} />
      </FoldedPart>
    </section>
  )
}
