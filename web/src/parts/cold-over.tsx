import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import { overWords } from '@fleam/core/wording'
import { Link } from 'react-router-dom'
import { useKitchenCautions } from './cautions.ts'
import { coldBatch } from './cold-batch.ts'
import css from './cold-over.module.css'
import { useNow } from './use-now.ts'

/** Loads of open batches that have been out of the cold for too long: what is over, and what to do. */
export const ColdOver = ({ rows }: { rows: readonly FabricationRow[] }) => (
  <>
    {rows.map((row) => (
      <OverOfBatch key={row.id} row={row} />
    ))}
  </>
)

function OverOfBatch({ row }: { row: FabricationRow }) {
  const { coldLimits } = useKitchenCautions(row)
  const now = useNow()
  const { document, units, startedAt, coldMarks } = row
  const work = { units, startedAt, labour: document.labour ?? [], marks: coldMarks }
  const { loads, waiting } = coldBatch(work, coldLimits, now.getTime())
  const over = loads.flatMap((load) => {
    const words = overWords(load)
    return words === null ? [] : [`${loads.length > 1 || waiting > 0 ? `load ${load.load}, ` : ''}${words}`]
  })
  if (over.length === 0) return null
  return (
    <p className={css.over} role="alert">
      <Link to={`/bench/${row.id}`}>
        {document.item} for {document.style.toLowerCase()}
      </Link>
      : {over.join('; ')}
    </p>
  )
}
