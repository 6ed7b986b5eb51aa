import type { LogbookRecord } from '@fleam/contract/logbook/schemas'
import { beamOf } from '@fleam/core/beam'
import { explainRecordMinutes, explainRecordYield } from '@fleam/core/logbook'
import { Link } from 'react-router-dom'
import type { DataColumn } from '../../../parts/data-table/data-table.tsx'
import { dayWords } from '../../../parts/dates.ts'
import { BeamFigure } from '../../../parts/twin-beam.tsx'
import type { Format } from '../../../parts/use-format.ts'
import { MaybeOpened } from '../maybe-opened.tsx'

const BALANCE_WORDS = { ok: '', lost: 'a pile is missing', over: 'more came out than went in' } as const

/** Why a record does not count; empty where it does. */
export const whyNot = ({ isCounted, leftOut, balance }: LogbookRecord): string =>
  isCounted ? '' : (leftOut ?? BALANCE_WORDS[balance])

/** What is told of a record, a column each. */
export function columnsFor(format: Format): DataColumn<LogbookRecord>[] {
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
    { id: 'lot', header: 'Lot', isHiddenAtFirst: true, value: (row) => row.lot },
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
      cell: (row) => (
        <MaybeOpened explanation={explainRecordYield(row.portionYield, row.ap)}>
          {format.share(row.portionYield)}
        </MaybeOpened>
      ),
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
      cell: (row) =>
        row.minutesPerUnit === null || row.units === null ? (
          '–'
        ) : (
          <MaybeOpened explanation={explainRecordMinutes(row.minutesPerUnit, row.units)}>
            {format.number(row.minutesPerUnit, 1)}
          </MaybeOpened>
        ),
    },
    {
      id: 'plan',
      header: 'Plan',
      isHiddenAtFirst: true,
      value: (row) => row.planned?.plan ?? null,
      cell: (row) => (row.planned ? <Link to={`/plan/${row.planned.planId}`}>{row.planned.plan}</Link> : '–'),
    },
    {
      id: 'plannedMinutes',
      header: 'Minutes a unit, planned',
      isNumber: true,
      isHiddenAtFirst: true,
      value: (row) => (row.planned ? row.planned.minutes / row.planned.units : null),
      cell: (row) =>
        row.planned ? (
          <MaybeOpened explanation={explainRecordMinutes(row.planned.minutes / row.planned.units, row.planned.units)}>
            {format.number(row.planned.minutes / row.planned.units, 1)}
          </MaybeOpened>
        ) : (
          '–'
        ),
    },
    { id: 'causes', header: 'Causes named', isNumber: true, isHiddenAtFirst: true, value: (row) => row.causes },
    {
      id: 'counts',
      header: 'Does not count',
      value: whyNot,
      cell: (row) => <span className="verdict-word doubt">{whyNot(row)}</span>,
    },
  ]
}
