import type { StylesWork, ToldTask } from '@fleam/core/plans'
import { cookMinutes, type StyleWork } from '@fleam/core/scheduling'
import { Op } from 'sequelize'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

/** What a kitchen knows of the work of some styles. */
export async function stylesWork(scope: Scope, styleIds: readonly string[]): Promise<StylesWork> {
  const { FabricationFigures, StyleWork } = scope.database.models
  const rows = await StyleWork.findAll({ where: ofKitchen(scope, { styleId: [...styleIds] }), ...within(scope) })
  const records = await FabricationFigures.findAll({
    attributes: ['styleKey', 'cookKey', 'minutesPerUnit'],
    where: ofKitchen(scope, {
      ...{ styleKey: [...styleIds], isCounted: true },
      ...{ cookKey: { [Op.not]: null }, minutesPerUnit: { [Op.not]: null } },
    }),
    order: [
      ['date', 'DESC'],
      ['fabricationId', 'DESC'],
    ],
    raw: true,
    ...within(scope),
  })
  const cooks = new Set((await scope.database.models.Cook.findAll(idsOf(scope))).map(({ id }) => id))
  return styleIds.map((styleId) => {
    const recordsOfStyle = records.filter(({ styleKey }) => styleKey === styleId)
    return {
      styleId,
      work: rows.find((row) => row.styleId === styleId)?.work ?? null,
      minutesBy: [...cooks].flatMap((cookId) => {
        const measured = cookMinutes(
          recordsOfStyle.flatMap((row) => (row.cookKey === cookId ? Number(row.minutesPerUnit) : [])),
        )
        return measured ? [{ cookId, ...measured }] : []
      }),
    }
  })
}

const idsOf = (scope: Scope) => ({ attributes: ['id'], where: ofKitchen(scope), raw: true, ...within(scope) })

/** Stores what a style takes before and after the board. */
export async function saveStyleWork(scope: Scope, styleId: string, work: StyleWork): Promise<void> {
  await scope.database.models.StyleWork.upsert({ kitchenId: scope.kitchen.id, styleId, work }, within(scope))
}

/** Keeps what a hand told of a task; what is told to wait again is forgotten. */
export async function saveTold(scope: Scope, planId: string, told: ToldTask): Promise<void> {
  const { ToldTask } = scope.database.models
  const { taskId, begunAt, doneAt } = told
  if (begunAt === null && doneAt === null) {
    await ToldTask.destroy({ where: ofKitchen(scope, { planId, taskId }), ...within(scope) })
    return
  }
  await ToldTask.upsert(ofKitchen(scope, { ...told, planId }), within(scope))
}
