import { addressOf } from '@fleam/contract/client'
import { logbookOperations } from '@fleam/contract/logbook/operations'
import { dayIn } from '@fleam/core/calendar'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useLogbookSummary } from '../../data/logbook-queries.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { Changes } from './changes.tsx'
import { CooksAnswer } from './cooks-answer.tsx'
import { Doubts, DoubtsAnswer } from './doubts.tsx'
import { Files } from './files.tsx'
import { Filters } from './filters.tsx'
import { Groups } from './groups.tsx'
import { KeptViews } from './kept-views.tsx'
import css from './logbook.module.css'
import { Beside } from './records/beside.tsx'
import { Records } from './records/records.tsx'
import { SuppliersAnswer } from './suppliers-answer.tsx'
import { useView } from './use-view.ts'
import { WhatItBrought } from './what-it-brought.tsx'
import { YearAnswer } from './year-answer.tsx'
import { YieldChart } from './yield-chart.tsx'

/** What many weighings say: what cutting brought, what changed, who gets what out of it, and the records behind it. */
export function Component() {
  const { id, timeZone } = useKitchen()
  const [today] = useState(() => dayIn(timeZone, new Date()))
  const view = useView(today)
  const byItem = useLogbookSummary(view.filters, 'item')
  return (
    <div className={`room ${css.logbook}`}>
      <div className="room-heading">
        <h1>Logbook</h1>
        {view.filters.from && view.filters.to ? (
          <a
            className="btn btn-outline-dark no-print"
            href={addressOf(logbookOperations.readPeriod, {
              kitchenId: id,
              query: { from: view.filters.from, to: view.filters.to },
            })}
            target="_blank"
            rel="noreferrer"
          >
            One page (PDF)
          </a>
        ) : null}
        <Button variant="outline-dark" className="no-print" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <Filters view={view} />
      <KeptViews />
      {byItem.isError ? <Failed error={byItem.error} retry={() => void byItem.refetch()} /> : null}
      {byItem.data ? (
        byItem.data.all.records > 0 ? (
          <>
            <WhatItBrought summary={byItem.data} />
            <div>
              <Changes />
              <CooksAnswer view={view} />
              <SuppliersAnswer view={view} />
              <YearAnswer view={view} />
              <DoubtsAnswer />
            </div>
            <Groups view={view} />
            <YieldChart view={view} />
          </>
        ) : (
          <Empty title="No records that count">
            <p>Choose another span or fewer filters. Records that do not count stand below, each with its reason.</p>
          </Empty>
        )
      ) : byItem.isError ? null : (
        <Loading what="the logbook" />
      )}
      <Doubts />
      <Beside view={view} />
      <Records view={view} />
      <Files view={view} />
    </div>
  )
}
