import type { Work } from '@fleam/contract/portioning/work'
import { issuesOf, type Problem } from '@fleam/contract/problem'
import { brokenText, HALF_A_CHARACTER } from '@fleam/contract/well-formed'
import { type Appraisal, appraise } from '@fleam/core/appraisal'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { fabricationDocument } from '@fleam/core/fabrication'
import { type OrderPlan, type OrderPlanRequest, planOrders } from '@fleam/core/planning'
import { platePieces } from '@fleam/core/plating'
import { planBonded, planPortions, planRacks } from '@fleam/core/portioning'
import { planSchedule, type Schedule, type ScheduleRequest } from '@fleam/core/scheduling'
import { type PriceListRead, type PriceListRequest, readSentPriceList } from './read-price-list.ts'
import { loadSolver } from './solver.ts'

/** A document that was read from its text, or why it is none. */
export type ReadDocument =
  | { document: FabricationDocument }
  | { code: 'not-json' | 'invalid-input'; issues: Problem['issues']; detail: string }

/** What is worked out beside the server: what the pages work out aside too, and what only a server is sent. */
export interface ServerWork extends Work {
  /** The text of a document: to take a long one apart would hold up whoever weighs. */
  'read-document': { input: string; answer: ReadDocument }
  /** A price list, from the bytes of the request to its lines. */
  'read-price-list': { input: PriceListRequest; answer: PriceListRead }
  appraise: { input: FabricationDocument; answer: Appraisal }
  'order-plan': { input: OrderPlanRequest; answer: OrderPlan }
  schedule: { input: ScheduleRequest; answer: Schedule }
}
export type ServerWorkName = keyof ServerWork

const DO: {
  [N in ServerWorkName]: (input: ServerWork[N]['input']) => ServerWork[N]['answer'] | Promise<ServerWork[N]['answer']>
} = {
  'portion-plan': planPortions,
  'bonded-plan': planBonded,
  'rack-plan': async (input) => planRacks(input, await loadSolver()),
  'order-plan': async (input) => planOrders(input, await loadSolver()),
  schedule: async (input) => planSchedule(input, await loadSolver()),
  plating: async (input) => platePieces(input, await loadSolver()),
  'read-document': readDocument,
  'read-price-list': readSentPriceList,
  appraise,
}

/** Works one thing out. */
export const work = async <N extends ServerWorkName>(
  name: N,
  input: ServerWork[N]['input'],
): Promise<ServerWork[N]['answer']> => DO[name](input)

function readDocument(text: string): ReadDocument {
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch (error) {
    return { code: 'not-json', issues: [], detail: (error as Error).message }
  }
  const read = fabricationDocument.safeParse(parsed)
  if (read.success) {
    const path = brokenText(read.data)
    if (path === null) return { document: read.data }
    const message = HALF_A_CHARACTER
    return { code: 'invalid-input', issues: [{ path, message }], detail: `${path} ${message}` }
  }
  const issues = issuesOf(read.error)
  return { code: 'invalid-input', issues, detail: issues.map(({ path, message }) => `${path} ${message}`)[0] ?? '' }
}
