import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import { leadingComparison } from '@fleam/core/comparison'
import { VERDICT_WORDS } from '@fleam/core/wording'
import { Link } from 'react-router-dom'
import { AppraisedContext, appraisalOf, useAppraisal } from '../../parts/appraised-context.ts'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { dayWords } from '../../parts/dates.ts'
import { OddRecord } from '../../parts/odd-record.tsx'
import { TwinBeam } from '../../parts/twin-beam.tsx'
import { useFormat } from '../../parts/use-format.ts'

/** So many records are shown before somebody asks for more. */
const SHOWN = 10

interface RecordFigures {
  isPriced: boolean
  portionYield: number
  cost: number | null
  buy: number | null
  /** How it ended, and whether that is to be doubted. */
  verdict: string
  tone: string
}

const BALANCE_WORDS = { lost: 'a pile is missing', gained: 'check the weights' } as const

function figuresOf(row: FabricationRow): RecordFigures {
  const { piles, comparisons, weights } = appraisalOf(row.document)
  const at = leadingComparison(piles, comparisons)
  const comparison = at === null ? null : comparisons[at]
  const isPriced = row.priceFrom !== 'none'
  const cost = comparison?.costPerPortion ?? piles.find((pile) => pile.class === 'primary')?.costPerPortion ?? null
  const verdict = comparison?.verdict ?? 'none'
  const isSound = weights.balance === 'ok'
  return {
    isPriced,
    portionYield: weights.portionYield,
    cost: isPriced ? cost : null,
    buy: comparison?.buyPerPortionSameWeight ?? null,
    verdict: !isPriced
      ? 'no price yet'
      : isSound
        ? VERDICT_WORDS[verdict]
        : BALANCE_WORDS[weights.balance === 'lost' ? 'lost' : 'gained'],
    tone: isSound && isPriced ? verdict : 'doubt',
  }
}

const COLUMNS: readonly DataColumn<FabricationRow>[] = [
  {
    id: 'day',
    header: 'Day',
    value: (row) => row.document.meta?.date ?? null,
    words: (row) => dayWords(row.document.meta?.date ?? ''),
    cell: (row) => (row.document.meta?.date ? dayWords(row.document.meta.date) : ''),
  },
  {
    id: 'what',
    header: 'What',
    value: ({ document }) => `${document.item}: ${document.style.toLowerCase()}`,
    cell: ({ id, document }) => (
      <Link to={`/verdict/${id}`}>
        {document.item}: {document.style.toLowerCase()}
      </Link>
    ),
  },
  { id: 'cook', header: 'Cook', value: (row) => row.document.meta?.cook ?? null },
  { id: 'supplier', header: 'Supplier', value: (row) => row.document.meta?.supplier ?? null },
  {
    id: 'beam',
    header: 'Weight over money',
    csvHeader: 'weight on the invoice g',
    value: (row) => row.document.purchase.invoiceWeight,
    cell: (row) => <SmallBeam row={row} />,
  },
  {
    id: 'yield',
    header: 'Portion yield',
    isNumber: true,
    value: (row) => figuresOf(row).portionYield,
    cell: (row) => <Share value={figuresOf(row).portionYield} />,
  },
  {
    id: 'making',
    header: 'Making',
    isNumber: true,
    value: (row) => figuresOf(row).cost,
    cell: (row) => <Money row={row} value={figuresOf(row).cost} />,
  },
  {
    id: 'buying',
    header: 'Buying',
    isNumber: true,
    value: (row) => figuresOf(row).buy,
    cell: (row) => <Money row={row} value={figuresOf(row).buy} />,
  },
  {
    id: 'verdict',
    header: 'Verdict',
    value: (row) => figuresOf(row).verdict,
    cell: (row) => <span className={`verdict-word ${figuresOf(row).tone}`}>{figuresOf(row).verdict}</span>,
  },
]

/** The latest finished records, each with what it says. */
export function LatestRecords({ rows }: { rows: FabricationRow[] }) {
  return (
    <section aria-labelledby="latest">
      <h2 id="latest">Latest records</h2>
      <DataTable
        name="records"
        className="records"
        columns={COLUMNS}
        rows={rows}
        idOf={(row) => row.id}
        shownAtFirst={SHOWN}
        moreWords={(count) => `${count} earlier ones`}
        oddRow={(row) => <OddRecord row={row} />}
      />
    </section>
  )
}

function SmallBeam({ row }: { row: FabricationRow }) {
  const appraised = useAppraisal(row.document)
  return (
    <AppraisedContext value={appraised}>
      <TwinBeam small hasMoney={row.priceFrom !== 'none'} />
    </AppraisedContext>
  )
}

const Share = ({ value }: { value: number }) => useFormat().share(value)

function Money({ row, value }: { row: FabricationRow; value: number | null }) {
  const format = useFormat(row.document.currency)
  return value === null ? '–' : format.money(value)
}
