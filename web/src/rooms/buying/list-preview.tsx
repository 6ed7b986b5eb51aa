import type { NumberedLine } from '@fleam/core/price-lists'
import Button from 'react-bootstrap/Button'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { priceWords } from '../../parts/price-words.ts'
import { type Format, useFormat } from '../../parts/use-format.ts'
import type { PriceListPreview } from '../../workers/price-list-preview.ts'

const lineColumns = (format: Format): DataColumn<NumberedLine>[] => [
  { id: 'row', header: 'Row', isNumber: true, value: ({ row }) => row },
  { id: 'article', header: 'Article', isRowHeader: true, value: ({ name }) => name },
  { id: 'supplier', header: 'Supplier', value: ({ supplier }) => supplier },
  {
    id: 'for',
    header: 'For',
    value: ({ item, product }) => item ?? product,
    cell: ({ item, product }) => item ?? product ?? <span className="none">nothing yet</span>,
  },
  {
    id: 'price',
    header: 'Price',
    isNumber: true,
    value: ({ price }) => price.amount,
    cell: ({ price }) => priceWords(price, format),
  },
  { id: 'from', header: 'From', value: ({ from }) => from },
]

/** The rows that are right, as they read. */
export function ListPreview({ preview, onShowAll }: { preview: PriceListPreview; onShowAll: () => void }) {
  const format = useFormat()
  if (preview.lines.length === 0) return null
  const rest = preview.rows - preview.lines.length
  return (
    <>
      <DataTable name="price-list" columns={lineColumns(format)} rows={preview.lines} idOf={({ row }) => String(row)} />
      {rest > 0 ? (
        <Button variant="outline-dark" className="mt-2" onClick={onShowAll}>
          Show all {preview.rows.toLocaleString('en')} rows
        </Button>
      ) : null}
    </>
  )
}
