import { QueryTypes, type Sequelize } from 'sequelize'
import { parsedJsonOf } from '../models/parsed-json.ts'
import { runSteps } from '../steps.ts'

interface OldPlan {
  kitchenId: string
  id: string
  accepted: { goods: { held?: unknown; stock: { held?: number }[] } }
}

/** Plans that were accepted before knew of no others. */
async function holdNothing(database: Sequelize): Promise<void> {
  const plans = await database.query<OldPlan>(
    'SELECT kitchen_id AS kitchenId, id, accepted FROM order_plans WHERE accepted IS NOT NULL',
    { type: QueryTypes.SELECT },
  )
  for (const { kitchenId, id, accepted: text } of plans) {
    const accepted = parsedJsonOf(text)
    if (!accepted?.goods || accepted.goods.held !== undefined) continue
    accepted.goods.held = { plans: [], minutes: [], kilos: [] }
    for (const stock of accepted.goods.stock) stock.held ??= 0
    await database.query('UPDATE order_plans SET accepted = :accepted WHERE kitchen_id = :kitchenId AND id = :id', {
      replacements: { accepted: JSON.stringify(accepted), kitchenId, id },
    })
  }
}

/** What a plan rests on says what other plans hold. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '038-held-by-plans', [() => holdNothing(database)])
