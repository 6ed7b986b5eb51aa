import { DataTypes, type InferAttributes, type InferCreationAttributes, type Model, type Sequelize } from 'sequelize'
import { id, instant, ref } from './columns.ts'

export interface LotPhotoModel extends Model<InferAttributes<LotPhotoModel>, InferCreationAttributes<LotPhotoModel>> {
  id: string
  kitchenId: string
  lotId: string
  /** JPEG. */
  picture: Buffer
  takenAt: Date
}

export const defineLotPhoto = (database: Sequelize) =>
  database.define<LotPhotoModel>(
    'LotPhoto',
    {
      id: id(),
      kitchenId: ref(),
      lotId: ref(),
      picture: { type: DataTypes.BLOB('medium'), allowNull: false },
      takenAt: instant(),
    },
    { tableName: 'lot_photos' },
  )
