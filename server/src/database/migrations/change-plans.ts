import { QueryTypes, type Sequelize } from 'sequelize'
import { parsedJsonOf } from '../parsed-json.ts'

/** A plan as it is kept: what was said of it, and what was accepted, with the goods that it rests on. */
interface KeptPlan<Draft, Goods> {
  draft: Draft
  accepted: { draft?: Draft; goods?: Goods } | null
}

/** Changes what is kept of every plan in place; `change` answers false where a plan stays as it is. */
export async function changePlans<Draft, Goods>(
  database: Sequelize,
  change: (plan: KeptPlan<Draft, Goods>) => boolean,
): Promise<void> {
  const rows = await database.query<KeptPlan<Draft, Goods> & { kitchenId: string; id: string }>(
    'SELECT kitchen_id AS kitchenId, id, draft, accepted FROM order_plans',
    { type: QueryTypes.SELECT },
  )
  for (const { kitchenId, id, ...row } of rows) {
    const draft = parsedJsonOf(row.draft as never) as Draft | null
    const accepted = row.accepted === null ? null : parsedJsonOf(row.accepted)
    const plan = { draft: draft as Draft, accepted }
    if (!draft || !change(plan)) continue
    await database.query(
      'UPDATE order_plans SET draft = :draft, accepted = :accepted WHERE kitchen_id = :kitchenId AND id = :id',
      {
        replacements: {
          ...{ kitchenId, id, draft: JSON.stringify(plan.draft) },
          accepted: accepted === null ? null : JSON.stringify(accepted),
        },
      },
    )
  }
}
