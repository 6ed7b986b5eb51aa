import type { LogbookLearning } from '@fleam/contract/logbook/findings'
import { explainImprovement, explainPractice } from '@fleam/core/logbook'
import { useLogbookLearning } from '../../data/logbook-queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { useFormat } from '../../parts/use-format.ts'
import { Answer, waitingFor } from './answer.tsx'
import { MaybeOpened } from './maybe-opened.tsx'
import type { LogbookView } from './use-view.ts'

type Improving = LogbookLearning['improving'][number]
type Practice = LogbookLearning['practice'][number]

/** So many are named: what pays most comes first. */
const MAX_NAMED = 2
/** Money a week, below which others are not named. */
const WORTH_A_WORD = 1

/** Which cook has come how far, and where practice would pay most. */
export function CooksAnswer({ view }: { view: LogbookView }) {
  const { from: _from, to: _to, ...always } = view.filters
  // How far somebody has come is a matter of all she ever cut; what practice would pay one of the span looked at.
  const learnt = useLogbookLearning(always)
  const now = useLogbookLearning(view.filters)
  const waiting = waitingFor('the cooks', learnt) ?? waitingFor('the cooks', now)
  const improving = byCookAndStyle(learnt.data?.improving ?? [])
  const sure = (now.data?.practice ?? []).filter(({ isSure }) => isSure)
  const worth = sure.filter(({ moneyPerWeek }) => moneyPerWeek >= WORTH_A_WORD)
  // Where practice pays nobody much, the one that it would pay most says so.
  const practice = worth.length > 0 ? worth.slice(0, MAX_NAMED) : sure.slice(0, 1)
  return (
    <Answer id="cooks" question="Cooks" waiting={waiting}>
      {improving.length + practice.length === 0 ? (
        <p>No cook gets better or less out of it than the others at the same cuts, beyond chance.</p>
      ) : (
        <ul>
          {improving.map((group) => (
            <li key={group.map(({ cook, style }) => cook + style).join()}>
              <ImprovingWords own={group} />
            </li>
          ))}
          {practice.map((cook) => (
            <li key={`${cook.cook} ${cook.style}`}>
              <PracticeWords practice={cook} />
            </li>
          ))}
        </ul>
      )}
    </Answer>
  )
}

/** Yield and minutes of one cook at one style are one sentence. */
function byCookAndStyle(improving: readonly Improving[]): [Improving, ...Improving[]][] {
  const groups: [Improving, ...Improving[]][] = []
  for (const cook of improving) {
    const group = groups.find(([first]) => first.cook === cook.cook && first.style === cook.style)
    if (group) group.push(cook)
    else groups.push([cook])
  }
  return groups
}

const styleWords = ({ itemName, styleName }: { itemName: string; styleName: string }) =>
  `${itemName}: ${styleName.toLowerCase()}`

function ImprovingWords({ own }: { own: readonly [Improving, ...Improving[]] }) {
  const format = useFormat()
  const [first] = own
  return (
    <>
      <strong>{first.cookName}</strong> is getting better at {styleWords(first)}:{' '}
      {own.map((row, index) => (
        <span key={row.what}>
          {index > 0 ? ', ' : ''}
          {row.what === 'minutes' ? 'minutes a unit' : 'portion yield'}{' '}
          {row.what === 'minutes' ? format.number(row.first, 1) : format.share(row.first)} at first,{' '}
          <MaybeOpened explanation={explainImprovement(row)}>
            {row.what === 'minutes' ? format.number(row.last, 1) : format.share(row.last)}
          </MaybeOpened>{' '}
          now
        </span>
      ))}
      .{' '}
      <span className="quiet">
        {first.records} records since {dayWords(first.from)}.
      </span>
    </>
  )
}

function PracticeWords({ practice }: { practice: Practice }) {
  const format = useFormat()
  return (
    <>
      <strong>{practice.cookName}</strong> gets {format.number((practice.house - practice.own) * 100, 1)} points less
      than the others from {styleWords(practice)}: practice would bring{' '}
      <strong>
        <MaybeOpened explanation={explainPractice(practice)}>{format.money(practice.moneyPerWeek)}</MaybeOpened> a week
      </strong>
      .{' '}
      {practice.pile ? (
        <span className="quiet">
          Most of it is in {practice.pile.name}: {format.number(practice.pile.difference * 100, 1)} points more.
        </span>
      ) : null}
    </>
  )
}
