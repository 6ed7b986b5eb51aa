import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { planOperations } from '@fleam/contract/planning/operations'
import {
  daysOf,
  type OrderPlanRequest,
  orderPlanModel,
  type PlanDraft,
  planRequest,
  solveOrderPlan,
} from '@fleam/core/planning'
import { type SolveProgramme, solveWith } from '@fleam/core/solving'
import loadHighs from 'highs'
import { isNativeThere, NATIVE, solveNatively } from './native-solver.ts'
import { report } from './report.ts'

/** As long as the room looks where nobody says otherwise. */
const SECONDS = 10

/** The demo's weeks, and three products with short days and little room in the cold. */
async function plansOf(url: string): Promise<{ name: string; request: OrderPlanRequest }[]> {
  const call = callAt(url)
  const plans: { name: string; request: OrderPlanRequest }[] = []
  for (const { id: kitchenId, currency } of await call(kitchenOperations.listKitchens, {})) {
    for (const row of await call(planOperations.listPlans, { kitchenId })) {
      const { name, accepted } = await call(planOperations.readPlan, { kitchenId, planId: row.id })
      if (!accepted) continue
      const { draft, goods } = accepted
      plans.push({ name, request: planRequest(draft, goods, currency).request })
      if (draft.menu.length > 3) {
        const short = tight(draft)
        plans.push({ name: `${name}, three products`, request: planRequest(short, goods, currency).request })
      }
    }
  }
  return plans
}

/** Seven days of two hours at the board, 40 kg of cold, three products on every day. */
function tight(draft: PlanDraft): PlanDraft {
  const week = { ...draft, days: 7 }
  return {
    ...{ ...week, menu: draft.menu.slice(0, 3), portions: [], coldSpace: 40 },
    covers: daysOf(week).map((day, index) => ({ day, covers: 50 + 4 * index })),
    hours: daysOf(week).map((day) => ({ day, hours: 2 })),
  }
}

const percent = (share: number) => `${(share * 100).toFixed(2)} %`

/** How sure plans of a kitchen's size are after ten seconds, beside a native solver; and how large they are. */
export async function benchPlanGaps(url: string): Promise<void> {
  const solve = solveWith(await loadHighs(), () => performance.now())
  const folder = mkdtempSync(join(tmpdir(), 'gaps-'))
  for (const { name, request } of await plansOf(url)) {
    let nodes = 0
    const counted = Object.assign((...asked: Parameters<SolveProgramme>) => {
      const solved = solve(...asked)
      nodes += solved.nodes
      return solved
    }, solve)
    const began = performance.now()
    const ours = solveOrderPlan(orderPlanModel(request), { solve: counted, seconds: SECONDS })
    const took = performance.now() - began
    const rootOnly = Object.assign(
      (...[programme, options]: Parameters<SolveProgramme>) => solve(programme, { ...options, mostNodes: 1 }),
      solve,
    )
    const root = solveOrderPlan(orderPlanModel(request), { solve: rootOnly, seconds: SECONDS, isProofNeeded: true })
    const { programme } = orderPlanModel(request)
    const best = ours?.cost.best ?? Number.NaN
    const native = isNativeThere() ? solveNatively(folder, request, SECONDS) : null
    const size = `${programme.isWhole.filter(Boolean).length} integers, ${programme.rows.length} rows`
    const bound = Math.min(best, root?.cost.bound ?? Number.NaN)
    report(
      `${name}, gap after ${SECONDS} s at most`,
      `${percent(ours?.cost.gap ?? 1)}, ${(took / 1000).toFixed(1)} s`,
      native ? `${NATIVE} ${percent((native.best - native.bound) / native.best)}` : `${NATIVE} is not installed`,
      best / (native?.best ?? best),
      `${size}, ${nodes} nodes; root ${percent((best - bound) / best)} below; costs ${best.toFixed(2)} and ${native?.best.toFixed(2) ?? '–'}`,
    )
  }
  rmSync(folder, { recursive: true, force: true })
}
