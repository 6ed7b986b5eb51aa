import { ArrowDown, ArrowUp } from 'lucide-react'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import type { DataColumn } from './columns.ts'
import css from './data-table.module.css'
import { ManyRows, TableRows, type TableRowsProps } from './table-rows.tsx'
import { TableTools } from './table-tools.tsx'
import { type DataTableState, useDataTable } from './use-data-table.ts'

/** More rows than these are drawn only where they are in sight. */
const MAX_DRAWN = 100

export type { DataColumn } from './columns.ts'

interface DataTableProps<Row> extends Omit<TableRowsProps<Row>, 'columns'> {
  /** Under which its columns are remembered on this device, and its file is called. */
  name: string
  columns: readonly DataColumn<Row>[]
  className?: string | undefined
  /** These are but a page of a list that the server sorts and searches: there is nothing to sort here. */
  isPage?: boolean
  /** Where the server sorts: by what now, by what it can, and what a touch on a heading asks for. */
  sorting?: ServerSorting
  /** The room searches the whole list itself: a second field would search what is shown of it. */
  isSearchedAbove?: boolean
  /** So many rows are shown before somebody asks for more. */
  shownAtFirst?: number
  /** What the button is called that shows the others. */
  moreWords?: (count: number) => string
}

export interface ServerSorting {
  id: string
  isDescending: boolean
  canSort: (id: string) => boolean
  onSort: (id: string, isDescending: boolean) => void
}

/** A list: sorted by a touch on a heading, searched, its columns chosen, and as CSV what is shown. */
export function DataTable<Row extends object>(props: DataTableProps<Row>) {
  const {
    name,
    columns,
    rows,
    idOf,
    className,
    isPage = false,
    sorting,
    isSearchedAbove = false,
    shownAtFirst = Number.POSITIVE_INFINITY,
  } = props
  const { moreWords = (count) => `${count} more` } = props
  const table = useDataTable({ name, columns, rows, idOf })
  const [showsAll, setShowsAll] = useState(false)
  const scroller = useRef<HTMLDivElement>(null)
  const shown = showsAll ? table.rows : table.rows.slice(0, shownAtFirst)
  const isLong = shown.length > MAX_DRAWN
  const body = { ...props, rows: shown, columns: table.columns }
  return (
    <div className={css.dataTable}>
      <TableTools name={name} table={table} columns={columns} count={isPage || isSearchedAbove ? 0 : rows.length} />
      <div ref={scroller} className={isLong ? `table-responsive ${css.long}` : 'table-responsive'}>
        <Table className={className ?? 'list-table'} aria-rowcount={isLong ? shown.length + 1 : undefined}>
          <Headings table={table} sorting={sorting ?? ownSorting(table, isPage)} />
          {isLong ? <ManyRows scroller={scroller} {...body} /> : <TableRows {...body} />}
        </Table>
      </div>
      {rows.length > 0 && table.rows.length === 0 ? (
        <p className="quiet">Nothing in this list has “{table.sought}”.</p>
      ) : null}
      {shown.length < table.rows.length ? (
        <Button variant="outline-dark" className="mt-3" onClick={() => setShowsAll(true)}>
          {moreWords(table.rows.length - shown.length)}
        </Button>
      ) : null}
    </div>
  )
}

const ORDER_WORDS = { up: 'ascending', down: 'descending' } as const

/** Sorted here, or not at all where the rows are but a page. */
const ownSorting = <Row,>(table: DataTableState<Row>, isPage: boolean): ServerSorting => ({
  id: table.sortedBy?.id ?? '',
  isDescending: table.sortedBy?.isDescending ?? false,
  canSort: () => !isPage,
  onSort: (id) => table.sortBy(id),
})

interface HeadingsProps<Row> {
  table: DataTableState<Row>
  sorting: ServerSorting
}

function Headings<Row>({ table, sorting }: HeadingsProps<Row>) {
  return (
    <thead>
      <tr>
        {table.columns.map((column) => {
          const order = sorting.id !== column.id ? null : sorting.isDescending ? 'down' : 'up'
          return (
            <th
              key={column.id}
              scope="col"
              className={column.isNumber ? 'number' : undefined}
              aria-sort={order ? ORDER_WORDS[order] : undefined}
            >
              {column.value === null ? (
                <span className="visually-hidden">{column.header}</span>
              ) : !sorting.canSort(column.id) ? (
                column.header
              ) : (
                <button type="button" className={css.sort} onClick={() => sorting.onSort(column.id, order === 'up')}>
                  {column.header}
                  {order === 'up' ? <ArrowUp size={14} aria-hidden /> : null}
                  {order === 'down' ? <ArrowDown size={14} aria-hidden /> : null}
                </button>
              )}
            </th>
          )
        })}
      </tr>
    </thead>
  )
}
