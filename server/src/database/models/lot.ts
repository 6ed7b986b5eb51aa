import type { Lot } from '@fleam/contract/receiving'
import type { InferAttributes, InferCreationAttributes, Model, NonAttribute, Sequelize } from 'sequelize'
import {
  day,
  id,
  instant,
  longWords,
  maybeDay,
  maybeQuantity,
  maybeRef,
  maybeWhole,
  maybeWords,
  quantity,
  ref,
  whole,
  words,
  yesNo,
} from './columns.ts'
import type { CookModel } from './cook.ts'
import type { ItemModel } from './item.ts'
import type { LotCaseModel } from './lot-case.ts'
import type { LotCheckModel } from './lot-check.ts'
import type { SupplierModel } from './supplier.ts'

export interface LotModel extends Model<InferAttributes<LotModel>, InferCreationAttributes<LotModel>> {
  id: string
  kitchenId: string
  version: number
  itemId: string | null
  /** The item's name when it came: read where there is no item to read it from. */
  item: string
  supplierId: string
  code: string | null
  gtin: string | null
  priceAmount: number
  pricePer: Lot['price']['per']
  extras: number | null
  pieces: number | null
  receivedOn: string
  productionDate: string | null
  useBy: string | null
  openedOn: string | null
  isFinished: boolean
  standing: Lot['standing']
  standingReason: string | null
  standingById: string | null
  invoiceNumber: string | null
  orderNumber: string | null
  articleNumber: string | null
  /** The line of an order that it came for. */
  expectedLineId: string | null
  notes: string | null
  createdAt: Date
  cases?: NonAttribute<LotCaseModel[]>
  checks?: NonAttribute<LotCheckModel[]>
  itemRow?: NonAttribute<ItemModel | null>
  supplier?: NonAttribute<SupplierModel>
  standingByRow?: NonAttribute<CookModel | null>
}

export const defineLot = (database: Sequelize) =>
  database.define<LotModel>(
    'Lot',
    {
      id: id(),
      kitchenId: ref(),
      version: whole(),
      itemId: maybeRef(),
      item: words(),
      supplierId: ref(),
      code: maybeWords(),
      gtin: maybeWords(14),
      priceAmount: quantity(),
      pricePer: words(8),
      extras: maybeQuantity(),
      pieces: maybeWhole(),
      receivedOn: day(),
      productionDate: maybeDay(),
      useBy: maybeDay(),
      openedOn: maybeDay(),
      isFinished: yesNo(),
      standing: words(12),
      standingReason: longWords(),
      standingById: maybeRef(),
      invoiceNumber: maybeWords(),
      orderNumber: maybeWords(),
      articleNumber: maybeWords(),
      expectedLineId: maybeRef(),
      notes: longWords(),
      createdAt: instant(),
    },
    { tableName: 'lots' },
  )
