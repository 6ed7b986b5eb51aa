import type { LogbookView } from '@fleam/contract/logbook-findings'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, ref, words } from './columns.ts'

export interface LogbookViewModel
  extends Model<InferAttributes<LogbookViewModel>, InferCreationAttributes<LogbookViewModel>>,
    LogbookView {
  kitchenId: string
}

export const defineLogbookView = (database: Sequelize) =>
  database.define<LogbookViewModel>(
    'LogbookView',
    { id: id(), kitchenId: { ...ref(), primaryKey: true }, name: words(), search: words(2000) },
    { tableName: 'logbook_views' },
  )
