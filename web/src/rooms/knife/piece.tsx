import {
  explainWithin,
  howFarOff,
  type JudgedCuts,
  judgeCuts,
  type KnifeLines,
  knifeLines,
  type PortionRequest,
} from '@fleam/core/portioning'
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useSearchParams } from 'react-router-dom'
import { useMeasuredCuts } from '../../outbox/measured-cuts.ts'
import { Explained } from '../../parts/figure.tsx'
import { shapeById } from '../../parts/measured-piece.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { type Format, useFormat } from '../../parts/use-format.ts'
import { WAY_WORDS } from '../../parts/way-words.ts'
import { Board } from './board.tsx'
import { CutLoop } from './cut-loop.tsx'
import { freshDraft, refusalOf, requestOf, restPiece } from './draft.ts'
import { JsonFiles } from './json-files.tsx'
import { KnifeRoom } from './knife-room.tsx'
import { Misfits } from './misfits.tsx'
import { OneToOne } from './one-to-one.tsx'
import { PartsTable } from './parts-table.tsx'
import { PieceFields } from './piece-fields.tsx'
import { PlansTable } from './plans-table.tsx'
import { ProductFields } from './product-fields.tsx'
import { SendToBench } from './send-to-bench.tsx'
import { useDraft } from './use-draft.ts'
import { type NamedPlan, usePlans } from './use-plans.ts'

/** Where to put the knife along one piece: before the first cut, and again after each one. */
export function Component() {
  const [asked] = useSearchParams()
  const state = useDraft(asked.get('shape'))
  const { draft, change, replace, fill } = state
  const format = useFormat()
  const refusal = useMemo(() => refusalOf(draft), [draft])
  const rest = useMemo(() => (refusal === null ? restPiece(draft) : null), [draft, refusal])
  const measured = useMeasuredCuts().of(draft.way, draft.shape)
  const off = howFarOff(draft.way, measured).share
  const request = useMemo(() => (rest ? requestOf(draft, rest, off) : null), [draft, rest, off])
  const { plans, isFresh, error } = usePlans(request)
  useFirstPlan(isFresh ? plans : null, draft, change)
  return (
    <KnifeRoom title={shapeById(draft.shape).name} facts={factsOf(draft, format)}>
      <PieceFields key={`piece-${fill}`} draft={draft} onChange={change} onReplace={replace} />
      {refusal ? (
        <p className="refusal" role="alert">
          {refusal}
        </p>
      ) : null}
      {error ? <Failed error={error} /> : null}
      {request && rest ? (
        <OnTheBoard draft={draft} request={request} off={off} plans={plans} isFresh={isFresh} onChange={change} />
      ) : null}
      {refusal === null && !rest ? <p className="quiet">Nothing is left of this piece.</p> : null}
      <ProductFields key={`products-${fill}`} draft={draft} onChange={change} />
      <div className="actions no-print">
        <JsonFiles
          what="Knife lines"
          fileName={`knife-lines-${draft.shape}`}
          value={draft}
          schema={knifeLines}
          onLoad={replace}
        />
        <Button variant="outline-dark" onClick={() => replace(freshDraft(shapeById(draft.shape)))}>
          Begin a new piece
        </Button>
      </div>
    </KnifeRoom>
  )
}

/** What lies on the board, in the words of a sheet. */
const factsOf = ({ weight, length, way, taken }: KnifeLines, format: Format) =>
  [
    `${format.weight(weight)}, ${format.length(length)}`,
    `known ${WAY_WORDS[way]}`,
    ...(taken.length > 0 ? [`${taken.length} cut already`] : []),
  ].join(', ')

/**
 * The lines to be shown: until a piece that was measured anew is planned, those of before stay where they lay, so that
 * nothing flickers while somebody types.
 */
function useSteadyLines(lines: readonly number[], isFresh: boolean): readonly number[] {
  const last = useRef(lines)
  const shown = lines.length > 0 || isFresh ? lines : last.current
  useEffect(() => {
    last.current = shown
  }, [shown])
  return shown
}

/** A piece that has no lines yet gets those of the plan that brings most. */
function useFirstPlan(plans: NamedPlan[] | null, draft: KnifeLines, change: (changes: Partial<KnifeLines>) => void) {
  const first = plans?.[0]?.plan.cuts
  const isBare = draft.lines.length === 0
  useEffect(() => {
    if (isBare && first && first.length > 0) change({ lines: first })
  }, [isBare, first, change])
}

