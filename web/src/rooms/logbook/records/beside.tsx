import type { LogbookRecord } from '@fleam/contract/logbook/schemas'
import { useEffect, useRef } from 'react'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import { Link } from 'react-router-dom'
import { useRecordsBeside } from '../../../data/logbook-queries.ts'
import { LOST_AS } from '../../../parts/brought.tsx'
import { dayWords } from '../../../parts/dates.ts'
import { Failed, Loading } from '../../../parts/states.tsx'
import { type Format, useFormat } from '../../../parts/use-format.ts'
import css from '../logbook.module.css'
import type { LogbookView } from '../use-view.ts'

/** Several records beside each other, a column each; they stand in the address. */
export function Beside({ view }: { view: LogbookView }) {
  const format = useFormat()
  const { data, isError, error, refetch } = useRecordsBeside(view.beside)
  const heading = useRef<HTMLHeadingElement>(null)
  const ids = view.beside.join()
  // What was asked for stands above what it was chosen from. Where nothing is laid out there is nowhere to go.
  useEffect(() => {
    if (ids !== '') heading.current?.scrollIntoView?.()
  }, [ids])
  if (view.beside.length === 0) return null
  return (
    <section aria-labelledby="beside">
      <div className={css.sectionHead}>
        <h2 id="beside" ref={heading}>
          Beside each other
        </h2>
        <Button size="sm" variant="outline-dark" className="no-print" onClick={() => view.set({ beside: null })}>
          Close
        </Button>
      </div>
      {isError ? <Failed error={error} retry={() => void refetch()} /> : null}
      {data ? (
        data.length > 0 ? (
          <BesideTable records={data} format={format} />
        ) : (
          <p>None of these records is here any more.</p>
        )
      ) : isError ? null : (
        <Loading what="the records" />
      )}
    </section>
  )
}

interface BesideTableProps {
  records: readonly LogbookRecord[]
  format: Format
}

interface Line {
  label: string
  words: (record: LogbookRecord) => string
}

function BesideTable({ records, format }: BesideTableProps) {
  return (
    <div className="table-responsive">
      <Table className="list-table">
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">What</span>
            </th>
            {records.map(({ id, date, item, style }) => (
              <th key={id} scope="col" className="number">
                <Link to={`/verdict/${id}`}>
                  {dayWords(date)}
                  <br />
                  {item}: {style.toLowerCase()}
                </Link>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...linesOf(format), ...pileLines(records, format)].map(({ label, words }) => (
            <tr key={label}>
              <th scope="row">{label}</th>
              {records.map((record) => (
                <td key={record.id} className="number">
                  {words(record)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
    </div>
  )
}

function linesOf(format: Format): Line[] {
  const money = (amount: number | null) => (amount === null ? '–' : format.money(amount))
  return [
    { label: 'Cook', words: ({ cook }) => cook ?? '–' },
    { label: 'Supplier', words: ({ supplier }) => supplier ?? '–' },
    { label: 'Units', words: ({ units }) => (units === null ? '–' : String(units)) },
    { label: 'Weight on the invoice', words: ({ ap }) => format.weight(ap) },
    { label: 'Portion yield', words: ({ portionYield }) => format.share(portionYield) },
    { label: 'Utilisation', words: ({ utilisation }) => format.share(utilisation) },
    {
      label: 'Minutes a unit',
      words: ({ minutesPerUnit }) => (minutesPerUnit === null ? '–' : format.number(minutesPerUnit, 1)),
    },
    { label: 'Cost a portion', words: ({ costPerPortion }) => money(costPerPortion) },
    { label: 'Saved a portion', words: ({ savingPerPortion }) => money(savingPerPortion) },
    { label: 'Spent', words: ({ money: { spent } }) => money(spent) },
    { label: 'Brought', words: ({ money: { saved } }) => money(saved) },
    ...LOST_AS.map(({ view, words }) => ({
      label: `Lost as ${words}`,
      words: (record: LogbookRecord) => money(record.money[view]),
    })),
  ]
}

/** A line for every pile of any of them: its share of the weight. */
function pileLines(records: readonly LogbookRecord[], format: Format): Line[] {
  const names = new Set(records.flatMap(({ beam }) => beam.weight.flatMap(({ pile }) => pile ?? [])))
  return [...names].map((name) => ({
    label: `Of the weight: ${name}`,
    words: ({ beam, ap }) => {
      const stretch = beam.weight.find(({ pile }) => pile === name)
      return stretch && ap > 0 ? format.share(stretch.amount / ap) : '–'
    },
  }))
}
