import type { Balance } from '@fleam/core/fabrication'
import type { TakenTwice } from '@fleam/core/logbook'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { day, exact, json, longWords, maybeExact, maybeWhole, maybeWords, ref, whole, words, yesNo } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

/** What a closed record comes to: as it was worked out, not rounded. */
export interface FabricationFiguresModel
  extends Model<InferAttributes<FabricationFiguresModel>, InferCreationAttributes<FabricationFiguresModel>> {
  kitchenId: string
  fabricationId: string
  /** Of the record, so that many are filtered, sorted and summed without it. */
  date: string
  /** Ids; written names where there is no row that they lead to. */
  itemKey: string
  styleKey: string
  cookKey: string | null
  supplierKey: string | null
  /** The number of the formulas, and how many facts there were. */
  formulas: number
  factCount: number
  /** It counts in means and sums. */
  isCounted: boolean
  /** How many causes of loss were named. */
  causes: number
  /** One of them lasts: what is usual begins anew with this record. */
  isBaseline: boolean
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
  /** Lot, notes and names without a row, in which words are looked for; null where nothing was written. */
  written: string | null
  /** Weighings that were taken twice. */
  twice: TakenTwice[]
}

export const defineFabricationFigures = (database: Sequelize) =>
  database.define<FabricationFiguresModel>(
    'FabricationFigures',
    {
      kitchenId: { ...ref(), primaryKey: true },
      fabricationId: { ...ref(), primaryKey: true },
      date: day(),
      itemKey: words(),
      styleKey: words(),
      cookKey: maybeWords(),
      supplierKey: maybeWords(),
      formulas: whole(),
      factCount: whole(),
      isCounted: yesNo(),
      causes: whole(),
      isBaseline: yesNo(),
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
      written: longWords(),
      twice: { ...json(), ...parsedJson('twice') },
    },
    { tableName: 'fabrication_figures' },
  )
