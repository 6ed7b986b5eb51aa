import type { Plan } from '@fleam/contract'
import type { ChangeableField, ChangeableKind, DraftPin, PlanDraft } from '@fleam/core'
import { useEffect, useRef, useState } from 'react'
import { useUpdatePlan } from '../../data/planning-queries.ts'

const SAVE_AFTER_MS = 600

export interface DraftState {
  name: string
  draft: PlanDraft
  rename: (name: string) => void
  change: (part: Partial<PlanDraft>) => void
  /** Says a value for this plan alone; null takes it back. */
  setValue: (
    of: { kind: ChangeableKind; id: string; productId?: string; field: ChangeableField },
    value: number | null,
  ) => void
  /** Pins something, or lets it go again where nothing is held. */
  setPin: (pin: DraftPin) => void
  saving: 'kept' | 'changed' | 'saving' | 'failed'
  error: unknown
  retry: () => void
  version: number
}

/** A plan while it is worked on: every change stands at once and is kept a moment later. */
export function usePlanDraft(plan: Plan): DraftState {
  const [said, setSaid] = useState({ name: plan.name, draft: plan.draft })
  const [kept, setKept] = useState(said)
  const version = useRef(plan.version)
  const update = useUpdatePlan(plan.id)
  const { mutate, mutateAsync, isPending, isError } = update
  const isChanged = said !== kept
  // What was typed a moment before somebody leaves the room is kept too, behind what is being kept.
  const sending = useRef<Promise<unknown>>(Promise.resolve())
  const unsaved = useRef<typeof said | null>(null)
  unsaved.current = isChanged ? { ...said, name: said.name.trim() || plan.name } : null
  useEffect(
    () => () => {
      const last = unsaved.current
      if (last !== null) void sending.current.then(() => mutate({ ...last, version: version.current }))
    },
    [mutate],
  )
  useEffect(() => {
    if (!isChanged || isPending || isError) return
    const timer = setTimeout(() => {
      const edit = { ...said, name: said.name.trim() || plan.name, version: version.current }
      sending.current = mutateAsync(edit).then(
        (saved) => {
          version.current = saved.version
          setKept(said)
        },
        // What failed is told where it failed, and is tried again from there.
        () => {},
      )
    }, SAVE_AFTER_MS)
    return () => clearTimeout(timer)
  }, [said, isChanged, isPending, isError, mutateAsync, plan.name])
  const change = (part: Partial<PlanDraft>) => setSaid((before) => ({ ...before, draft: { ...before.draft, ...part } }))
  return {
    ...said,
    rename: (name) => setSaid((before) => ({ ...before, name })),
    change,
    setValue: ({ kind, id, productId = null, field }, value) =>
      setSaid((before) => {
        const others = before.draft.changes.filter(
          (each) => !(each.kind === kind && each.id === id && each.field === field && each.productId === productId),
        )
        const changes = value === null ? others : [...others, { kind, id, productId, field, value }]
        return { ...before, draft: { ...before.draft, changes } }
      }),
    setPin: (pin) =>
      setSaid((before) => {
        const others = before.draft.pins.filter(
          ({ kind, id, day }) => kind !== pin.kind || id !== pin.id || day !== pin.day,
        )
        const pins = pin.atLeast === null && pin.atMost === null ? others : [...others, pin]
        return { ...before, draft: { ...before.draft, pins } }
      }),
    saving: isPending ? 'saving' : isError ? 'failed' : isChanged ? 'changed' : 'kept',
    error: update.error,
    retry: () => update.reset(),
    version: version.current,
  }
}
