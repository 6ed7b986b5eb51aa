import { QueryTypes, type Sequelize } from 'sequelize'
import { parsedJsonOf } from '../models/parsed-json.ts'
import { runSteps } from '../steps.ts'

interface OldDraft {
  replaces?: string | null
  coming?: unknown[]
}
interface OldPlan {
  kitchenId: string
  id: string
  draft: OldDraft
  accepted: { draft?: OldDraft; goods?: { held?: unknown; coming?: unknown[]; stock: { held?: number }[] } } | null
}

const aloneOf = (draft: OldDraft) => ({ replaces: null, coming: [], ...draft })

/** Plans that were made before knew of no others. */
async function knowNoOthers(database: Sequelize): Promise<void> {
  const plans = await database.query<OldPlan>('SELECT kitchen_id AS kitchenId, id, draft, accepted FROM order_plans', {
    type: QueryTypes.SELECT,
  })
  for (const { kitchenId, id, ...row } of plans) {
    const draft = parsedJsonOf(row.draft)
    const accepted = row.accepted === null ? null : parsedJsonOf(row.accepted)
    if (!draft || draft.replaces !== undefined) continue
    if (accepted?.draft) accepted.draft = aloneOf(accepted.draft)
    if (accepted?.goods) {
      accepted.goods.held = { plans: [], minutes: [], kilos: [] }
      accepted.goods.coming = []
      for (const stock of accepted.goods.stock) stock.held = 0
    }
    await database.query(
      'UPDATE order_plans SET draft = :draft, accepted = :accepted WHERE kitchen_id = :kitchenId AND id = :id',
      {
        replacements: {
          ...{ kitchenId, id, draft: JSON.stringify(aloneOf(draft)) },
          accepted: accepted === null ? null : JSON.stringify(accepted),
        },
      },
    )
  }
}

/** What a plan rests on says what other plans hold, and a plan may stand in the place of what is left of another. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '038-held-by-plans', [() => knowNoOthers(database)])
