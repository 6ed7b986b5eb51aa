import type { LogbookRecord } from '@fleam/contract'
import { beamOf } from '@fleam/core'
import type { KeyboardEvent } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { useLogbookRecords } from '../../data/logbook-queries.ts'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { dayWords } from '../../parts/dates.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { BeamFigure } from '../../parts/twin-beam.tsx'
import { type Format, useFormat } from '../../parts/use-format.ts'
import css from './logbook.module.css'
import type { LogbookView } from './use-view.ts'

const BALANCE_WORDS = { ok: '', lost: 'a pile is missing', over: 'more came out than went in' } as const

/** Why a record does not count; empty where it does. */
export const whyNot = ({ isCounted, leftOut, balance }: LogbookRecord): string =>
  isCounted ? '' : (leftOut ?? BALANCE_WORDS[balance])

function columnsFor(format: Format): DataColumn<LogbookRecord>[] {
  const money = (amount: number | null) => (amount === null ? '–' : format.money(amount))
  return [
    { id: 'date', header: 'Day', value: (row) => row.date, cell: (row) => dayWords(row.date) },
    {
      id: 'item',
      header: 'What',
      isRowHeader: true,
      value: (row) => `${row.item}: ${row.style}`,
      cell: (row) => (
        <Link to={`/verdict/${row.id}`}>
          {row.item}: {row.style.toLowerCase()}
        </Link>
      ),
    },
    { id: 'cook', header: 'Cook', value: (row) => row.cook },
    { id: 'supplier', header: 'Supplier', value: (row) => row.supplier },
    {
      id: 'beam',
      header: 'Weight over money',
      csvHeader: 'weight on the invoice g',
      value: (row) => row.ap,
      cell: (row) => <BeamFigure small beam={beamOf(row.beam)} format={format} hasMoney={row.beam.money.length > 0} />,
    },
    { id: 'units', header: 'Units', isNumber: true, value: (row) => row.units },
    {
      id: 'portionYield',
      header: 'Portion yield',
      isNumber: true,
      value: (row) => row.portionYield,
      cell: (row) => format.share(row.portionYield),
    },
    {
      id: 'utilisation',
      header: 'Utilisation',
      isNumber: true,
      isHiddenAtFirst: true,
      value: (row) => row.utilisation,
      cell: (row) => format.share(row.utilisation),
    },
    {
      id: 'costPerPortion',
      header: 'Cost a portion',
      isNumber: true,
      value: (row) => row.costPerPortion,
      cell: (row) => money(row.costPerPortion),
    },
    {
      id: 'saved',
      header: 'Brought',
      isNumber: true,
      value: (row) => row.money.saved,
      cell: (row) => money(row.money.saved),
    },
    {
      id: 'givenAway',
      header: 'Overweight',
      isNumber: true,
      isHiddenAtFirst: true,
      value: (row) => row.money.givenAway,
      cell: (row) => money(row.money.givenAway),
    },
    {
      id: 'waste',
      header: 'Waste',
      isNumber: true,
      isHiddenAtFirst: true,
      value: (row) => row.money.waste,
      cell: (row) => money(row.money.waste),
    },
    {
      id: 'minutesPerUnit',
      header: 'Minutes a unit',
      isNumber: true,
      value: (row) => row.minutesPerUnit,
      cell: (row) => (row.minutesPerUnit === null ? '–' : format.number(row.minutesPerUnit, 1)),
    },
    {
      id: 'counts',
      header: 'Does not count',
      value: whyNot,
      cell: (row) => <span className="verdict-word doubt">{whyNot(row)}</span>,
    },
  ]
}

const COUNTED_WORDS = { all: 'all records', yes: 'those that count', no: 'those that do not count' } as const

/** The records behind the figures: found by words, sorted by a touch on a heading, gone on from page to page. */
export function Records({ view }: { view: LogbookView }) {
  const format = useFormat()
  const { asked, set } = view
  const records = useLogbookRecords(view.filters, asked)
  const rows = records.data?.pages.flatMap((page) => page.rows) ?? []
  const total = records.data?.pages[0]?.total ?? 0
  const find = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') set({ words: event.currentTarget.value })
  }
  return (
    <section aria-labelledby="records">
      <div className={css.sectionHead}>
        <h2 id="records">Records</h2>
        <Form.Control
          aria-label="Find in names, lots and notes"
          placeholder="find"
          defaultValue={asked.words}
          className={`${css.find} no-print`}
          onKeyDown={find}
          onBlur={(event) => set({ words: event.target.value })}
        />
        <Form.Select
          aria-label="Which records"
          value={asked.counted}
          className="no-print"
          onChange={(event) => set({ counted: event.target.value })}
        >
          {Object.entries(COUNTED_WORDS).map(([each, words]) => (
            <option key={each} value={each}>
              {words}
            </option>
          ))}
        </Form.Select>
        <span className="quiet">
          {total} {total === 1 ? 'record' : 'records'}
        </span>
      </div>
      {records.isError ? <Failed error={records.error} retry={() => void records.refetch()} /> : null}
      {records.data ? (
        <DataTable
          name="logbook-records"
          className="records"
          columns={columnsFor(format)}
          rows={rows}
          idOf={(row) => row.id}
          isPage
          sorting={{
            id: asked.sort,
            isDescending: asked.order === 'descending',
            canSort: (id) => id !== 'counts' && id !== 'beam',
            onSort: (id, isDescending) => set({ sort: id, order: isDescending ? 'descending' : 'ascending' }),
          }}
        />
      ) : records.isError ? null : (
        <Loading what="the records" />
      )}
      {records.hasNextPage ? (
        <Button
          variant="outline-dark"
          className="mt-3 no-print"
          disabled={records.isFetchingNextPage}
          onClick={() => void records.fetchNextPage()}
        >
          {records.isFetchingNextPage ? 'Loading …' : `${total - rows.length} more`}
        </Button>
      ) : null}
    </section>
  )
}
