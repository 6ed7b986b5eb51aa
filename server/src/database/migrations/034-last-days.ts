import { QueryTypes, type Sequelize } from 'sequelize'
import { parsedJsonOf } from '../parsed-json.ts'
import { runSteps } from '../steps.ts'

/** Days that an opened lot keeps, as the days before were worked out. */
const DAYS_OPEN: Readonly<Record<string, number>> = { poultry: 2, 'red-meat': 4, fish: 1 }

interface OpenedLot {
  kitchenId: string
  id: string
  openedOn: string
  useBy: string | null
  species: string
}

interface OldPlan {
  kitchenId: string
  id: string
  accepted: { goods: { stock: { lotId: string; useBy: string }[] } }
}

const dayAfter = (day: string, days: number): string => {
  const date = new Date(`${day}T00:00:00Z`)
  date.setUTCDate(date.getUTCDate() + days)
  return date.toISOString().slice(0, 10)
}

/**
 * The day of opening counts as the first of a lot's days: a last day that opening set ends a day earlier. Lots work
 * theirs out when they are read; accepted plans hold it with the stock that they rest on.
 */
async function daysEarlier(database: Sequelize): Promise<void> {
  const select = <Row extends object>(words: string) => database.query<Row>(words, { type: QueryTypes.SELECT })
  const opened = await select<OpenedLot>(
    `SELECT lots.kitchen_id AS kitchenId, lots.id AS id, CAST(lots.opened_on AS CHAR) AS openedOn,
            CAST(lots.use_by AS CHAR) AS useBy, items.species AS species
     FROM lots JOIN items ON items.kitchen_id = lots.kitchen_id AND items.id = lots.item_id
     WHERE lots.opened_on IS NOT NULL AND lots.is_finished = FALSE`,
  )
  const before = new Map(
    opened.flatMap(({ kitchenId, id, openedOn, useBy, species }) => {
      const last = dayAfter(openedOn, DAYS_OPEN[species] ?? 1)
      return useBy !== null && useBy < last ? [] : [[`${kitchenId} ${id}`, last] as const]
    }),
  )
  let inPlans = 0
  const plans = await select<OldPlan>(
    'SELECT kitchen_id AS kitchenId, id, accepted FROM order_plans WHERE accepted IS NOT NULL',
  )
  for (const { kitchenId, id, accepted: text } of plans) {
    const accepted = parsedJsonOf(text)
    const stale = (accepted?.goods?.stock ?? []).filter(
      ({ lotId, useBy }) => before.get(`${kitchenId} ${lotId}`) === useBy,
    )
    if (stale.length === 0) continue
    for (const stock of stale) stock.useBy = dayAfter(stock.useBy, -1)
    inPlans += stale.length
    await database.query('UPDATE order_plans SET accepted = :accepted WHERE kitchen_id = :kitchenId AND id = :id', {
      replacements: { accepted: JSON.stringify(accepted), kitchenId, id },
    })
  }
  if (before.size + inPlans === 0) return
  process.stderr.write(
    `The day of opening counts as day 1 now: ${before.size} opened lots and ${inPlans} lots in accepted plans have a last day that is a day earlier than was shown.\n`,
  )
}

/** Last days by one rule; nothing is good for less than the day on which it is made. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '034-last-days', [
    'UPDATE style_piles SET chilled_days = 1 WHERE chilled_days = 0',
    () => daysEarlier(database),
  ])
