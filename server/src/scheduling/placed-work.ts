import type { Plan } from '@fleam/core/plans'
import { planJobs, workCooks } from '@fleam/core/plans'
import { placedTaskOf, workPlan } from '@fleam/core/scheduling'
import { cooks } from '../kitchen/index.ts'
import type { Scope } from '../scope/index.ts'
import { items } from '../style/index.ts'
import { stylesWork } from './store.ts'

/** The work of an accepted plan, and where its schedule places it; null where it has none. */
export async function placedWork(scope: Scope, { accepted, schedule }: Pick<Plan, 'accepted' | 'schedule'>) {
  if (!accepted || !schedule) return null
  const { from, days } = accepted.draft
  const works = await stylesWork(scope, [...new Set(accepted.planned.map(({ styleId }) => styleId))])
  const allItems = await items(scope)
  const jobs = planJobs(accepted, { items: allItems, works, schedule, timeZone: scope.kitchen.timeZone })
  const working = workCooks(await cooks(scope), { away: [], days: schedule.days })
  const work = workPlan(jobs, { from, days, cooks: working, settings: schedule.settings, now: 0 })
  const placed = schedule.tasks.map(placedTaskOf)
  return { work, jobs, placed, known: allItems, from }
}
