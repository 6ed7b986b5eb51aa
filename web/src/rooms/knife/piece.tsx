import { type KnifeLines, knifeLines, portionPiece } from '@fleam/contract'
import { judgeCuts } from '@fleam/core'
import { useEffect, useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { JsonFileButton } from '../../parts/json-file-button.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { Board } from './board.tsx'
import { CutLoop } from './cut-loop.tsx'
import { freshDraft, restPiece, shapeById, usualPiece, wholePiece, wishOf } from './draft.ts'
import { KnifeRoom } from './knife-room.tsx'
import { OneToOne } from './one-to-one.tsx'
import { PartsTable } from './parts-table.tsx'
import { PieceFields } from './piece-fields.tsx'
import { PlansTable } from './plans-table.tsx'
import { ProductFields } from './product-fields.tsx'
import { useDraft } from './use-draft.ts'
import { type NamedPlan, usePlans } from './use-plans.ts'

/** Where to put the knife along one piece: before the first cut, and again after each one. */
export function Component() {
  const state = useDraft()
  const { draft, change, replace, fill } = state
  const refusal = useMemo(() => refusalOf(draft), [draft])
  const rest = useMemo(() => (refusal === null ? restPiece(draft) : null), [draft, refusal])
  const wish = useMemo(() => (rest ? wishOf(draft, rest) : null), [draft, rest])
  const { plans, isFresh, error } = usePlans(wish)
  useFirstPlan(isFresh ? plans : null, draft, change)
  return (
    <KnifeRoom title={shapeById(draft.shape).name}>
      <PieceFields key={`piece-${fill}`} draft={draft} onChange={change} onReplace={replace} />
      {refusal ? (
        <p className="refusal" role="alert">
          {refusal}
        </p>
      ) : null}
      {error ? <Failed error={error} /> : null}
      {wish && rest ? <OnTheBoard draft={draft} wish={wish} plans={plans} isFresh={isFresh} onChange={change} /> : null}
      {refusal === null && !rest ? <p className="quiet">Nothing is left of this piece.</p> : null}
      <ProductFields key={`products-${fill}`} draft={draft} onChange={change} />
      <Files draft={draft} onReplace={replace} />
    </KnifeRoom>
  )
}

/** What is wrong with the measures, as the contract words it; null where nothing is. */
function refusalOf(draft: KnifeLines): string | null {
  // A template is filled to any weight: what lies on the board is compared with the usual one, drawn out to its length.
  const measured = draft.way === 'template' ? usualPiece(draft) : wholePiece(draft)
  const result = portionPiece.safeParse(measured)
  if (result.success) return null
  const issue = result.error.issues[0]
  return issue ? `${issue.path.join(' ')} ${issue.message}`.trim() : 'These measures cannot be.'
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
  wish: ReturnType<typeof wishOf>
  plans: NamedPlan[] | null
  isFresh: boolean
  onChange: (changes: Partial<KnifeLines>) => void
}

function OnTheBoard({ draft, wish, plans, isFresh, onChange }: OnTheBoardProps) {
  const { length } = wish.piece
  const lines = useMemo(() => draft.lines.filter((line) => line > 0 && line < length), [draft.lines, length])
  const judged = useMemo(() => judgeCuts(wish, lines), [wish, lines])
  const addLine = () => {
    const widest = [...judged.parts].sort((a, b) => b.to - b.from - (a.to - a.from))[0]
    if (widest) onChange({ lines: [...lines, Math.round((widest.from + widest.to) / 2)] })
  }
  return (
    <>
      <Board wish={wish} judged={judged} lines={lines} onLines={(next) => onChange({ lines: next })} />
      <div className="actions no-print">
        <Button variant="outline-dark" onClick={addLine}>
          Add a line
        </Button>
        <Button variant="outline-dark" onClick={() => window.print()}>
          Print the plan, one to one
        </Button>
        <span className="quiet">Drag a line, or move it with the arrow keys; a double touch takes it away.</span>
      </div>
      {plans ? (
        <PlansTable plans={plans} judged={judged} wish={wish} onTake={(plan) => onChange({ lines: plan.cuts })} />
      ) : (
        <Loading what="the plans" />
      )}
      {/* Before the first plan is there, the whole piece would be the next cut. */}
      {lines.length > 0 || isFresh ? (
        <CutLoop draft={draft} judged={judged} onChange={onChange} />
      ) : (
        <Loading what="the next cut" />
      )}
      <PartsTable judged={judged} way={draft.way} taken={draft.taken} />
      <OneToOne wish={wish} lines={lines} />
    </>
  )
}

interface FilesProps {
  draft: KnifeLines
  onReplace: (draft: KnifeLines) => void
}

/** Saves the piece to a file, and loads one. */
function Files({ draft, onReplace }: FilesProps) {
  const [refused, setRefused] = useState<string | null>(null)
  const load = (content: unknown) => {
    const read = knifeLines.safeParse(content)
    if (read.success) {
      setRefused(null)
      return onReplace(read.data)
    }
    const issue = read.error.issues[0]
    setRefused(`${issue?.path.join('.')} ${issue?.message}. Nothing was changed.`)
  }
  const href = `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(draft, null, 2))}`
  return (
    <section className="no-print" aria-label="Files">
      <div className="actions">
        <a className="btn btn-outline-dark" href={href} download={`knife-lines-${draft.shape}.json`}>
          Save as JSON
        </a>
        <JsonFileButton words="Load from JSON" what="Knife lines" isPending={false} error={null} onRead={load} />
        <Button variant="outline-dark" onClick={() => onReplace(freshDraft(shapeById(draft.shape)))}>
          Begin a new piece
        </Button>
      </div>
      {refused ? (
        <p className="refusal" role="alert">
          {refused}
        </p>
      ) : null}
    </section>
  )
}
