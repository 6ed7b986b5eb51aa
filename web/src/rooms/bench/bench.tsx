import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { lazy, type MouseEvent, Suspense, useState } from 'react'
import { useParams } from 'react-router-dom'
import { useBenchStream } from '../../data/bench-stream.ts'
import { useFabrication } from '../../data/queries.ts'
import { AppraisedContext, useAppraisal } from '../../parts/appraised-context.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { TwinBeam } from '../../parts/twin-beam.tsx'
import css from './bench.module.css'
import { BenchHeading } from './bench-heading.tsx'
import { OverInSight } from './clocks/cold-clocks.tsx'
import { BenchBar } from './finish/bench-bar.tsx'
import { Running } from './finish/running.tsx'
import { useFinish } from './finish/use-finish.ts'
import { KeysHelp } from './keys-help.tsx'
import { HowMany } from './piles/how-many.tsx'
import { PieceList } from './piles/piece-list.tsx'
import { PileTiles } from './piles/pile-tiles.tsx'
import { ScalePanel, typeWeight } from './scale/scale-panel.tsx'
import { StandIn } from './scale/stand-in.tsx'
import { useBench } from './state/use-bench.ts'
import { BenchCautions } from './steps/cautions.tsx'
import { ChecksLine } from './steps/checks-line.tsx'
import { StepCard } from './steps/step-card.tsx'
import { useBenchKeys } from './use-bench-keys.ts'
import { useWakeLock } from './use-wake-lock.ts'

/** Of what is cut along its length alone. */
const NextCut = lazy(() => import('./next-cut/next-cut.tsx'))
/** Asked at the end alone, and loaded then. */
const LossCauses = lazy(() => import('./finish/loss-causes.tsx'))

/** One fabrication, live: exactly where it was left, on any device. */
export function Component() {
  const { id = '' } = useParams()
  useBenchStream(id)
  const fabrication = useFabrication(id, { isLive: true })
  if (fabrication.data) return <BenchRoom key={id} state={fabrication.data} />
  if (fabrication.isError) return <Failed error={fabrication.error} retry={() => void fabrication.refetch()} />
  return <Loading what="the bench" />
}

/** After a touch the keys belong to the bench again: Enter takes the next weight, not the button that was touched. */
function letGo(event: MouseEvent): void {
  if (event.detail > 0 && (event.target as Element).closest('button')) {
    ;(document.activeElement as HTMLElement | null)?.blur()
  }
}

function BenchRoom({ state }: { state: FabricationState }) {
  const bench = useBench(state)
  const appraised = useAppraisal(bench.live.document)
  const expected = useAppraisal(bench.live.expected)
  const [isHelpOpen, setHelpOpen] = useState(false)
  const finishing = useFinish(bench.live)
  useWakeLock()
  useBenchKeys(bench, { openHelp: () => setHelpOpen(true), finish: finishing.finish, typeWeight })
  return (
    <AppraisedContext value={appraised}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: hears the touches of its buttons, and is none itself */}
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: only touches leave the focus behind */}
      <div className={state.record.steps.length > 0 ? `${css.bench} ${css.withSteps}` : css.bench} onClick={letGo}>
        <OverInSight live={bench.live} />
        <BenchHeading bench={bench} />
        <TwinBeam
          active={bench.activePile.name}
          expected={expected.appraisal}
          hasMoney={state.record.priceFrom !== 'none'}
        />
        <ChecksLine bench={bench} />
        <div className={css.benchSurface}>
          <StepCard bench={bench} />
          <div className={css.benchPiles}>
            {state.record.shape === null ? null : (
              <Suspense fallback={null}>
                <NextCut live={bench.live} />
              </Suspense>
            )}
            <HowMany bench={bench} />
            <PileTiles bench={bench} />
            <PieceList bench={bench} />
            <BenchCautions
              species={state.record.species}
              where={state.record}
              elsewhere={state.record.steps[bench.stepAt]?.cautions ?? []}
            />
          </div>
          <div className={css.benchScale}>
            <ScalePanel bench={bench} />
            <Running live={bench.live} expected={expected} />
            <StandIn reading={bench.scale.reading} pile={bench.activePile} ap={state.record.purchase.invoiceWeight} />
          </div>
        </div>
        <p className={css.benchSaid} role="status" aria-live="polite">
          {bench.said}
        </p>
        <BenchBar
          bench={bench}
          onFinish={finishing.finish}
          isFinishing={finishing.change.isPending}
          error={finishing.change.error}
        />
        <KeysHelp isOpen={isHelpOpen} onOpen={() => setHelpOpen(true)} onClose={() => setHelpOpen(false)} />
        {finishing.isAsking ? (
          <Suspense fallback={null}>
            <LossCauses
              outcomes={finishing.outcomes}
              doubt={finishing.doubt}
              invoice={finishing.invoice}
              estimated={finishing.estimated}
              currency={state.record.currency}
              species={state.record.species}
              isOpen
              isFinishing={finishing.change.isPending}
              onClose={finishing.stopAsking}
              onFinish={finishing.close}
            />
          </Suspense>
        ) : null}
      </div>
    </AppraisedContext>
  )
}
