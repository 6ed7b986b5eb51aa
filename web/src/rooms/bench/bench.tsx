import { editOf } from '@fleam/contract'
import './bench.css'
import type { FabricationState } from '@fleam/contract'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router-dom'
import { useChangeFabrication, useFabrication } from '../../data/queries.ts'
import { AppraisedContext, useAppraisal } from '../../parts/appraised-context.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { TwinBeam } from '../../parts/twin-beam.tsx'
import { BenchHeading } from './bench-heading.tsx'
import { BenchCautions } from './cautions.tsx'
import { KeysHelp } from './keys-help.tsx'
import { PieceList } from './piece-list.tsx'
import { PileTiles } from './pile-tiles.tsx'
import { Running } from './running.tsx'
import { ScalePanel } from './scale-panel.tsx'
import { StandIn } from './stand-in.tsx'
import { useBench } from './use-bench.ts'
import { useBenchKeys } from './use-bench-keys.ts'

/** One fabrication, live: exactly where it was left, on any device. */
export function Component() {
  const { id = '' } = useParams()
  const fabrication = useFabrication(id, { isLive: true })
  if (fabrication.data) return <BenchRoom key={id} state={fabrication.data} />
  if (fabrication.isError) return <Failed error={fabrication.error} retry={() => void fabrication.refetch()} />
  return <Loading what="the bench" />
}

function BenchRoom({ state }: { state: FabricationState }) {
  const bench = useBench(state)
  const appraised = useAppraisal(bench.live.document)
  const expected = useAppraisal(bench.live.expected)
  const navigate = useNavigate()
  const change = useChangeFabrication(state.record.id)
  const [isHelpOpen, setHelpOpen] = useState(false)
  const finish = () =>
    change.mutate(editOf(bench.live.record, { status: 'closed' }), {
      onSuccess: ({ record }) => navigate(`/verdict/${record.id}`),
    })
  useBenchKeys(bench, () => setHelpOpen(true))
  return (
    <AppraisedContext value={appraised}>
      <div className="bench">
        <BenchHeading live={bench.live} />
        <TwinBeam active={bench.activePile.name} expected={expected.appraisal} />
        <div className="bench-surface">
          <div className="bench-piles">
            <PileTiles bench={bench} />
            <PieceList bench={bench} />
            <BenchCautions species={state.record.species} />
          </div>
          <div className="bench-scale">
            <ScalePanel bench={bench} />
            <Running live={bench.live} expected={expected} onFinish={finish} isFinishing={change.isPending} />
            {change.isError ? <Failed error={change.error} /> : null}
            <StandIn reading={bench.scale.reading} pile={bench.activePile} ap={state.record.purchase.invoiceWeight} />
          </div>
        </div>
        <p className="bench-said" role="status" aria-live="polite">
          {bench.said}
        </p>
        <KeysHelp isOpen={isHelpOpen} onOpen={() => setHelpOpen(true)} onClose={() => setHelpOpen(false)} />
      </div>
    </AppraisedContext>
  )
}
