import { QueryTypes, type Sequelize } from 'sequelize'
import { parsedJsonOf } from '../models/parsed-json.ts'
import { runSteps } from '../steps.ts'

interface OldDraft {
  away?: unknown[]
  pins?: { day?: string | null }[]
}
interface OldGoods {
  products?: { usedPerWeek?: unknown }[]
  cuts?: { yields: { carries?: number | null }[] }[]
  ready?: { carries?: number | null }[]
  boardShare?: { value: number; schedules: number }
}
interface OldPlan {
  kitchenId: string
  id: string
  draft: OldDraft
  accepted: { draft?: OldDraft; goods?: OldGoods } | null
}

/** A pin was of all days together, and nobody was said to be away. */
function asWasSaid(draft: OldDraft): void {
  draft.away ??= []
  for (const pin of draft.pins ?? []) pin.day ??= null
}

function asWasKnown(goods: OldGoods): void {
  for (const product of goods.products ?? []) product.usedPerWeek ??= null
  const portions = [...(goods.cuts ?? []).flatMap(({ yields }) => yields), ...(goods.ready ?? [])]
  for (const own of portions) own.carries ??= null
  goods.boardShare ??= { value: 1, schedules: 0 }
}

async function saySoOfPlans(database: Sequelize): Promise<void> {
  const plans = await database.query<OldPlan>('SELECT kitchen_id AS kitchenId, id, draft, accepted FROM order_plans', {
    type: QueryTypes.SELECT,
  })
  for (const { kitchenId, id, ...row } of plans) {
    const draft = parsedJsonOf(row.draft)
    const accepted = row.accepted === null ? null : parsedJsonOf(row.accepted)
    if (!draft) continue
    asWasSaid(draft)
    if (accepted?.draft) asWasSaid(accepted.draft)
    if (accepted?.goods) asWasKnown(accepted.goods)
    await database.query(
      'UPDATE order_plans SET draft = :draft, accepted = :accepted WHERE kitchen_id = :kitchenId AND id = :id',
      {
        replacements: {
          ...{ kitchenId, id, draft: JSON.stringify(draft) },
          accepted: accepted === null ? null : JSON.stringify(accepted),
        },
      },
    )
  }
}

/**
 * A kitchen says what a light plate is (a plate, as plans had it), pins may be of one day, cooks may be away, and what a plan rests on says
 * what a plate carries, what is used in a week and what of the cooks' hours is cutting: of old plans nobody knows.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '039-plates-and-pins', [
    "ALTER TABLE kitchens ADD COLUMN IF NOT EXISTS light_plates VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT 'whole'",
    () => saySoOfPlans(database),
  ])
