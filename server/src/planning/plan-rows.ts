import { missing } from '@fleam/core/planning'
import { type PlanRow, planRow } from '@fleam/core/plans'
import { QueryTypes } from 'sequelize'
import { parsedJsonOf } from '../database/index.ts'
import { dayOf, eachReadable, type Scope, within } from '../scope/index.ts'
import { MAX_LISTED } from './store.ts'

interface Row {
  id: string
  name: string
  draft: unknown
  acceptedAt: string | null
  total: number | null
  status: string | null
  gap: number | null
  short: unknown
}

interface Counted {
  planId: string
  all: number
  done: number | null
}

/** Something has come of a line, or somebody said that it did. */
const CAME = `(own.arrived IS NOT NULL OR EXISTS (SELECT 1 FROM lots AS came
  WHERE came.kitchen_id = own.kitchen_id AND came.expected_line_id = own.id))`

/** Plans, those that begin last at the top: what each costs, how sure that is, and how far it has come. */
export async function planRows(scope: Scope): Promise<PlanRow[]> {
  const select = <T extends object>(sql: string) =>
    scope.database.sequelize.query<T>(sql, {
      type: QueryTypes.SELECT,
      replacements: { kitchenId: scope.kitchen.id, today: dayOf(scope), limit: MAX_LISTED },
      ...within(scope),
    })
  const answer = (path: string) => `JSON_EXTRACT(accepted, '$.answer.${path}')`
  const rows = await select<Row>(
    `SELECT id, name, draft, accepted_at AS acceptedAt, ${answer('cost.total')} + 0.0 AS total,
       JSON_UNQUOTE(${answer('status')}) AS status, ${answer('gap')} + 0.0 AS gap, ${answer('short')} AS short
     FROM order_plans WHERE kitchen_id = :kitchenId ORDER BY created_at DESC LIMIT :limit`,
  )
  const expected = await select<Counted & { next: string | null }>(
    `SELECT own.plan_id AS planId, COUNT(*) AS \`all\`, SUM(${CAME}) AS done,
       CAST(MIN(CASE WHEN own.day >= :today AND NOT ${CAME} THEN own.day END) AS CHAR) AS next
     FROM expected_lines AS own WHERE own.kitchen_id = :kitchenId GROUP BY own.plan_id`,
  )
  const planned = await select<Counted & { overdue: number | null }>(
    `SELECT own.plan_id AS planId, COUNT(*) AS \`all\`, SUM(COALESCE(made.status = 'closed', 0)) AS done,
       SUM(own.fabrication_id IS NULL AND own.day < :today) AS overdue
     FROM planned_fabrications AS own
     LEFT JOIN fabrications AS made ON made.kitchen_id = own.kitchen_id AND made.id = own.fabrication_id
     WHERE own.kitchen_id = :kitchenId AND NOT own.is_dropped GROUP BY own.plan_id`,
  )
  const expectedOf = new Map(expected.map((row) => [row.planId, row]))
  const plannedOf = new Map(planned.map((row) => [row.planId, row]))
  return eachReadable(
    scope,
    rows,
    ({ id, name }) => ({ kind: 'plan', id, name }),
    ({ id, name, draft, acceptedAt, ...row }) => {
      const { from, days } = planRow.pick({ from: true, days: true }).parse(parsedJsonOf(draft))
      return {
        ...{ id, name, from, days, acceptedAt },
        planned: Number(plannedOf.get(id)?.all ?? 0),
        finished: Number(plannedOf.get(id)?.done ?? 0),
        expected: Number(expectedOf.get(id)?.all ?? 0),
        arrived: Number(expectedOf.get(id)?.done ?? 0),
        answer: acceptedAt && row.status !== null ? answerOfRow(row) : null,
        nextDelivery: expectedOf.get(id)?.next ?? null,
        overdue: Number(plannedOf.get(id)?.overdue ?? 0),
      }
    },
  ).sort((a, b) => b.from.localeCompare(a.from))
}

function answerOfRow({ total, status, gap, short }: Pick<Row, 'total' | 'status' | 'gap' | 'short'>) {
  const portions = missing((parsedJsonOf(short) ?? []) as { quantity: number }[])
  return planRow.shape.answer.parse({
    total: Number(total),
    status,
    gap: Number(gap),
    short: portions.reduce((sum, { quantity }) => sum + quantity, 0),
  })
}