interface OnTheBoardProps {
  draft: KnifeLines
  request: ReturnType<typeof requestOf>
  /** How far off a portion may be, as a share. */
  off: number
  plans: NamedPlan[] | null
  isFresh: boolean
  onChange: (changes: Partial<KnifeLines>) => void
}

function OnTheBoard({ draft, request, off, plans, isFresh, onChange }: OnTheBoardProps) {
  const { length } = request.piece
  const laid = useSteadyLines(draft.lines, isFresh)
  // A line that is held moves here alone: what else is on the page need not follow each pixel.
  const [held, setHeld] = useState<readonly number[] | null>(null)
  const lines = useMemo(() => (held ?? laid).filter((line) => line > 0 && line < length), [held, laid, length])
  const take = useCallback((next: readonly number[]) => onChange({ lines: [...next] }), [onChange])
  const move = (next: readonly number[], isHeld: boolean) => {
    setHeld(isHeld ? next : null)
    if (!isHeld) take(next)
  }
  const judged = useMemo(() => judgeCuts(request, lines), [request, lines])
  // While a line is held only the board follows each move; what is said of it below comes as soon as there is time.
  const settled = useDeferredValue(judged)
  // Before the first plan is there, the whole piece would be said to be scrap, and to be the next cut.
  const hasCut = lines.length > 0 || isFresh
  const addLine = () => {
    const widest = [...judged.parts].sort((a, b) => b.to - b.from - (a.to - a.from))[0]
    if (widest) take([...lines, Math.round((widest.from + widest.to) / 2)])
  }
  return (
    <>
      <Board request={request} judged={hasCut ? judged : null} lines={lines} onLines={move} />
      <div className="actions no-print">
        <Button variant="outline-dark" onClick={addLine}>
          Add a line
        </Button>
        <Button variant="outline-dark" onClick={() => window.print()}>
          Print the plan, one to one
        </Button>
        <SendToBench draft={draft} rest={request.piece} />
        <span className="quiet">Drag a line, or move it with the arrow keys; a double touch takes it away.</span>
      </div>
      <BelowTheBoard {...{ draft, request, off, plans, onChange }} judged={settled} hasCut={hasCut} onTake={take} />
      <OneToOne request={request} lines={laid} />
    </>
  )
}

interface BelowTheBoardProps extends Pick<OnTheBoardProps, 'draft' | 'request' | 'off' | 'plans' | 'onChange'> {
  judged: JudgedCuts
  /** A plan is there, or lines that somebody drew. */
  hasCut: boolean
  onTake: (lines: readonly number[]) => void
}

/** What the lines come to: what does not fit, plans beside each other, the next cut, and every part. */
const BelowTheBoard = memo(function BelowTheBoard(props: BelowTheBoardProps) {
  const { draft, request, off, plans, judged, hasCut, onTake, onChange } = props
  const [next] = judged.parts
  return (
    <>
      {hasCut ? (
        <>
          <Misfits judged={judged} />
          <ExpectedWithin judged={judged} request={request} off={off} />
        </>
      ) : null}
      {plans ? (
        <PlansTable plans={plans} judged={hasCut ? judged : null} request={request} onTake={onTake} />
      ) : (
        <Loading what="the plans" />
      )}
      {next && hasCut ? (
        <>
          <CutLoop draft={draft} next={next} onChange={onChange} />
          <PartsTable request={request} judged={judged} draft={draft} />
        </>
      ) : (
        <Loading what="the next cut" />
      )}
    </>
  )
})

interface ExpectedWithinProps {
  judged: JudgedCuts
  request: PortionRequest
  off: number
}

/** A shape is never known exactly: how many of the portions will end within their bounds all the same. */
function ExpectedWithin({ judged, request, off }: ExpectedWithinProps) {
  const format = useFormat()
  const within = explainWithin(judged.parts, request.products, off)
  if (!within) return null
  return (
    <p className="no-print">
      Of {judged.portions} {judged.portions === 1 ? 'portion' : 'portions'} about{' '}
      <Explained explanation={within} format={format} /> should end within bounds, when each may be off by{' '}
      {format.share(off)}.
    </p>
  )
}
