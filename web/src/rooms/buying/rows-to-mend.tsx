import type { PriceIssue, PriceMapping } from '@fleam/core/price-lists'
import { readTable, rowsOfList } from '@fleam/core/price-lists'
import { useMemo } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { download } from '../../parts/data-table/csv.ts'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { cellIssueWords } from './issue-words.ts'

interface RowsToMendProps {
  name: string
  csv: string
  mapping: PriceMapping
  issues: readonly PriceIssue[]
  onMend: (row: number, header: string, cell: string) => void
}

interface BadRow {
  row: number
  cells: ReadonlyMap<string, string>
  issues: PriceIssue[]
}

/** The rows that are not right: each wrong cell is written anew where it stands, or all of them are taken along. */
export function RowsToMend({ name, csv, mapping, issues, onMend }: RowsToMendProps) {
  const rows = useMemo(() => badRows(csv, issues), [csv, issues])
  const headers = Object.values(mapping.columns).filter((header): header is string => typeof header === 'string')
  return (
    <section aria-labelledby="to-mend" className="mb-4">
      <h2 id="to-mend">
        {rows.length} {rows.length === 1 ? 'row is' : 'rows are'} not right
      </h2>
      <DataTable name="rows-to-mend" columns={columnsOf(headers, onMend)} rows={rows} idOf={({ row }) => String(row)} />
      <Button
        variant="outline-dark"
        className="mt-2"
        onClick={() => download(`to mend ${name}`, rowsOfList(csv, new Set(rows.map(({ row }) => row))))}
      >
        Download these rows
      </Button>
    </section>
  )
}

function badRows(csv: string, issues: readonly PriceIssue[]): BadRow[] {
  const { headers, rows } = readTable(csv)
  const byRow = new Map<number, PriceIssue[]>()
  for (const issue of issues) byRow.set(issue.row, [...(byRow.get(issue.row) ?? []), issue])
  return [...byRow.keys()]
    .sort((a, b) => a - b)
    .map((row) => ({
      row,
      cells: new Map(headers.map((header, index) => [header, rows[row - 2]?.[index] ?? ''])),
      issues: byRow.get(row) ?? [],
    }))
}

const columnsOf = (headers: readonly string[], onMend: RowsToMendProps['onMend']): DataColumn<BadRow>[] => [
  { id: 'row', header: 'Row', isNumber: true, value: ({ row }) => row },
  ...headers.map(
    (header): DataColumn<BadRow> => ({
      id: `cell ${header}`,
      header,
      value: ({ cells }) => cells.get(header) ?? null,
      cell: (bad) => <MendedCell bad={bad} header={header} onMend={onMend} />,
    }),
  ),
  {
    id: 'wrong',
    header: 'What is not right',
    value: ({ issues }) => issues.map(cellIssueWords).join('; '),
  },
]

interface MendedCellProps {
  bad: BadRow
  header: string
  onMend: RowsToMendProps['onMend']
}

function MendedCell({ bad: { row, cells, issues }, header, onMend }: MendedCellProps) {
  const cell = cells.get(header) ?? ''
  if (!issues.some(({ column }) => column === header)) return cell
  const mend = (typed: string) => typed !== cell && onMend(row, header, typed)
  return (
    <Form.Control
      // Written anew by what stands there now.
      key={cell}
      size="sm"
      isInvalid
      aria-label={`${header} of row ${row}`}
      defaultValue={cell}
      onBlur={(event) => mend(event.target.value)}
      onKeyDown={(event) => event.key === 'Enter' && mend(event.currentTarget.value)}
    />
  )
}
