import type { PlanDraft } from '@fleam/core/planning'
import { useState } from 'react'
import { z } from 'zod'
import { readSetting, writeSetting } from '../../../data/settings.ts'

const restChanges = z.object({
  coming: z.array(z.object({ expectedLineId: z.string(), day: z.string().nullable(), packs: z.number() })),
  /** Ids of cooks who are away, and the day on which they are. */
  away: z.object({ day: z.string(), cookIds: z.array(z.string()) }),
})
interface RestChanges {
  coming: PlanDraft['coming']
  away: { day: string; cookIds: readonly string[] }
}

/** What is otherwise than a plan thought, kept on this device until what is left is planned. */
export function useRestChanges(planId: string, today: string) {
  const setting = `rest-of-plan.${planId}`
  const none: RestChanges = { coming: [], away: { day: today, cookIds: [] } }
  const [changes, setChanges] = useState<RestChanges>(() => parsedChanges(readSetting(setting)) ?? none)
  const update = (part: Partial<RestChanges>) => {
    const next = { ...changes, ...part }
    setChanges(next)
    writeSetting(setting, JSON.stringify(next))
  }
  return {
    coming: changes.coming,
    // Who was away yesterday is not away today.
    away: changes.away.day === today ? changes.away.cookIds : [],
    setComing: (coming: PlanDraft['coming']) => update({ coming }),
    setAway: (cookIds: readonly string[]) => update({ away: { day: today, cookIds } }),
    forget: () => writeSetting(setting, null),
  }
}

function parsedChanges(text: string | null): RestChanges | null {
  try {
    return text === null ? null : (restChanges.safeParse(JSON.parse(text)).data ?? null)
  } catch {
    return null
  }
}
