import { addressOf } from '@fleam/contract/client'
import { logbookOperations } from '@fleam/contract/logbook/operations'
import type { LogbookRecord } from '@fleam/contract/logbook/schemas'
import { type KeyboardEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useLogbookRecords } from '../../../data/logbook-queries.ts'
import { type DataColumn, DataTable } from '../../../parts/data-table/data-table.tsx'
import { dayWords } from '../../../parts/dates.ts'
import { Failed, Loading } from '../../../parts/states.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import css from '../logbook.module.css'
import type { LogbookView } from '../use-view.ts'
import { columnsFor } from './columns.tsx'

const COUNTED_WORDS = { all: 'all records', yes: 'those that count', no: 'those that do not count' } as const

/** The records behind the figures: found by words, sorted by a touch on a heading, gone on from page to page. */
export function Records({ view }: { view: LogbookView }) {
  const format = useFormat()
  const { asked, set } = view
  const records = useLogbookRecords(view.filters, asked)
  const [chosen, setChosen] = useState<readonly string[]>([])
  const rows = records.data?.pages.flatMap((page) => page.rows) ?? []
  const total = records.data?.pages[0]?.total ?? 0
  return (
    <section aria-labelledby="records">
      <Find view={view} total={total} />
      {chosen.length > 0 ? <Chosen chosen={chosen} view={view} onNone={() => setChosen([])} /> : null}
      {records.isError ? <Failed error={records.error} retry={() => void records.refetch()} /> : null}
      {records.data ? (
        <DataTable
          name="logbook-records"
          className="records"
          columns={[choosing(chosen, setChosen), ...columnsFor(format)]}
          rows={rows}
          idOf={(row) => row.id}
          isPage
          sorting={{
            id: asked.sort,
            isDescending: asked.order === 'descending',
            canSort: (id) => !UNSORTED.has(id),
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

const UNSORTED: ReadonlySet<string> = new Set(['choose', 'beam', 'lot', 'causes', 'counts'])

/** A box in every row, to choose several. */
const choosing = (
  chosen: readonly string[],
  onChoose: (ids: readonly string[]) => void,
): DataColumn<LogbookRecord> => ({
  id: 'choose',
  header: 'Choose',
  value: null,
  cell: ({ id, date, item }) => (
    <Form.Check
      aria-label={`Choose ${item} of ${dayWords(date)}`}
      checked={chosen.includes(id)}
      onChange={(event) => onChoose(event.target.checked ? [...chosen, id] : chosen.filter((choice) => choice !== id))}
    />
  ),
})

function Find({ view: { asked, set }, total }: { view: LogbookView; total: number }) {
  const find = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') set({ words: event.currentTarget.value })
  }
  return (
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
        {Object.entries(COUNTED_WORDS).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </Form.Select>
      <span className="quiet">
        {total} {total === 1 ? 'record' : 'records'}
      </span>
    </div>
  )
}

interface ChosenProps {
  chosen: readonly string[]
  view: LogbookView
  onNone: () => void
}

/** What can be done with several: beside each other, or as one file. */
function Chosen({ chosen, view, onNone }: ChosenProps) {
  const { id } = useKitchen()
  return (
    <div className="form-actions no-print">
      <span role="status">{chosen.length} chosen</span>
      <Button
        variant="outline-dark"
        disabled={chosen.length < 2}
        onClick={() => view.set({ beside: chosen.join(',') })}
      >
        Beside each other
      </Button>
      <a
        className="btn btn-outline-dark"
        href={addressOf(logbookOperations.exportLogbook, { kitchenId: id, query: { id: [...chosen], counted: 'all' } })}
        download="logbook.json"
      >
        As JSON
      </a>
      <Button variant="outline-dark" onClick={onNone}>
        None
      </Button>
    </div>
  )
}
