import {
  explainAgainst,
  explainEnd,
  explainMean,
  explainMoneyView,
  LOGBOOK_GROUPS,
  type LogbookGroup,
  type SpreadMean,
} from '@fleam/core/logbook'
import Form from 'react-bootstrap/Form'
import { useLogbookSummary } from '../../data/logbook-queries.ts'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { GROUP_WORDS, memberWords } from './group-words.ts'
import css from './logbook.module.css'
import { MaybeOpened } from './maybe-opened.tsx'
import { type Group, StandOut, standsOut } from './stand-out.tsx'
import type { LogbookView } from './use-view.ts'

/** The members of a grouping side by side, and which of them stand out from the others at the same cuts. */
export function Groups({ view }: { view: LogbookView }) {
  const { group, set } = view
  const { data, isError, error, refetch } = useLogbookSummary(view.filters, group)
  return (
    <section aria-labelledby="groups">
      <div className={css.sectionHead}>
        <h2 id="groups">Side by side</h2>
        <Form.Select
          aria-label="Group by"
          value={group}
          onChange={(event) => set({ group: event.target.value })}
          className="no-print"
        >
          {LOGBOOK_GROUPS.map((logbookGroup) => (
            <option key={logbookGroup} value={logbookGroup}>
              {GROUP_WORDS[logbookGroup].by}
            </option>
          ))}
        </Form.Select>
      </div>
      {isError ? <Failed error={error} retry={() => void refetch()} /> : null}
      {data ? (
        <>
          <WhoStandsOut groups={data.groups} group={group} />
          <GroupTable groups={data.groups} group={group} />
        </>
      ) : isError ? null : (
        <Loading what="the comparison" />
      )}
    </section>
  )
}

interface GroupsProps {
  groups: readonly Group[]
  group: LogbookGroup
}

function WhoStandsOut({ groups, group }: GroupsProps) {
  const format = useFormat()
  const out = groups.filter(standsOut)
  if (out.length === 0) {
    return (
      <p>
        {GROUP_WORDS[group].isCompared
          ? 'None gets more or less out of the same cuts than the others, beyond chance.'
          : ''}
      </p>
    )
  }
  return (
    <p>
      <StandOut groups={out} group={group} format={format} /> than the others at the same cuts.
    </p>
  )
}

function GroupTable({ groups, group }: GroupsProps) {
  const format = useFormat()
  const opened = (spread: SpreadMean, records: number, title: string, quantity: 'share' | 'minutes') => (
    <Opened {...{ spread, records, title, quantity }} />
  )
  const columns: DataColumn<Group>[] = [
    {
      id: 'name',
      header: GROUP_WORDS[group].header,
      isRowHeader: true,
      value: (row) => memberWords(group, row, format),
    },
    { id: 'records', header: 'Records', isNumber: true, value: (row) => row.records },
    {
      id: 'yield',
      header: 'Portion yield',
      isNumber: true,
      value: (row) => row.portionYield.mean,
      cell: (row) => opened(row.portionYield, row.records, 'Portion yield', 'share'),
    },
    {
      id: 'against',
      header: 'Against the others, points',
      isNumber: true,
      value: (row) => row.yieldAgainstStyle?.mean ?? null,
      cell: (row) => <Against of={row.yieldAgainstStyle} />,
    },
    {
      id: 'minutes',
      header: 'Minutes a unit',
      isNumber: true,
      value: (row) => row.minutesPerUnit.mean,
      cell: (row) => opened(row.minutesPerUnit, row.records, 'Minutes a unit', 'minutes'),
    },
    ...(['saved', 'waste', 'givenAway', 'unused'] as const).map(
      (view): DataColumn<Group> => ({
        id: view,
        header: MONEY_HEADERS[view],
        isNumber: true,
        value: (row) => row.money[view],
        cell: (row) => (
          <MaybeOpened explanation={explainMoneyView(view, [{ ...row, name: memberWords(group, row, format) }])}>
            {format.money(row.money[view])}
          </MaybeOpened>
        ),
      }),
    ),
  ]
  return <DataTable name={`logbook-${group}`} columns={columns} rows={groups} idOf={(row) => row.key ?? ''} />
}

const MONEY_HEADERS = { saved: 'Brought', waste: 'Waste', givenAway: 'Overweight', unused: 'Not used' } as const

interface OpenedProps {
  spread: SpreadMean
  records: number
  title: string
  quantity: 'share' | 'minutes'
}

/** A mean with the interval that the true one lies in; each end opens. */
function Opened({ spread, records, title, quantity }: OpenedProps) {
  const format = useFormat()
  const { mean, low, high } = spread
  if (mean === null) return '–'
  const words = (value: number) => (quantity === 'share' ? format.share(value) : format.number(value, 1))
  return (
    <>
      <MaybeOpened explanation={explainMean(title, mean, records, quantity)}>{words(mean)}</MaybeOpened>
      {low === null || high === null ? null : (
        <small className={css.interval}>
          <MaybeOpened explanation={explainEnd(title, spread, records, 'low', quantity)}>{words(low)}</MaybeOpened> to{' '}
          <MaybeOpened explanation={explainEnd(title, spread, records, 'high', quantity)}>{words(high)}</MaybeOpened>
        </small>
      )}
    </>
  )
}

function Against({ of }: { of: Group['yieldAgainstStyle'] }) {
  const format = useFormat()
  if (!of) return '–'
  const points = (value: number) => `${value < 0 ? '−' : '+'}${format.number(Math.abs(value) * 100, 1)}`
  const isOut = of.low !== null && of.high !== null && (of.low > 0 || of.high < 0)
  return (
    <>
      <span className={isOut ? css.standsOut : ''}>
        <MaybeOpened explanation={explainAgainst(of.mean)}>{points(of.mean)}</MaybeOpened>
      </span>
      {of.low === null || of.high === null ? null : (
        <small className={css.interval}>
          {points(of.low)} to {points(of.high)}
        </small>
      )}
    </>
  )
}
