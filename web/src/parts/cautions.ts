import { type Caution, type CautionPlace, cautionById, cautionsFor } from '@fleam/catalogue'
import type { CautionOverride } from '@fleam/contract/cautions/operations'
import { type ColdLimits, DEFAULT_COLD_LIMITS } from '@fleam/core/fabrication'
import type { Species } from '@fleam/core/style'
import { useCautionOverrides } from '../data/style-queries.ts'
import { useFormat } from './use-format.ts'

/** A caution as this kitchen has it: the default, or its own words with its reason. */
export interface KitchenCaution extends Caution {
  /** Why the kitchen departs from the default; null where it does not. */
  reason: string | null
}

export interface KitchenCautions {
  /** Of a step, where it is one. */
  byIds: (ids: readonly string[], step?: string | null) => KitchenCaution[]
  at: (species: Species, place: CautionPlace) => KitchenCaution[]
  coldLimits: ColdLimits
}

/** What lies on the board: a caution of one's own holds where it was written for, and nowhere else. */
export interface CautionWhere {
  itemId?: string | null
  styleId?: string | null
}

/** How near an override is to what is asked for: a step, a style, an item, everywhere; null where it holds elsewhere. */
function nearness(override: CautionOverride, { itemId, styleId }: CautionWhere, step: string | null): number | null {
  if (override.step !== null) return override.styleId === styleId && override.step === step ? 3 : null
  if (override.styleId !== null) return override.styleId === styleId ? 2 : null
  if (override.itemId !== null) return override.itemId === itemId ? 1 : null
  return 0
}

/**
 * The cautions of this kitchen in its measures: every default, with what its own plan says instead where this lies on
 * the board.
 */
export function useKitchenCautions(where: CautionWhere = {}): KitchenCautions {
  const { data: overrides = [] } = useCautionOverrides()
  const { words } = useFormat()
  const nearest = (cautionId: string, step: string | null) =>
    overrides
      .filter((override) => override.cautionId === cautionId)
      .flatMap((override) => {
        const near = nearness(override, where, step)
        return near === null ? [] : [{ override, near }]
      })
      .sort((a, b) => b.near - a.near)[0]?.override
  const inKitchen = (caution: Caution, step: string | null = null): KitchenCaution => {
    const override = nearest(caution.id, step)
    return { ...caution, text: words(override?.text ?? caution.text), reason: override?.reason ?? null }
  }
  const cold = nearest('cold-chain', null)
  return {
    byIds: (ids, step = null) => ids.flatMap((id) => cautionById(id) ?? []).map((caution) => inKitchen(caution, step)),
    at: (species, place) => cautionsFor(species, place).map((caution) => inKitchen(caution)),
    coldLimits: {
      boardMinutes: cold?.boardMinutes ?? DEFAULT_COLD_LIMITS.boardMinutes,
      outMinutes: cold?.outMinutes ?? DEFAULT_COLD_LIMITS.outMinutes,
    },
  }
}
