import type { ChangeableField, ChangeableKind, DraftPin, PlanDraft } from '@fleam/core/planning'
import type { Plan } from '@fleam/core/plans'
import { useRef, useState } from 'react'
import { useUpdatePlan } from '../../data/planning-queries.ts'
import { useKeptSoon } from './use-kept-soon.ts'

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
  const [content, setSaid] = useState({ name: plan.name, draft: plan.draft })
  const [kept, setKept] = useState(content)
  const version = useRef(plan.version)
  const update = useUpdatePlan(plan.id)
  const { mutate, mutateAsync, isPending, isError } = update
  const isChanged = content !== kept
  const editOf = (own: typeof content) => ({ ...own, name: own.name.trim() || plan.name, version: version.current })
  useKeptSoon(content, {
    ...{ isChanged, isHeld: isPending || isError, afterMs: SAVE_AFTER_MS },
    save: async (own) => {
      const saved = await mutateAsync(editOf(own))
      version.current = saved.version
      setKept(own)
    },
    saveLast: (own) => mutate(editOf(own)),
  })
  const change = (part: Partial<PlanDraft>) => setSaid((before) => ({ ...before, draft: { ...before.draft, ...part } }))
  return {
    ...content,
    rename: (name) => setSaid((before) => ({ ...before, name })),
    change,
    setValue: ({ kind, id, productId = null, field }, value) =>
      setSaid((before) => {
        const others = before.draft.changes.filter(
          (change) =>
            !(change.kind === kind && change.id === id && change.field === field && change.productId === productId),
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
