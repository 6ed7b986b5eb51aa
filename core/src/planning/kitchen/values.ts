import type { ChangeableField, ChangeableKind } from './changeable.ts'
import type { Known } from './goods.ts'
import type { PlanDraft } from './plan-draft.ts'

export interface ValueOf {
  kind: ChangeableKind
  id: string
  productId?: string | null
  field: ChangeableField
}

/** What was said of a value for this plan alone; null where nothing was. */
export const saidIn = ({ changes }: Pick<PlanDraft, 'changes'>, of: ValueOf): number | null =>
  changes.find(
    (change) =>
      change.kind === of.kind &&
      change.id === of.id &&
      change.field === of.field &&
      change.productId === (of.productId ?? null),
  )?.value ?? null

/** The value of something as this plan has it: as it was said for it, else as the kitchen knows it. */
export function valueIn(draft: Pick<PlanDraft, 'changes'>, of: ValueOf, known: Known): Known {
  const changed = saidIn(draft, of)
  return changed === null ? known : { value: changed, source: 'plan' }
}
