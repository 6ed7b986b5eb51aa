import type { PeriodQuery } from '@fleam/contract/logbook/findings'
import { dayOf, type Scope } from '../../scope/index.ts'
import { doubts } from '../doubts.ts'
import { changes, summary } from '../service.ts'
import { periodContent } from './content.ts'

/** A span of days as one page of PDF: what it brought, lost where, what changed, doubts left. */
export async function period(scope: Scope, span: PeriodQuery): Promise<Buffer> {
  const [byItem, byCook, changed, doubted] = await Promise.all([
    summary(scope, { ...span, group: 'item' }),
    summary(scope, { ...span, group: 'cook' }),
    changes(scope),
    doubts(scope),
  ])
  // Whoever draws the page is large, and a start must not wait for it.
  const { periodPdf } = await import('./page.ts')
  const { kitchen } = scope
  return periodPdf(
    periodContent({ kitchen, ...span, today: dayOf(scope), byItem, byCook, changes: changed, doubts: doubted }),
  )
}
