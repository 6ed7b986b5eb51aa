import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'
import { changePlans } from './change-plans.ts'

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

const saySoOfPlans = (database: Sequelize): Promise<void> =>
  changePlans<OldDraft, OldGoods>(database, ({ draft, accepted }) => {
    asWasSaid(draft)
    if (accepted?.draft) asWasSaid(accepted.draft)
    if (accepted?.goods) asWasKnown(accepted.goods)
    return true
  })

/**
 * A kitchen says what a light plate is (a plate, as plans had it), pins may be of one day, cooks may be away, and what a
 * plan rests on says what a plate carries, what is used in a week and what of the cooks' hours is cutting: of old plans
 * nobody knows.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '039-plates-and-pins', [
    "ALTER TABLE kitchens ADD COLUMN IF NOT EXISTS light_plates VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT 'whole'",
    () => saySoOfPlans(database),
  ])
