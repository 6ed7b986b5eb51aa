import type { FabricationRecord, FabricationState } from '@fleam/contract/fabrication/schemas'
import { type ComponentType, memo, type ReactNode, useDeferredValue, useMemo } from 'react'
import { useParams } from 'react-router-dom'
import { useFabrication } from '../../data/queries.ts'
import { type Appraised, AppraisedContext, useAppraisal } from '../../parts/appraised-context.ts'
import { dayWords } from '../../parts/dates.ts'
import { FoldedPart, JumpLinks, useOpenParts } from '../../parts/folded.tsx'
import { Later } from '../../parts/later.tsx'
import { LotLink } from '../../parts/lot-link.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { TwinBeam } from '../../parts/twin-beam.tsx'
import { usePaused } from '../../parts/use-paused.ts'
import { Assumptions } from './assumptions.tsx'
import { BatchSize } from './batch-size.tsx'
import { BreakEvens } from './break-evens.tsx'
import { HowItWasCut } from './how-it-was-cut.tsx'
import { HowSure } from './how-sure.tsx'
import { JudgedBefore } from './judged-before.tsx'
import { LabourAsked } from './labour-asked.tsx'
import { MoneyBars } from './money-bars.tsx'
import { MovedPrices } from './moved-prices.tsx'
import { Offers } from './offers.tsx'
import { PilesTable } from './piles-table.tsx'
import { PlannedLine } from './planned-line.tsx'
import { Policies } from './policies.tsx'
import { PortionSpread } from './portion-spread.tsx'
import { PriceAsked } from './price-asked.tsx'
import { RecordDetails } from './record-details.tsx'
import { Sentence } from './sentence.tsx'
import { StepWorths } from './step-worths.tsx'
import { Totals } from './totals.tsx'
import { Tries } from './tries.tsx'
import { TryOutBar } from './try-out-bar.tsx'
import { useVerdict, type VerdictState } from './use-verdict.ts'
import css from './verdict.module.css'
import { Warnings } from './warnings.tsx'
import { WhatIfs } from './what-ifs.tsx'
import { Yields } from './yields.tsx'

/** What stands on the first screen, by the ids of its sections. */
const FIRST_PARTS = [
  { id: 'turns', title: 'Break-even points' },
  { id: 'how-sure', title: 'How sure' },
  { id: 'piles', title: 'Piles' },
]
/** What opens when it is wanted. */
const PART_TITLES = {
  totals: 'Where it went',
  offers: 'Against buying ready',
  policies: 'By-product credit',
  batch: 'Batch size',
  portions: 'Portions',
  steps: 'Optional steps',
  ask: 'Ask the record',
  cut: 'How it was cut',
  'what-ifs': 'What-ifs',
  inputs: 'Inputs and exports',
  record: 'Record and its history',
} as const
type PartId = keyof typeof PART_TITLES
const FOLDED_PARTS = Object.entries(PART_TITLES).map(([id, title]) => ({ id, title }))

/** Make or buy, why, and what would turn it. */
export function Component() {
  const { id = '' } = useParams()
  const fabrication = useFabrication(id)
  if (fabrication.data) return <VerdictRoom key={id} state={fabrication.data} />
  if (fabrication.isError) return <Failed error={fabrication.error} retry={() => void fabrication.refetch()} />
  return <Loading what="the verdict" />
}

