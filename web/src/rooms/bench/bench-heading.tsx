import { LotLink } from '../../parts/lot-link.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './bench-heading.module.css'
import { BenchOptions } from './bench-options.tsx'
import clocksCss from './clocks/clocks.module.css'
import { Clocks } from './clocks/clocks.tsx'
import type { Bench } from './state/use-bench.ts'

const STATUS_WORDS = { open: '', closed: ' · finished', abandoned: ' · abandoned' } as const

/** What lies on the board, and its clocks. */
export function BenchHeading({ bench }: { bench: Bench }) {
  const { record } = bench.live
  const format = useFormat(record.currency)
  const here = bench.settings.cookId
  return (
    <header className={css.benchHeading}>
      <div>
        <h1>
          {record.item} <span className="quiet">for</span> {record.style.toLowerCase()}
        </h1>
        <p>
          {record.units > 1 ? `${record.units} · ` : ''}
          {format.weight(record.purchase.invoiceWeight)}{' '}
          {record.weightFrom === 'estimated' ? 'estimated, no invoice yet' : 'on the invoice'}
          {record.supplier ? ` · ${record.supplier}` : ''}
          <LotLink lot={record.lot} lotId={record.lotId} />
          {record.cook ? ` · ${record.cook}` : ''}
          {here !== null && here !== record.cookId
            ? ` · on this device ${bench.live.cookName(here) ?? 'another cook'}`
            : ''}
          {STATUS_WORDS[record.status]}
        </p>
      </div>
      <div className={clocksCss.clocks}>
        <Clocks bench={bench} />
        <BenchOptions bench={bench} />
      </div>
    </header>
  )
}
