import type { LogbookSummaryAnswer } from '@fleam/contract/logbook/schemas'
import { explainMoneyView, type RecordMoney } from '@fleam/core/logbook'
import { LOST_WORDS } from '@fleam/core/wording'
import { OpenFigure } from './figure.tsx'
import { useFormat } from './use-format.ts'

const LOST_VIEWS_SAID = Object.keys(LOST_WORDS) as (keyof typeof LOST_WORDS)[]

/** Where money of a record can be lost, and how a cook calls it. */
export const LOST_AS = LOST_VIEWS_SAID.map((view) => ({ view, words: LOST_WORDS[view] }))

/** What was lost, most first. */
export const lostIn = ({ all }: LogbookSummaryAnswer) =>
  LOST_AS.map((way) => ({ ...way, amount: all.money[way.view] }))
    .filter(({ amount }) => amount > 0)
    .sort((a, b) => b.amount - a.amount)

interface BroughtMoneyProps {
  summary: LogbookSummaryAnswer
  view: keyof RecordMoney
}

/** A view of money that opens to what each group has in it. */
export function BroughtMoney({ summary: { all, groups }, view }: BroughtMoneyProps) {
  const format = useFormat()
  return (
    <OpenFigure explain={() => explainMoneyView(view, groups)} format={format}>
      {format.money(Math.abs(all.money[view]))}
    </OpenFigure>
  )
}

/** What cutting it ourselves brought, and what most was lost as: a sentence whose figures open. */
export function Brought({ summary }: { summary: LogbookSummaryAnswer }) {
  const { all } = summary
  const isKept = all.money.saved >= 0
  const [most] = lostIn(summary)
  return (
    <>
      Cutting it ourselves {isKept ? 'brought' : 'cost'}{' '}
      <strong className={isKept ? 'kept' : ''}>
        <BroughtMoney summary={summary} view="saved" />
      </strong>
      {isKept ? ' against buying ready' : ' more than buying ready'}, over {all.records}{' '}
      {all.records === 1 ? 'record' : 'records'} for which <BroughtMoney summary={summary} view="spent" /> was spent.
      {most ? (
        <>
          {' '}
          Most was lost as {most.words}:{' '}
          <strong>
            <BroughtMoney summary={summary} view={most.view} />
          </strong>
          .
        </>
      ) : null}
    </>
  )
}
