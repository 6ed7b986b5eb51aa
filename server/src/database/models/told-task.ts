import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { maybeInstant, ref, words } from './columns.ts'

export interface ToldTaskModel extends Model<InferAttributes<ToldTaskModel>, InferCreationAttributes<ToldTaskModel>> {
  kitchenId: string
  planId: string
  /** As the schedule of its plan calls it. */
  taskId: string
  begunAt: Date | null
  doneAt: Date | null
}

export const defineToldTask = (database: Sequelize) =>
  database.define<ToldTaskModel>(
    'ToldTask',
    {
      kitchenId: { ...ref(), primaryKey: true },
      planId: { ...ref(), primaryKey: true },
      taskId: { ...words(80), primaryKey: true },
      begunAt: maybeInstant(),
      doneAt: maybeInstant(),
    },
    { tableName: 'told_tasks' },
  )
