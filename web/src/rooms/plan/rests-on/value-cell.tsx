import {
  type ChangeableField,
  type ChangeableKind,
  type GoodsSource,
  type Known,
  type PlanGoods,
  saidIn,
} from '@fleam/core/planning'
import { NumberField } from '../../../parts/number-field.tsx'
import css from '../plan.module.css'
import type { DraftState } from '../use-plan-draft.ts'

export interface RestsOnProps {
  state: DraftState
  goods: PlanGoods
}

export const SOURCE_WORDS: Readonly<Record<GoodsSource, string>> = {
  own: 'our own',
  blended: 'blended',
  assumed: 'assumed',
  'price-book': 'price book',
  terms: 'their terms',
  week: 'the cooks’ week',
  cold: 'the cold',
  plan: 'for this plan',
}

interface ValueCellProps {
  state: DraftState
  of: { kind: ChangeableKind; id: string; productId?: string; field: ChangeableField }
  /** Null where there is no limit as long as nobody says one. */
  known: Known | null
  label: string
  /** What stands there as long as nobody says a value. */
  unknown?: string
  /** Only whole numbers, from this on. */
  wholeFrom?: number
}

/** A value with where it is from; typed over, it is this plan's; emptied, the kitchen's again. */
export function ValueCell({ state, of, known, label, unknown = 'no limit', wholeFrom }: ValueCellProps) {
  const changed = saidIn(state.draft, of)
  const shown = changed === null ? known : { value: changed, source: 'plan' as const }
  return (
    <td className={css.value}>
      <NumberField
        label={label}
        isLabelHidden
        value={shown && Math.round(shown.value * 1000) / 1000}
        hint={shown ? SOURCE_WORDS[shown.source] : unknown}
        min={wholeFrom ?? 0}
        onChange={(typed, isValid) => {
          if (!isValid || (typed !== null && wholeFrom !== undefined && !Number.isInteger(typed))) return
          state.setValue(of, typed)
        }}
      />
    </td>
  )
}
