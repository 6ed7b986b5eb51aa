import { type Caution, type CautionPlace, cautionById, cautionsFor, type Species } from '@fleam/catalogue'
import { type ColdLimits, DEFAULT_COLD_LIMITS } from '@fleam/core'
import { useCautionOverrides } from '../data/style-queries.ts'
import { useFormat } from './use-format.ts'

/** A caution as this kitchen has it: the default, or its own words with its reason. */
export interface KitchenCaution extends Caution {
  /** Why the kitchen departs from the default; null where it does not. */
  reason: string | null
}

export interface KitchenCautions {
  byIds: (ids: readonly string[]) => KitchenCaution[]
  at: (species: Species, place: CautionPlace) => KitchenCaution[]
  coldLimits: ColdLimits
}

/** The cautions of this kitchen in its measures: every default, with what its own plan says instead. */
export function useKitchenCautions(): KitchenCautions {
  const { data: overrides = [] } = useCautionOverrides()
  const { words } = useFormat()
  const own = (caution: Caution): KitchenCaution => {
    const override = overrides.find((each) => each.cautionId === caution.id)
    return { ...caution, text: words(override?.text ?? caution.text), reason: override?.reason ?? null }
  }
  const cold = overrides.find((each) => each.cautionId === 'cold-chain')
  return {
    byIds: (ids) => ids.flatMap((id) => cautionById(id) ?? []).map(own),
    at: (species, place) => cautionsFor(species, place).map(own),
    coldLimits: {
      boardMinutes: cold?.boardMinutes ?? DEFAULT_COLD_LIMITS.boardMinutes,
      outMinutes: cold?.outMinutes ?? DEFAULT_COLD_LIMITS.outMinutes,
    },
  }
}
