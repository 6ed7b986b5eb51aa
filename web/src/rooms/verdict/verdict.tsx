import './verdict.css'
import type {
  Assumptions as AssumptionsTried,
  Cook,
  FabricationRecord,
  FabricationState,
  WhatIf,
} from '@fleam/contract'
import { documentOf, labourSoFar } from '@fleam/core'
import { type ComponentType, memo, useCallback, useMemo, useState } from 'react'
import { useParams } from 'react-router-dom'
import { useCooks, useFabrication } from '../../data/queries.ts'
import { useWhatIfs } from '../../data/what-if-queries.ts'
import { merge } from '../../outbox/merge.ts'
import { useOutbox } from '../../outbox/page-outbox.ts'
import { type Appraised, AppraisedContext, useAppraisal } from '../../parts/appraised-context.ts'
import { dayWords } from '../../parts/dates.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { TwinBeam } from '../../parts/twin-beam.tsx'
import { usePaused } from '../../parts/use-paused.ts'
import { Assumptions } from './assumptions.tsx'
import { BatchSize } from './batch-size.tsx'
import { BreakEvens } from './break-evens.tsx'
import { HowItWasCut } from './how-it-was-cut.tsx'
import { HowSure } from './how-sure.tsx'
import { LabourAsked } from './labour-asked.tsx'
import { isSameLabour, labourFromOf } from './labour-from.ts'
import { MoneyBars } from './money-bars.tsx'
import { Offers } from './offers.tsx'
import { PilesTable } from './piles-table.tsx'
import { Policies } from './policies.tsx'
import { PortionSpread } from './portion-spread.tsx'
import { Sentence } from './sentence.tsx'
import { StepWorths } from './step-worths.tsx'
import { Totals } from './totals.tsx'
import { Tries } from './tries.tsx'
import { TryOutBar } from './try-out-bar.tsx'
import { useTryOut } from './use-try-out.ts'
import { Warnings } from './warnings.tsx'
import { WhatIfs } from './what-ifs.tsx'

const NONE: readonly WhatIf[] = []
const NOBODY: readonly Cook[] = []

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
  const whatIfs = useWhatIfs(record.id)
  const tryOut = useTryOut(record, whatIfs.kept.data ?? NONE)
  const { facts, standing } = useMemo(() => merge(state, waiting, stored), [state, waiting, stored])
  const { data: cooks = NOBODY } = useCooks()
  const documentWith = useCallback(
    (tried: Partial<AssumptionsTried> = {}) => {
      // Clocks that run speak for the labour unless somebody tries out another.
      const isClocked = tried.labour === undefined || isSameLabour(tried.labour, record.labour)
      const cookName = (id: string) => cooks.find((cook) => cook.id === id)?.name
      const clocks = isClocked ? { nowMs: openedAt, cookName } : {}
      return documentOf({ ...record, ...tried }, facts, { ...clocks, standing })
    },
    [record, facts, standing, openedAt, cooks],
  )
  const recorded = useMemo(() => documentWith(), [documentWith])
  const { isTried, assumptions } = tryOut
  const document = useMemo(
    () => (isTried ? documentWith(assumptions) : recorded),
    [isTried, assumptions, documentWith, recorded],
  )
  const labourSource = useMemo(() => {
    const { labour } = tryOut.record
    const isOpen = record.status === 'open' && isSameLabour(labour, record.labour)
    return isOpen ? labourSoFar(record, facts, openedAt, () => undefined).source : labourFromOf(record, labour)
  }, [tryOut.record, record, facts, openedAt])
  const appraised = useAppraisal(document)
  // Draws and curves follow once the typing pauses, so that it never waits for them.
  const settled = usePaused(useMemo(() => ({ appraised, record: tryOut.record }), [appraised, tryOut.record]))
  return (
    <AppraisedContext value={appraised}>
      <div className="room verdict">
        <p className="verdict-of">
          {record.item}: {record.style.toLowerCase()} · {dayWords(record.date)}
          {record.cook ? ` · ${record.cook}` : ''}
          {record.supplier ? ` · ${record.supplier}` : ''}
        </p>
        <TryOutBar record={record} recorded={recorded} tryOut={tryOut} whatIfs={whatIfs} />
        <Sentence species={record.species} />
        <Warnings record={record} />
        <LabourAsked record={record} facts={facts} />
        <TwinBeam />
        <MoneyBars />
        <BreakEvens />
        <Policies />
        <Settled {...settled} of={HowSure} />
        <PilesTable />
        <div className="verdict-columns">
          <Totals labourSource={labourSource} />
          <Offers />
        </div>
        <Settled {...settled} of={BatchSize} />
        <PortionSpread record={record} />
        <StepWorths record={tryOut.record} />
        <Tries />
        <HowItWasCut record={record} />
        <WhatIfs record={record} documentWith={documentWith} tryOut={tryOut} whatIfs={whatIfs} />
        <Assumptions record={record} tryOut={tryOut} />
      </div>
    </AppraisedContext>
  )
}

interface SettledProps {
  appraised: Appraised
  record: FabricationRecord
  of: ComponentType<{ record: FabricationRecord }>
}

/** A section that is drawn anew only when what it stands on has settled. */
const Settled = memo(function Settled({ appraised, record, of: Section }: SettledProps) {
  return (
    <AppraisedContext value={appraised}>
      <Section record={record} />
    </AppraisedContext>
  )
})
