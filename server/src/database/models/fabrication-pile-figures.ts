import type { PileClass } from '@fleam/core/fabrication'
import { DataTypes, type InferAttributes, type InferCreationAttributes, type Model, type Sequelize } from 'sequelize'
import { position, ref, whole, words } from './columns.ts'

/** What a pile of a closed record came to: the share of AP that it weighs, not rounded. */
export interface FabricationPileFiguresModel
  extends Model<InferAttributes<FabricationPileFiguresModel>, InferCreationAttributes<FabricationPileFiguresModel>> {
  kitchenId: string
  fabricationId: string
  position: number
  /** Id of the style's pile; the pile's name where it is of no style. */
  pileKey: string
  name: string
  class: PileClass
  share: number
  /** Pieces that were weighed one by one; the middle and the lightest of them, grams. */
  pieces: number
  middlePiece: number | null
  lightestPiece: number | null
}

export const defineFabricationPileFigures = (database: Sequelize) =>
  database.define<FabricationPileFiguresModel>(
    'FabricationPileFigures',
    {
      kitchenId: { ...ref(), primaryKey: true },
      fabricationId: { ...ref(), primaryKey: true },
      position: { ...position(), primaryKey: true },
      pileKey: words(),
      name: words(),
      class: words(10),
      share: { type: DataTypes.DOUBLE, allowNull: false },
      pieces: whole(),
      middlePiece: { type: DataTypes.DOUBLE, allowNull: true },
      lightestPiece: { type: DataTypes.DOUBLE, allowNull: true },
    },
    { tableName: 'fabrication_pile_figures' },
  )
