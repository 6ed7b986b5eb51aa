import type { Judgement } from '@fleam/core/appraisal'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { maybeExact, maybeWords, ref, whole, yesNo } from './columns.ts'

/** What a closed record was judged at, and by which formulas. */
export interface JudgementModel
  extends Model<InferAttributes<JudgementModel>, InferCreationAttributes<JudgementModel>>,
    Judgement {
  kitchenId: string
  fabricationId: string
  formulas: number
  /** The answer was kept; of records from before that only the formulas are known. */
  isKept: boolean
}

export const defineJudgement = (database: Sequelize) =>
  database.define<JudgementModel>(
    'Judgement',
    {
      kitchenId: { ...ref(), primaryKey: true },
      fabricationId: { ...ref(), primaryKey: true },
      formulas: whole(),
      isKept: yesNo(),
      verdict: maybeWords(5),
      costPerPortion: maybeExact(),
      savingPerPortion: maybeExact(),
    },
    { tableName: 'judgements' },
  )
