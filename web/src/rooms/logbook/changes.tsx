import type { LogbookChanges } from '@fleam/contract/logbook/schemas'
import { explainChange, explainChangeMoney } from '@fleam/core/logbook'
import { attributionWords } from '@fleam/core/wording'
import { useLogbookChanges } from '../../data/logbook-queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { useFormat } from '../../parts/use-format.ts'
import { Answer, waitingFor } from './answer.tsx'
import { MaybeOpened } from './maybe-opened.tsx'

type Change = LogbookChanges['changes'][number]

/** What is not what it was, beyond what chance would do; and that nothing is, where nothing is. */
export function Changes() {
  const asked = useLogbookChanges()
  const { changes = [], tests = 0 } = asked.data ?? {}
  return (
    <Answer id="changes" question="What changed" waiting={waitingFor('what changed', asked)}>
      {changes.length === 0 ? (
        <p>
          {tests === 0
            ? 'Too few records yet to say: it takes four of a style, a cook or a supplier in the last four weeks, and four in the twelve before.'
            : `Nothing changed in the last four weeks beyond chance: ${tests} comparisons with the twelve weeks before.`}
        </p>
      ) : (
        <ul>
          {changes.map((change) => (
            <li key={`${change.of} ${change.key} ${change.what}`}>
              <ChangeWords change={change} />
            </li>
          ))}
        </ul>
      )}
    </Answer>
  )
}

function ChangeWords({ change }: { change: Change }) {
  const format = useFormat()
  const { name, of, what, difference, recent, before, moneyPerWeek, since } = change
  const isMore = difference > 0
  const amount =
    what === 'portion-yield'
      ? `${format.number(Math.abs(difference) * 100, 1)} points`
      : `${format.number(Math.abs(difference), 1)} minutes a unit`
  return (
    <>
      <strong>{name}</strong> {what === 'minutes' ? 'takes' : of === 'cook' ? 'gets' : 'gives'}{' '}
      <MaybeOpened explanation={explainChange(change)}>{amount}</MaybeOpened> {isMore ? 'more' : 'less'} since{' '}
      {dayWords(since)}
      {of === 'style' ? '' : ', compared with the same cuts'}
      {moneyPerWeek === null ? null : (
        <>
          :{' '}
          <strong className={isMore ? 'kept' : ''}>
            <MaybeOpened explanation={explainChangeMoney(change)}>{format.money(Math.abs(moneyPerWeek))}</MaybeOpened> a
            week
          </strong>
        </>
      )}
      . {change.attributions.map((attribution) => `${attributionWords(attribution)} `)}
      <span className="quiet">
        {recent.records} records against {before.records} before.
      </span>
    </>
  )
}
