import type { BoardPart, Fact, MarkKind, MeasuringWay, ReadingSource } from '@fleam/core/facts'
import type { CreationOptional, InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import {
  id,
  instant,
  longWords,
  maybeMilligrams,
  maybeQuantity,
  maybeRef,
  maybeWhole,
  maybeWords,
  ref,
  whole,
  words,
} from './columns.ts'

/** One fact of any kind: a row is inserted and never changed. Columns that its kind does not have are null. */
export interface FactModel extends Model<InferAttributes<FactModel>, InferCreationAttributes<FactModel>> {
  id: string
  kitchenId: string
  fabricationId: string | null
  kind: Fact['kind']
  orderNo: number
  takenAt: Date
  /** By the database's clock: what other servers look for. */
  receivedAt: CreationOptional<Date>
  pileId: string | null
  /** The fact that is taken back, the reading that is moved, or the reading that weighed a measured cut. */
  targetId: string | null
  grams: number | null
  /** How many pieces were weighed together; null where nobody said. */
  pieces: number | null
  source: ReadingSource | null
  cookId: string | null
  /** What was said, or of what part the board's state is. */
  mark: MarkKind | BoardPart | null
  ratePerHour: number | null
  step: string | null
  /** Of a mark of the cold: which load, from 1, and how many units came out with it. */
  loadNo: number | null
  units: number | null
  way: MeasuringWay | null
  shape: string | null
  planned: number | null
  /** What lies on the board, as the contract says of its part: JSON. */
  state: string | null
}

export const defineFact = (database: Sequelize) =>
  database.define<FactModel>(
    'Fact',
    {
      id: id(),
      kitchenId: ref(),
      fabricationId: maybeRef(),
      kind: words(12),
      orderNo: whole(),
      takenAt: instant(),
      receivedAt: instant(),
      pileId: maybeRef(),
      targetId: maybeRef(),
      grams: maybeMilligrams(),
      pieces: maybeWhole(),
      source: maybeWords(8),
      cookId: maybeRef(),
      mark: maybeWords(16),
      ratePerHour: maybeQuantity(),
      step: maybeWords(60),
      loadNo: maybeWhole(),
      units: maybeWhole(),
      way: maybeWords(20),
      shape: maybeWords(60),
      planned: maybeMilligrams(),
      state: longWords(),
    },
    { tableName: 'facts' },
  )