function VerdictRoom({ state }: { state: FabricationState }) {
  const verdict = useVerdict(state)
  const { record, recorded, document, tryOut, whatIfs } = verdict
  const isPriced = tryOut.record.priceFrom !== 'none'
  const parts = useOpenParts('verdict')
  const appraised = useAppraisal(document)
  // Draws and curves follow once the typing pauses, so that it never waits for them.
  const settled = usePaused(useMemo(() => ({ appraised, record: tryOut.record }), [appraised, tryOut.record]))
  // Long tables follow a moment after the answer: no keystroke waits for sixty piles to be drawn.
  const following = useDeferredValue(appraised)
  return (
    <AppraisedContext value={appraised}>
      <div className={`room ${css.verdict}`}>
        <p className={css.verdictOf}>
          {record.item}: {record.style.toLowerCase()} · {dayWords(record.date)}
          {record.cook ? ` · ${record.cook}` : ''}
          {record.supplier ? ` · ${record.supplier}` : ''}
          <LotLink lot={record.lot} lotId={record.lotId} />
        </p>
        <TryOutBar record={record} recorded={recorded} tryOut={tryOut} whatIfs={whatIfs} />
        {isPriced ? <Answer {...{ verdict, parts, settled, following }} /> : <NoPriceYet record={record} />}
        <Later>
          <PlannedLine fabricationId={record.id} />
          <Folds verdict={verdict} isPriced={isPriced} parts={parts} settled={settled} />
        </Later>
      </div>
    </AppraisedContext>
  )
}

const NoPriceYet = ({ record }: { record: FabricationRecord }) => (
  <>
    <PriceAsked record={record} />
    <Warnings record={record} />
    <TwinBeam hasMoney={false} />
    <Yields />
  </>
)

interface PartsProps {
  verdict: VerdictState
  parts: ReturnType<typeof useOpenParts>
  settled: Omit<SettledProps, 'of'>
}

/** The first screen: the answer, where the money goes and what would turn it; then how sure that is. */
const Answer = ({ verdict, parts, settled, following }: PartsProps & { following: Appraised }) => (
  <>
    <Sentence species={verdict.record.species} />
    {verdict.isTried ? null : <MovedPrices record={verdict.record} />}
    {verdict.isTried ? null : <JudgedBefore record={verdict.record} />}
    <Warnings record={verdict.record} />
    <LabourAsked record={verdict.record} facts={verdict.facts} />
    <JumpLinks first={FIRST_PARTS} folded={FOLDED_PARTS} parts={parts} />
    <div className={css.verdictAnswer}>
      <MoneyBars />
      <BreakEvens />
    </div>
    <Later>
      <Settled {...settled} of={HowSure} />
      <Following appraised={following} of={TwinBeam} />
      <Following appraised={following} of={PilesTable} />
    </Later>
  </>
)

/** Everything else, folded until it is opened. */
function Folds({ verdict, isPriced, parts, settled }: PartsProps & { isPriced: boolean }) {
  const { record, document, tryOut, whatIfs, documentWith, labourSource } = verdict
  const folded = (id: PartId, children: ReactNode) => (
    <FoldedPart part={{ id, title: PART_TITLES[id] }} parts={parts}>
      {children}
    </FoldedPart>
  )
  /** A part that says something of money: not there while no price is known. */
  const ofMoney = (id: PartId, children: ReactNode) => (isPriced ? folded(id, children) : null)
  const hasGains = record.steps.some((step) => step.isOptional && step.gain)
  return (
    <div className="folds">
      {ofMoney('totals', <Totals labourSource={labourSource} />)}
      {document.offers?.length ? ofMoney('offers', <Offers />) : null}
      {ofMoney('policies', <Policies />)}
      {ofMoney('batch', <Settled {...settled} of={BatchSize} />)}
      {ofMoney('portions', <PortionSpread record={record} />)}
      {hasGains ? ofMoney('steps', <StepWorths record={tryOut.record} />) : null}
      {ofMoney('ask', <Tries record={record} />)}
      {record.choices.length + record.causes.length > 0 ? folded('cut', <HowItWasCut record={record} />) : null}
      {ofMoney('what-ifs', <WhatIfs {...{ record, documentWith, tryOut, whatIfs }} />)}
      {folded('inputs', <Assumptions record={record} tryOut={tryOut} />)}
      {folded('record', <RecordDetails record={record} />)}
    </div>
  )
}

interface FollowingProps {
  appraised: Appraised
  of: ComponentType
}

/** A section that is drawn when the answer stands. */
const Following = memo(function Following({ appraised, of: Section }: FollowingProps) {
  return (
    <AppraisedContext value={appraised}>
      <Section />
    </AppraisedContext>
  )
})

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
