import { useVirtualizer } from '@tanstack/react-virtual'
import type { ReactNode, RefObject } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import type { DataColumn } from './columns.ts'
import { worthOf } from './columns.ts'

export interface TableRowsProps<Row> {
  rows: readonly Row[]
  columns: readonly DataColumn<Row>[]
  idOf: (row: Row) => string
  classOf?: ((row: Row) => string) | undefined
  /** What stands in place of a row that is so odd that it cannot be drawn. */
  oddRow?: ((row: Row) => ReactNode) | undefined
}

/** Every row, one below the other. */
export function TableRows<Row>(props: TableRowsProps<Row>) {
  const { rows, idOf } = props
  return (
    <tbody>
      {rows.map((row) => (
        <TableRow key={idOf(row)} row={row} {...props} />
      ))}
    </tbody>
  )
}

const ROW_HEIGHT = 41
const ROWS_BEYOND = 12

interface ManyRowsProps<Row> extends TableRowsProps<Row> {
  scroller: RefObject<HTMLDivElement | null>
}

/** The rows of a long list that are in sight, and room for the others. */
export function ManyRows<Row>({ scroller, ...props }: ManyRowsProps<Row>) {
  const { rows, idOf, columns } = props
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: ROWS_BEYOND,
    getItemKey: (at) => idOf(rows[at] as Row),
  })
  const inSight = virtual.getVirtualItems()
  const above = inSight[0]?.start ?? 0
  const below = virtual.getTotalSize() - (inSight.at(-1)?.end ?? 0)
  return (
    <tbody>
      <Room height={above} columns={columns.length} />
      {inSight.map(({ index, key }) => (
        <TableRow key={key} row={rows[index] as Row} at={index} measure={virtual.measureElement} {...props} />
      ))}
      <Room height={below} columns={columns.length} />
    </tbody>
  )
}

const Room = ({ height, columns }: { height: number; columns: number }) =>
  height > 0 ? (
    <tr aria-hidden>
      <td colSpan={columns} style={{ height, padding: 0, border: 0 }} />
    </tr>
  ) : null

interface TableRowProps<Row> extends TableRowsProps<Row> {
  row: Row
  at?: number
  measure?: (element: HTMLTableRowElement | null) => void
}

function TableRow<Row>({ row, at, measure, columns, classOf, oddRow }: TableRowProps<Row>) {
  const cells = (
    <tr ref={measure} data-index={at} aria-rowindex={at === undefined ? undefined : at + 2} className={classOf?.(row)}>
      {columns.map((column) => (
        <Cell key={column.id} column={column} row={row} />
      ))}
    </tr>
  )
  if (!oddRow) return cells
  return (
    <ErrorBoundary
      fallback={
        <tr>
          <td colSpan={columns.length}>{oddRow(row)}</td>
        </tr>
      }
    >
      {cells}
    </ErrorBoundary>
  )
}

function Cell<Row>({ column, row }: { column: DataColumn<Row>; row: Row }) {
  const drawn = column.cell ? column.cell(row) : worthOf(column, row)
  const className = column.isNumber ? 'number' : undefined
  return column.isRowHeader ? (
    <th scope="row" className={className}>
      {drawn}
    </th>
  ) : (
    <td className={className}>{drawn}</td>
  )
}
