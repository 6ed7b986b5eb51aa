import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { LogbookChanges, LogbookDoubts, LogbookSummaryAnswer } from '@fleam/contract/logbook/schemas'
import { attributionWords, broughtWords, changeWords, doubtWords, formatFor, LOST_WORDS } from '@fleam/core/wording'
import { type Paper, paperOf, type SheetTable } from '../../paper/index.ts'

/** A span of days on one page, worded; whoever draws it only has to place it. */
export interface PeriodContent {
  paper: Paper
  title: string
  facts: string
  sentence: string
  lost: SheetTable
  items: SheetTable
  cooks: SheetTable
  changes: string[]
  doubts: string[]
  foot: string
}

export interface PeriodSaid {
  kitchen: Pick<Kitchen, 'name' | 'units' | 'decimalMark' | 'currency'>
  from: string
  to: string
  today: string
  byItem: LogbookSummaryAnswer
  byCook: LogbookSummaryAnswer
  changes: LogbookChanges
  doubts: LogbookDoubts
}

/** So many lines fit on the page: what is worth most, or newest, comes first. */
const MAX_LINES = 6
const MAX_ITEMS = 12

/** What the owner of a kitchen wants to see of a month. */
export function periodContent(said: PeriodSaid): PeriodContent {
  const { kitchen, from, to, today, byItem, byCook, changes, doubts } = said
  const format = formatFor(kitchen.currency, kitchen.units, kitchen.decimalMark)
  const { all } = byItem
  const share = (value: number | null) => (value === null ? '–' : format.share(value))
  const points = (value: number | undefined) =>
    value === undefined ? '–' : `${value < 0 ? '−' : '+'}${format.number(Math.abs(value) * 100, 1)}`
  const rowsOf = ({ groups }: LogbookSummaryAnswer) =>
    [...groups].sort((a, b) => b.money.spent - a.money.spent).slice(0, MAX_ITEMS)
  const inSpan = doubts.doubts.filter(({ date }) => date >= from && date <= to)
  return {
    paper: paperOf(kitchen.units),
    title: `${kitchen.name}: ${dayWords(from)} to ${dayWords(to)}`,
    facts: `${all.records} ${all.records === 1 ? 'record' : 'records'}, ${all.units} units, ${format.weight(all.ap)} bought.`,
    sentence: broughtWords(all.records, all.money, format),
    lost: {
      heads: ['Lost where', 'Money', 'Of what was spent'],
      rows: Object.entries(LOST_WORDS).map(([view, words]) => {
        const amount = all.money[view as keyof typeof LOST_WORDS]
        return [words, format.money(amount), all.money.spent > 0 ? format.share(amount / all.money.spent) : '–']
      }),
    },
    items: {
      heads: ['What', 'Records', 'Portion yield', 'Spent', 'Brought', 'Waste'],
      rows: rowsOf(byItem).map(({ name, records, portionYield, money }) => [
        name ?? 'not said',
        String(records),
        share(portionYield.mean),
        format.money(money.spent),
        format.money(money.saved),
        format.money(money.waste),
      ]),
    },
    cooks: {
      heads: ['Cook', 'Records', 'Against others', 'Minutes a unit', 'Brought', 'Waste'],
      rows: rowsOf(byCook).map(({ name, records, yieldAgainstStyle, minutesPerUnit, money }) => [
        name ?? 'Unassigned',
        String(records),
        points(yieldAgainstStyle?.mean),
        minutesPerUnit.mean === null ? '–' : format.number(minutesPerUnit.mean, 1),
        format.money(money.saved),
        format.money(money.waste),
      ]),
    },
    changes:
      changes.changes.length > 0
        ? changes.changes
            .slice(0, MAX_LINES)
            .map((change) =>
              [changeWords(change, dayWords(change.since), format), ...change.attributions.map(attributionWords)].join(
                ' ',
              ),
            )
        : ['Nothing changed in the last four weeks beyond chance.'],
    doubts:
      inSpan.length > 0
        ? [
            ...inSpan
              .slice(0, MAX_LINES)
              .map(
                ({ date, item, style, why }) =>
                  `${dayWords(date)}, ${item}: ${style.toLowerCase()}: ${doubtWords(why, format)}${why.kind === 'double' ? 'another.' : ''}`,
              ),
            ...(inSpan.length > MAX_LINES ? [`${inSpan.length - MAX_LINES} more in the logbook.`] : []),
          ]
        : ['No record of these days looks wrong.'],
    foot: `Made on ${dayWords(today)}. What was given away and what was too light lie within what was brought.`,
  }

  function dayWords(day: string): string {
    const locale = kitchen.units === 'imperial' ? 'en-US' : 'en-GB'
    const written = { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' } as const
    return new Intl.DateTimeFormat(locale, written).format(new Date(`${day}T12:00:00Z`))
  }
}
