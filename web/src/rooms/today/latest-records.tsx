import type { FabricationRow } from '@fleam/contract'
import { leadingComparison, VERDICT_WORDS } from '@fleam/core'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import { Link } from 'react-router-dom'
import { AppraisedContext, useAppraisal } from '../../parts/appraised-context.ts'
import { dayWords } from '../../parts/dates.ts'
import { OneRecord } from '../../parts/odd-record.tsx'
import { TwinBeam } from '../../parts/twin-beam.tsx'

/** So many records are shown before somebody asks for more. */
const SHOWN = 10
const COLUMNS = 9

/** The latest finished records, each with what it says. */
export function LatestRecords({ rows }: { rows: FabricationRow[] }) {
  const [showsAll, setShowsAll] = useState(false)
  const shown = showsAll ? rows : rows.slice(0, SHOWN)
  return (
    <section aria-labelledby="latest">
      <h2 id="latest">Latest records</h2>
      <Table className="records" responsive>
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">What</th>
            <th scope="col">Cook</th>
            <th scope="col">Supplier</th>
            <th scope="col">Weight over money</th>
            <th scope="col" className="number">
              Portion yield
            </th>
            <th scope="col" className="number">
              Making
            </th>
            <th scope="col" className="number">
              Buying
            </th>
            <th scope="col">Verdict</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <OneRecord key={row.id} row={row} as="tr" columns={COLUMNS}>
              <RecordRow row={row} />
            </OneRecord>
          ))}
        </tbody>
      </Table>
      {shown.length < rows.length ? (
        <Button variant="outline-dark" className="mt-3" onClick={() => setShowsAll(true)}>
          {rows.length - shown.length} earlier ones
        </Button>
      ) : null}
    </section>
  )
}

function RecordRow({ row }: { row: FabricationRow }) {
  const appraised = useAppraisal(row.document)
  const { appraisal, format } = appraised
  const { item, style, meta } = row.document
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const comparison = at === null ? null : appraisal.comparisons[at]
  const cost =
    comparison?.costPerPortion ?? appraisal.piles.find((pile) => pile.class === 'primary')?.costPerPortion ?? null
  const buy = comparison?.buyPerPortionSameWeight ?? null
  const balance = appraisal.weights.balance
  const isPriced = row.priceFrom !== 'none'
  return (
    <tr>
      <td>{meta?.date ? dayWords(meta.date) : ''}</td>
      <td>
        <Link to={`/verdict/${row.id}`}>
          {item}: {style.toLowerCase()}
        </Link>
      </td>
      <td>{meta?.cook}</td>
      <td>{meta?.supplier}</td>
      <td>
        <AppraisedContext value={appraised}>
          <TwinBeam small hasMoney={isPriced} />
        </AppraisedContext>
      </td>
      <td className="number">{format.share(appraisal.weights.portionYield)}</td>
      <td className="number">{cost === null || !isPriced ? '–' : format.money(cost)}</td>
      <td className="number">{buy === null ? '–' : format.money(buy)}</td>
      <td className={`verdict-word ${balance === 'ok' && isPriced ? (comparison?.verdict ?? 'none') : 'doubt'}`}>
        {!isPriced
          ? 'no price yet'
          : balance === 'ok'
            ? VERDICT_WORDS[comparison?.verdict ?? 'none']
            : balance === 'lost'
              ? 'a pile is missing'
              : 'check the weights'}
      </td>
    </tr>
  )
}
