import type { PlanDraft } from '@fleam/core/planning'
import { useState } from 'react'
import { z } from 'zod'
import { readSetting, writeSetting } from '../../../data/settings.ts'

const said = z.object({
  coming: z.array(z.object({ expectedLineId: z.string(), day: z.string().nullable(), packs: z.number() })),
  /** Ids of cooks, on the day on which it was said. */
  away: z.object({ day: z.string(), cookIds: z.array(z.string()) }),
})
interface Said {
  coming: PlanDraft['coming']
  away: { day: string; cookIds: readonly string[] }
}

/** What is said to be otherwise than a plan thought, kept on this device until what is left is planned. */
export function useSaidOfRest(planId: string, today: string) {
  const setting = `rest-of-plan.${planId}`
  const nothing: Said = { coming: [], away: { day: today, cookIds: [] } }
  const [own, setOwn] = useState<Said>(() => readSaid(readSetting(setting)) ?? nothing)
  const say = (part: Partial<Said>) => {
    const next = { ...own, ...part }
    setOwn(next)
    writeSetting(setting, JSON.stringify(next))
  }
  return {
    coming: own.coming,
    // Who was away yesterday is not away today.
    away: own.away.day === today ? own.away.cookIds : [],
    setComing: (coming: PlanDraft['coming']) => say({ coming }),
    setAway: (cookIds: readonly string[]) => say({ away: { day: today, cookIds } }),
    forget: () => writeSetting(setting, null),
  }
}

function readSaid(text: string | null): Said | null {
  try {
    return text === null ? null : (said.safeParse(JSON.parse(text)).data ?? null)
  } catch {
    return null
  }
}
