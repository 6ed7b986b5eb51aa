import {
  columnFilteringFeature,
  columnVisibilityFeature,
  createFilteredRowModel,
  createSortedRowModel,
  globalFilteringFeature,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table'
import { useMemo, useState } from 'react'
import { readSetting, writeSetting } from '../../data/settings.ts'
import { type CellValue, compareValues, type DataColumn, isFound, worthOf } from './columns.ts'

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  columnFilteringFeature,
  globalFilteringFeature,
  filteredRowModel: createFilteredRowModel(),
  columnVisibilityFeature,
})

export interface DataTableInput<Row> {
  /** Under which the chosen columns are remembered on this device. */
  name: string
  columns: readonly DataColumn<Row>[]
  rows: readonly Row[]
  idOf: (row: Row) => string
}

export interface SortedBy {
  id: string
  isDescending: boolean
}

export interface DataTableState<Row> {
  /** As sorted and found, with the columns that are shown. */
  rows: Row[]
  columns: DataColumn<Row>[]
  sortedBy: SortedBy | null
  /** Sorts by a column: upwards, downwards, then as it came. */
  sortBy: (id: string) => void
  sought: string
  seek: (words: string) => void
  isShown: (id: string) => boolean
  toggle: (id: string) => void
}

/** Columns that somebody chose on this device; those of the list where nobody did. */
function shownColumns<Row>(name: string, columns: readonly DataColumn<Row>[]): Record<string, boolean> {
  const usual = Object.fromEntries(columns.map((column) => [column.id, column.isHiddenAtFirst !== true]))
  try {
    return { ...usual, ...JSON.parse(readSetting(`columns.${name}`) ?? '{}') }
  } catch {
    return usual
  }
}

/** A list that is sorted, searched and shown by columns. */
export function useDataTable<Row extends object>({
  name,
  columns,
  rows,
  idOf,
}: DataTableInput<Row>): DataTableState<Row> {
  const [isShown, setShown] = useState(() => shownColumns(name, columns))
  const known = useMemo(() => [...rows], [rows])
  const definitions = columns.map((column) => ({
    id: column.id,
    accessorFn: (row: Row) => worthOf(column, row) ?? undefined,
    enableSorting: column.value !== null,
    sortUndefined: 'last' as const,
    sortFn: (a: { original: Row }, b: { original: Row }) =>
      compareValues(worthOf(column, a.original) as CellValue, worthOf(column, b.original) as CellValue),
  }))
  const table = useTable({
    features,
    columns: definitions,
    data: known,
    getRowId: idOf,
    state: { columnVisibility: isShown },
    getColumnCanGlobalFilter: () => true,
    globalFilterFn: (row: { original: Row }, _id: string, words: string) => isFound(columns, row.original, words),
  })
  const { sorting, globalFilter } = table.state
  const [sorted] = sorting
  return {
    rows: table.getRowModel().rows.map((row) => row.original),
    columns: columns.filter((column) => isShown[column.id] !== false),
    sortedBy: sorted ? { id: sorted.id, isDescending: sorted.desc } : null,
    sortBy: (id) => {
      const isBy = sorted?.id === id
      table.setSorting(isBy && sorted.desc ? [] : [{ id, desc: isBy }])
    },
    sought: globalFilter ?? '',
    seek: (words) => table.setGlobalFilter(words),
    isShown: (id) => isShown[id] !== false,
    toggle: (id) => {
      const next = { ...isShown, [id]: isShown[id] === false }
      // A list of buttons alone says of nothing what they are for.
      if (columns.every((column) => column.value === null || next[column.id] === false)) return
      setShown(next)
      writeSetting(`columns.${name}`, JSON.stringify(next))
    },
  }
}
