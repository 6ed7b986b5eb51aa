import type { Balance, KeptBeam } from '@fleam/core'
import { DataTypes, type InferAttributes, type InferCreationAttributes, type Model, type Sequelize } from 'sequelize'
import { json, maybeWhole, ref, whole, words, yesNo } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

/** What a closed record comes to: as it was worked out, not rounded. */
export interface FabricationFiguresModel
  extends Model<InferAttributes<FabricationFiguresModel>, InferCreationAttributes<FabricationFiguresModel>> {
  kitchenId: string
  fabricationId: string
  /** The number of the formulas, and how many facts there were. */
  formulas: number
  factCount: number
  /** It counts in means and sums. */
  isCounted: boolean
  ap: number
  primaryWeight: number
  portionYield: number
  utilisation: number
  balance: Balance
  units: number | null
  /** Grams from which its class of size begins; null without units. */
  sizeFrom: number | null
  minutesPerUnit: number | null
  costPerPortion: number | null
  savingPerPortion: number | null
  spent: number
  saved: number
  givenAway: number
  waste: number
  unused: number
  demoted: number
  unaccounted: number
  beam: KeptBeam
}

const exact = () => ({ type: DataTypes.DOUBLE, allowNull: false }) as const
const maybeExact = () => ({ type: DataTypes.DOUBLE, allowNull: true }) as const

export const defineFabricationFigures = (database: Sequelize) =>
  database.define<FabricationFiguresModel>(
    'FabricationFigures',
    {
      kitchenId: { ...ref(), primaryKey: true },
      fabricationId: { ...ref(), primaryKey: true },
      formulas: whole(),
      factCount: whole(),
      isCounted: yesNo(),
      ap: exact(),
      primaryWeight: exact(),
      portionYield: exact(),
      utilisation: exact(),
      balance: words(4),
      units: maybeWhole(),
      sizeFrom: maybeWhole(),
      minutesPerUnit: maybeExact(),
      costPerPortion: maybeExact(),
      savingPerPortion: maybeExact(),
      spent: exact(),
      saved: exact(),
      givenAway: exact(),
      waste: exact(),
      unused: exact(),
      demoted: exact(),
      unaccounted: exact(),
      beam: { ...json(), ...parsedJson('beam') },
    },
    { tableName: 'fabrication_figures' },
  )
