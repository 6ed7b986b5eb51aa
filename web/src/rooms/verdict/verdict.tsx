import './verdict.css'
import type { FabricationState } from '@fleam/contract'
import { documentOf } from '@fleam/core'
import { useMemo, useState } from 'react'
import { useParams } from 'react-router-dom'
import { useFabrication } from '../../data/queries.ts'
import { useOutbox } from '../../outbox/page-outbox.ts'
import { AppraisedContext, useAppraisal } from '../../parts/appraised-context.ts'
import { dayWords } from '../../parts/dates.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { TwinBeam } from '../../parts/twin-beam.tsx'
import { merge } from '../bench/merge.ts'
import { Assumptions } from './assumptions.tsx'
import { BatchSize } from './batch-size.tsx'
import { BreakEvens } from './break-evens.tsx'
import { HowItWasCut } from './how-it-was-cut.tsx'
import { HowSure } from './how-sure.tsx'
import { MoneyBars } from './money-bars.tsx'
import { Offers } from './offers.tsx'
import { PilesTable } from './piles-table.tsx'
import { Policies } from './policies.tsx'
import { PortionSpread } from './portion-spread.tsx'
import { Sentence } from './sentence.tsx'
import { StepWorths } from './step-worths.tsx'
import { Totals } from './totals.tsx'
import { Tries } from './tries.tsx'
import { Warnings } from './warnings.tsx'

/** Make or buy, why, and what would turn it. */
export function Component() {
  const { id = '' } = useParams()
  const fabrication = useFabrication(id)
  if (fabrication.data) return <VerdictRoom key={id} state={fabrication.data} />
  if (fabrication.isError) return <Failed error={fabrication.error} retry={() => void fabrication.refetch()} />
  return <Loading what="the verdict" />
}

function VerdictRoom({ state }: { state: FabricationState }) {
  const { record } = state
  const { waiting, stored } = useOutbox()
  const [openedAt] = useState(() => Date.now())
  const document = useMemo(() => {
    return documentOf(record, merge(state, waiting, stored), { nowMs: openedAt })
  }, [state, record, waiting, stored, openedAt])
  const appraised = useAppraisal(document)
  return (
    <AppraisedContext value={appraised}>
      <div className="room verdict">
        <p className="verdict-of">
          {record.item}: {record.style.toLowerCase()} · {dayWords(record.date)}
          {record.cook ? ` · ${record.cook}` : ''}
          {record.supplier ? ` · ${record.supplier}` : ''}
        </p>
        <Sentence species={record.species} />
        <Warnings record={record} />
        <TwinBeam />
        <PilesTable />
        <div className="verdict-columns">
          <Totals />
          <Offers />
          <BreakEvens />
        </div>
        <MoneyBars />
        <HowSure record={record} />
        <Policies />
        <BatchSize record={record} />
        <PortionSpread record={record} />
        <StepWorths record={record} />
        <Tries />
        <HowItWasCut record={record} />
        <Assumptions record={record} />
      </div>
    </AppraisedContext>
  )
}
