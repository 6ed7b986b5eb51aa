import { comesAs } from '@fleam/core/planning'
import type { ExpectedLine, PlanAccepted } from '@fleam/core/plans'
import { Refusal } from '../http/index.ts'
import type { Scope } from '../scope/index.ts'
import * as store from './store.ts'

/** Lines of a plan's orders of which nothing has come. */
export async function comingOf(scope: Scope, planId: string): Promise<ExpectedLine[]> {
  const lines = await store.linesOfPlan(scope, planId)
  return lines.filter(({ arrived, lots }) => arrived === null && lots.length === 0)
}

/**
 * Puts what is planned anew in the place of what is left of an accepted plan: what waits of it is not cut after all, and
 * its deliveries come as is known now. What has come or begun since it was planned is refused: it was not known then.
 */
export async function replaceRest(
  scope: Scope,
  { draft, goods }: Pick<PlanAccepted, 'draft' | 'goods'>,
): Promise<void> {
  const { replaces } = draft
  if (replaces === null) return
  const old = await store.planById(scope, replaces, { isLocked: true })
  if (!old?.accepted) throw invalid('draft.replaces', 'is no accepted plan')
  const heir = (await store.acceptedPlans(scope)).find((plan) => plan.draft.replaces === replaces)
  if (heir) throw invalid('draft.replaces', `is planned anew already: ${heir.name} stands in its place`)
  await store.lockAccepted(scope, replaces)
  const coming = new Map((await comingOf(scope, replaces)).map((line) => [line.id, line]))
  const came = goods.coming.find(({ expectedLineId }) => !coming.has(expectedLineId))
  if (came) throw invalid('goods.coming', `has ${came.name}, which has come since: plan what is left again`)
  for (const line of goods.coming) {
    const delivery = coming.get(line.expectedLineId)
    const comes = comesAs(line, draft)
    if (!delivery || (comes?.day === delivery.day && comes.packs === delivery.packs)) continue
    const packs = comes?.packs ?? 0
    await store.updateLine(scope, delivery.id, {
      ...(comes === null
        ? { arrived: 0 }
        : { day: comes.day, packs, units: (delivery.units * packs) / delivery.packs }),
    })
  }
  await store.dropWaiting(scope, replaces, true)
}

/** Lets what is left of a plan be cut again, where the plan in its place is cancelled. */
export const restoreRest = async (
  scope: Scope,
  { replaces }: Pick<PlanAccepted['draft'], 'replaces'>,
): Promise<void> => {
  if (replaces !== null) await store.dropWaiting(scope, replaces, false)
}

const invalid = (path: string, message: string) =>
  new Refusal('invalid-input', `${path} ${message}`, { issues: [{ path, message }] })
