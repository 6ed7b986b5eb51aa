import { Columns3, Download } from 'lucide-react'
import Button from 'react-bootstrap/Button'
import Dropdown from 'react-bootstrap/Dropdown'
import Form from 'react-bootstrap/Form'
import type { DataColumn } from './columns.ts'
import { csvOf, download } from './csv.ts'
import css from './data-table.module.css'
import type { DataTableState } from './use-data-table.ts'

/** From so many rows on a list can be searched. */
const SEARCHED_FROM = 8

interface TableToolsProps<Row> {
  name: string
  table: DataTableState<Row>
  columns: readonly DataColumn<Row>[]
  count: number
}

/** Finding in a list, choosing its columns, and taking what is shown along as CSV. */
export function TableTools<Row>({ name, table, columns, count }: TableToolsProps<Row>) {
  return (
    <div className={css.tableTools}>
      {count >= SEARCHED_FROM ? (
        <Form.Control
          type="search"
          size="sm"
          aria-label="Find in this list"
          placeholder="find in this list"
          value={table.sought}
          onChange={(event) => table.seek(event.target.value)}
        />
      ) : null}
      <Dropdown autoClose="outside">
        <Dropdown.Toggle size="sm" variant="outline-dark">
          <Columns3 size={16} aria-hidden /> Columns
        </Dropdown.Toggle>
        <Dropdown.Menu>
          {columns
            .filter((column) => column.value !== null)
            .map((column) => (
              <Form.Check
                key={column.id}
                id={`column-${name}-${column.id}`}
                className="mx-3"
                label={column.header}
                checked={table.isShown(column.id)}
                onChange={() => table.toggle(column.id)}
              />
            ))}
        </Dropdown.Menu>
      </Dropdown>
      <Button
        size="sm"
        variant="outline-dark"
        disabled={table.rows.length === 0}
        onClick={() => download(`${name}.csv`, csvOf(table.columns, table.rows))}
      >
        <Download size={16} aria-hidden /> CSV
      </Button>
    </div>
  )
}
