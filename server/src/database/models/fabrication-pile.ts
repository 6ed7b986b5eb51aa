import type { PileKind, PlannedPile } from '@fleam/core/fabrication'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, maybeQuantity, maybeRef, maybeWhole, maybeWords, position, ref, words } from './columns.ts'

export interface FabricationPileModel
  extends Model<InferAttributes<FabricationPileModel>, InferCreationAttributes<FabricationPileModel>>,
    PlannedPile {
  kitchenId: string
  fabricationId: string
  position: number
  kind: PileKind | null
  cookingLoss: number | null
  portionsPerPiece: number | null
  /** The pile of the style that it was planned by; null where it came from a document. */
  stylePileId: string | null
}

export const defineFabricationPile = (database: Sequelize) =>
  database.define<FabricationPileModel>(
    'FabricationPile',
    {
      id: id(),
      kitchenId: ref(),
      fabricationId: ref(),
      position: position(),
      stylePileId: maybeRef(),
      name: words(),
      class: words(12),
      kind: maybeWords(12),
      cookingLoss: maybeQuantity(),
      weighing: words(8),
      expectedShare: maybeQuantity(),
      portionsPerPiece: maybeQuantity(),
      portions: maybeWhole(),
      target: maybeQuantity(),
      low: maybeQuantity(),
      high: maybeQuantity(),
      valuePerKg: maybeQuantity(),
      usedShare: maybeQuantity(),
      processingPerKg: maybeQuantity(),
    },
    { tableName: 'fabrication_piles' },
  )
