import type { LogbookSeasons, LogbookTurns } from '@fleam/contract/logbook/findings'
import { explainOddWeek, explainPortionMoney } from '@fleam/core/logbook'
import { useLogbookSeasons, useLogbookTurns } from '../../data/logbook-queries.ts'
import { LOST_AS } from '../../parts/brought.tsx'
import { dayWords, monthOfYearWords } from '../../parts/dates.ts'
import { useFormat } from '../../parts/use-format.ts'
import { Answer, waitingFor } from './answer.tsx'
import { MaybeOpened } from './maybe-opened.tsx'
import type { LogbookView } from './use-view.ts'

type Season = LogbookSeasons['seasons'][number]
type Turn = LogbookTurns['turns'][number]
type Week = LogbookTurns['weeks'][number]

/** So many piles of a style, turns and weeks are told: what moves most comes first. */
const MAX_TOLD = 3

/** What goes up and down with the year, when the cheaper way was another, and weeks that stand out. */
export function YearAnswer({ view }: { view: LogbookView }) {
  const seasons = useLogbookSeasons(view.filters)
  const turns = useLogbookTurns(view.filters)
  const waiting = waitingFor('the year', seasons) ?? waitingFor('the year', turns)
  const byStyle = stylesOf(seasons.data?.seasons ?? [])
  const { turns: turned = [], weeks = [] } = turns.data ?? {}
  return (
    <Answer id="year" question="Through the year" waiting={waiting}>
      {byStyle.length + turned.length + weeks.length === 0 ? (
        <p>Nothing goes up and down with the year, and no week stands out.</p>
      ) : (
        <ul>
          {turned.slice(0, MAX_TOLD).map((turn) => (
            <li key={`${turn.style} ${turn.from}`}>
              <TurnWords turn={turn} />
            </li>
          ))}
          {byStyle.map((piles) => (
            <li key={piles[0]?.style}>
              <SeasonWords piles={piles} />
            </li>
          ))}
          {weeks.slice(0, MAX_TOLD).map((week) => (
            <li key={`${week.week} ${week.view}`}>
              <WeekWords week={week} />
            </li>
          ))}
        </ul>
      )}
    </Answer>
  )
}

function stylesOf(seasons: readonly Season[]): Season[][] {
  const styles = new Map<string, Season[]>()
  for (const season of seasons) styles.set(season.style, [...(styles.get(season.style) ?? []), season])
  return [...styles.values()].map((piles) => piles.slice(0, MAX_TOLD))
}

function SeasonWords({ piles }: { piles: readonly Season[] }) {
  const format = useFormat()
  const [first] = piles
  if (!first) return null
  return (
    <>
      <strong>
        {first.itemName}: {first.styleName.toLowerCase()}
      </strong>
      :{' '}
      {piles.map((pile, index) => (
        <span key={pile.pile}>
          {index > 0 ? '; ' : ''}
          {pile.name} most in {monthOfYearWords(pile.most)}, least in {monthOfYearWords(pile.least)},{' '}
          {format.number(pile.swing * 100, 1)} points between
        </span>
      ))}
      . <span className="quiet">{first.records} records.</span>
    </>
  )
}

function TurnWords({ turn }: { turn: Turn }) {
  const format = useFormat()
  const { cost, offer } = turn
  return (
    <>
      <strong>
        {turn.itemName}: {turn.styleName.toLowerCase()}
      </strong>
      : from {dayWords(turn.from)} to {dayWords(turn.until)}{' '}
      {turn.to === 'buy' ? 'buying ready' : 'cutting it ourselves'} was the cheaper way: a portion cost us{' '}
      <MaybeOpened explanation={explainPortionMoney('Cost of a portion, then less before', cost.now, cost.before)}>
        {format.money(cost.now)}
      </MaybeOpened>
      , {format.money(cost.before)} before; ready{' '}
      <MaybeOpened
        explanation={explainPortionMoney('Price of a ready portion, then less before', offer.now, offer.before)}
      >
        {format.money(offer.now)}
      </MaybeOpened>
      , {format.money(offer.before)} before. <span className="quiet">{turn.records} records.</span>
    </>
  )
}

function WeekWords({ week }: { week: Week }) {
  const format = useFormat()
  const words = LOST_AS.find(({ view }) => view === week.view)?.words
  return (
    <>
      Week of {dayWords(week.monday)}: {words} cost{' '}
      <strong>
        <MaybeOpened explanation={explainOddWeek(week.amount, week.usual)}>{format.money(week.amount)}</MaybeOpened>
      </strong>
      , usually {format.money(week.usual)} of as much.
    </>
  )
}
