import type { FabricationRecord } from '@fleam/contract/fabrication'
import type { InferAttributes, InferCreationAttributes, Model, NonAttribute, Sequelize } from 'sequelize'
import {
  day,
  id,
  instant,
  json,
  longWords,
  maybeInstant,
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
import type { FabricationBoardModel } from './fabrication-board.ts'
import type { ItemModel } from './item.ts'
import { parsedJson } from './parsed-json.ts'
import type { StyleModel } from './style.ts'
import type { SupplierModel } from './supplier.ts'

export interface FabricationModel
  extends Model<InferAttributes<FabricationModel>, InferCreationAttributes<FabricationModel>> {
  id: string
  kitchenId: string
  version: number
  status: FabricationRecord['status']
  itemId: string | null
  styleId: string | null
  supplierId: string | null
  cookId: string | null
  lotId: string | null
  /** Names as they were when it was recorded: read where there is no row to read them from. */
  item: string
  style: string
  supplier: string | null
  cook: string | null
  species: FabricationRecord['species']
  units: number
  rhythm: FabricationRecord['rhythm']
  drawing: string | null
  causes: FabricationRecord['causes']
  currency: string
  priceAmount: number
  pricePer: FabricationRecord['purchase']['price']['per']
  priceFrom: FabricationRecord['priceFrom']
  weightFrom: FabricationRecord['weightFrom']
  invoiceWeight: number
  receivedWeight: number | null
  purgeWeight: number | null
  pieces: number | null
  cases: number | null
  extras: number | null
  creditPolicy: FabricationRecord['creditPolicy']
  allocation: FabricationRecord['allocation']
  labourFrom: FabricationRecord['labourFrom']
  confirmed: boolean
  /** Why it is left out of averages; null where it counts. */
  leftOut: string | null
  settled: FabricationRecord['settled']
  date: string
  lot: string | null
  notes: string | null
  startedAt: Date
  closedAt: Date | null
  updatedAt: Date
  board?: NonAttribute<FabricationBoardModel | null>
  itemRow?: NonAttribute<ItemModel | null>
  styleRow?: NonAttribute<StyleModel | null>
  supplierRow?: NonAttribute<SupplierModel | null>
  cookRow?: NonAttribute<CookModel | null>
}

export const defineFabrication = (database: Sequelize) =>
  database.define<FabricationModel>(
    'Fabrication',
    {
      id: id(),
      kitchenId: ref(),
      version: whole(),
      status: words(10),
      itemId: maybeRef(),
      styleId: maybeRef(),
      supplierId: maybeRef(),
      cookId: maybeRef(),
      lotId: maybeRef(),
      item: words(),
      style: words(),
      supplier: maybeWords(),
      cook: maybeWords(),
      species: maybeWords(20),
      units: whole(),
      rhythm: words(8),
      drawing: maybeWords(60),
      causes: { ...json(), ...parsedJson('causes') },
      currency: words(3),
      priceAmount: quantity(),
      pricePer: words(8),
      priceFrom: words(12),
      weightFrom: words(12),
      invoiceWeight: quantity(),
      receivedWeight: maybeQuantity(),
      purgeWeight: maybeQuantity(),
      pieces: maybeWhole(),
      cases: maybeQuantity(),
      extras: maybeQuantity(),
      creditPolicy: words(8),
      allocation: words(8),
      labourFrom: words(8),
      confirmed: yesNo(),
      leftOut: maybeWords(200),
      settled: { ...json(), ...parsedJson('settled') },
      date: day(),
      lot: maybeWords(),
      notes: longWords(),
      startedAt: instant(),
      closedAt: maybeInstant(),
      updatedAt: instant(),
    },
    { tableName: 'fabrications' },
  )
