import { QueryTypes, type Sequelize } from 'sequelize'
import { parsedJsonOf } from '../parsed-json.ts'
import { runSteps } from '../steps.ts'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'
const NAME = 'CHARACTER SET utf8mb4 COLLATE utf8mb4_bin'
const BEGINS = 8 * 60
const MINUTES_OF_A_DAY = 1440

/** A week of hours becomes stretches from eight on, as schedules had assumed them to lie. */
async function weeksFromHours(database: Sequelize): Promise<void> {
  const cooks = await database.query<{ kitchenId: string; id: string; hours: number[] | null }>(
    'SELECT kitchen_id AS kitchenId, id, week_hours AS hours FROM cooks WHERE week_hours IS NOT NULL AND week IS NULL',
    { type: QueryTypes.SELECT },
  )
  for (const { kitchenId, id, hours } of cooks) {
    const week = parsedJsonOf(hours)?.flatMap((value, index) =>
      value > 0 ? [{ day: index + 1, from: BEGINS, until: Math.min(MINUTES_OF_A_DAY, BEGINS + value * 60) }] : [],
    )
    if (!week) continue
    await database.query('UPDATE cooks SET week = :week WHERE kitchen_id = :kitchenId AND id = :id', {
      replacements: { week: JSON.stringify(week), kitchenId, id },
    })
  }
}

interface OldTask {
  id: string
  jobId: string
  start: number
  end: number
  cook?: string | null
  kind?: string
}

/** Tasks say of what kind they are, how far they bring their job, and who does them by id. */
async function tasksByIds(database: Sequelize): Promise<void> {
  const select = <Row extends object>(words: string) => database.query<Row>(words, { type: QueryTypes.SELECT })
  const plans = await select<{ kitchenId: string; id: string; schedule: { tasks: OldTask[] } | null }>(
    'SELECT kitchen_id AS kitchenId, id, schedule FROM order_plans WHERE schedule IS NOT NULL',
  )
  const cooks = await select<{ kitchenId: string; id: string; name: string }>(
    'SELECT kitchen_id AS kitchenId, id, name FROM cooks',
  )
  const jobs = await select<{ id: string; units: number }>('SELECT id, units FROM planned_fabrications')
  for (const { kitchenId, id, schedule } of plans) {
    const kept = parsedJsonOf(schedule)
    if (!kept) continue
    const cookOf = new Map(cooks.flatMap((cook) => (cook.kitchenId === kitchenId ? [[cook.name, cook.id]] : [])))
    const kindOf = ({ id: taskId, kind }: OldTask) => kind ?? taskId.split(' ')[1] ?? 'cut'
    const tasks = kept.tasks.map((task) => {
      if (task.kind) return task
      const cuts = kept.tasks.filter((oldTask) => oldTask.jobId === task.jobId && kindOf(oldTask) === 'cut')
      const minutes = (list: OldTask[]) => list.reduce((sum, item) => sum + item.end - item.start, 0)
      const units = jobs.find((job) => job.id === task.jobId)?.units ?? 0
      const share = minutes(cuts.filter(({ start }) => start <= task.start)) / Math.max(1, minutes(cuts))
      const { cook, ...rest } = task
      const upTo = kindOf(task) === 'cut' ? Math.round(units * share) : null
      return { ...rest, kind: kindOf(task), upTo, cookId: cookOf.get(cook ?? '') ?? null }
    })
    await database.query('UPDATE order_plans SET schedule = :schedule WHERE kitchen_id = :kitchenId AND id = :id', {
      replacements: { schedule: JSON.stringify({ late: [], days: [], ...kept, tasks }), kitchenId, id },
    })
  }
}

/**
 * When each cook is at the board and what they may cut; what a style takes before and after the board; what hands told of
 * the tasks of a schedule.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '031-schedules-followed', [
    'ALTER TABLE cooks ADD COLUMN IF NOT EXISTS week JSON',
    'ALTER TABLE cooks ADD COLUMN IF NOT EXISTS skills JSON',
    () => weeksFromHours(database),
    'ALTER TABLE cooks DROP COLUMN IF EXISTS week_hours',
    () => tasksByIds(database),
    `CREATE TABLE IF NOT EXISTS style_work (
      kitchen_id ${ID} NOT NULL,
      style_id ${ID} NOT NULL,
      work JSON NOT NULL,
      PRIMARY KEY (kitchen_id, style_id),
      FOREIGN KEY (kitchen_id, style_id) REFERENCES styles (kitchen_id, id)
    ) ENGINE=InnoDB`,
    `CREATE TABLE IF NOT EXISTS told_tasks (
      kitchen_id ${ID} NOT NULL,
      plan_id ${ID} NOT NULL,
      task_id VARCHAR(80) ${NAME} NOT NULL,
      begun_at DATETIME(3),
      done_at DATETIME(3),
      PRIMARY KEY (kitchen_id, plan_id, task_id),
      FOREIGN KEY (kitchen_id, plan_id) REFERENCES order_plans (kitchen_id, id) ON DELETE CASCADE
    ) ENGINE=InnoDB`,
  ])
