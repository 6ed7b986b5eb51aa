import type { Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'
import { changePlans } from './change-plans.ts'

interface OldDraft {
  replaces?: string | null
  coming?: unknown[]
}
interface OldGoods {
  held?: unknown
  coming?: unknown[]
  stock: { held?: number }[]
}

/** Plans that were made before knew of no others. */
const knowNoOthers = (database: Sequelize): Promise<void> =>
  changePlans<OldDraft, OldGoods>(database, ({ draft, accepted }) => {
    if (draft.replaces !== undefined) return false
    for (const own of [draft, ...(accepted?.draft ? [accepted.draft] : [])]) {
      own.replaces ??= null
      own.coming ??= []
    }
    if (accepted?.goods) {
      accepted.goods.held = { plans: [], minutes: [], kilos: [] }
      accepted.goods.coming = []
      for (const stock of accepted.goods.stock) stock.held = 0
    }
    return true
  })

/** What a plan rests on says what other plans hold, and a plan may stand in the place of what is left of another. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '038-held-by-plans', [() => knowNoOthers(database)])
