import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { orderPlanModel, orderPlanRequest, solveOrderPlan } from '@fleam/core/planning'
import { solveWith } from '@fleam/core/solving'
import loadHighs from 'highs'
import { isNativeThere, NATIVE, solveNatively } from './native-solver.ts'
import { median, report } from './report.ts'

/** The cases that the tests of the core run too. */
const CASES = join(import.meta.dirname, '../core/cases/order-plan.json')
const ROUNDS = 3
const SECONDS = 60

/** The order plans of the cases beside a native solver on the same programmes, and both optima. */
export async function benchPlanning(): Promise<void> {
  if (!isNativeThere()) {
    process.stdout.write(`order plans: ${NATIVE} is not installed, nothing to measure beside\n`)
    return
  }
  const solve = solveWith(await loadHighs(), () => performance.now())
  const folder = mkdtempSync(join(tmpdir(), 'plans-'))
  const cases = JSON.parse(readFileSync(CASES, 'utf8')) as { name: string; input: unknown }[]
  for (const { name, input } of cases) {
    const request = orderPlanRequest.parse(input)
    const times = { ours: [] as number[], native: [] as number[] }
    let optima: [number, number] = [0, 0]
    for (let round = 0; round < ROUNDS; round++) {
      const began = performance.now()
      const solved = solveOrderPlan(orderPlanModel(request), { solve, seconds: SECONDS })
      times.ours.push(performance.now() - began)
      const again = performance.now()
      const native = solveNatively(folder, request, SECONDS).best
      times.native.push(performance.now() - again)
      optima = [solved?.cost.best ?? Number.NaN, native]
    }
    const [ours, native] = [median(times.ours), median(times.native)]
    const [best, other] = optima
    report(
      `order plan, ${name}`,
      `${ours.toFixed(0)} ms`,
      `native ${native.toFixed(0)} ms`,
      ours / native,
      `optima ${best.toFixed(4)} and ${other.toFixed(4)}`,
    )
  }
  rmSync(folder, { recursive: true, force: true })
}
