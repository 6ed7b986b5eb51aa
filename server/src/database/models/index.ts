import type { Sequelize } from 'sequelize'
import * as buying from './buying.ts'
import * as fabrication from './fabrication.ts'
import { factTable } from './facts.ts'
import * as figures from './figures.ts'
import * as kitchen from './kitchen.ts'
import { logbookViewTable } from './logbook.ts'
import * as planning from './planning.ts'
import * as receiving from './receiving.ts'
import * as style from './style.ts'

/** A model for every table. The tables themselves are made by the migrations. */
export function defineModels(database: Sequelize): Models {
  const models = modelsOf(database)
  associate(models)
  return models
}

export type Models = ReturnType<typeof modelsOf>

const modelsOf = (database: Sequelize) => ({
  Article: buying.articleTable.define<buying.ArticleModel>(database, 'Article'),
  ArticlePrice: buying.articlePriceTable.define(database, 'ArticlePrice'),
  CautionOverride: style.cautionOverrideTable.define(database, 'CautionOverride'),
  Container: style.containerTable.define(database, 'Container'),
  Cook: kitchen.cookTable.define(database, 'Cook'),
  ExpectedLine: planning.expectedLineTable.define<planning.ExpectedLineModel>(database, 'ExpectedLine'),
  Fabrication: fabrication.fabricationTable.define<fabrication.FabricationModel>(database, 'Fabrication'),
  FabricationBeam: figures.fabricationBeamTable.define(database, 'FabricationBeam'),
  FabricationBoard: fabrication.fabricationBoardTable.define(database, 'FabricationBoard'),
  FabricationConsumable: fabrication.fabricationConsumableTable.define(database, 'FabricationConsumable'),
  FabricationFigures: figures.fabricationFiguresTable.define(database, 'FabricationFigures'),
  FabricationLabour: fabrication.fabricationLabourTable.define(database, 'FabricationLabour'),
  FabricationOffer: fabrication.fabricationOfferTable.define(database, 'FabricationOffer'),
  FabricationPile: fabrication.fabricationPileTable.define(database, 'FabricationPile'),
  FabricationPileFigures: figures.fabricationPileFiguresTable.define(database, 'FabricationPileFigures'),
  FabricationVersion: fabrication.fabricationVersionTable.define(database, 'FabricationVersion'),
  Fact: factTable.define(database),
  Item: style.itemTable.define<style.ItemModel>(database, 'Item'),
  Judgement: figures.judgementTable.define(database, 'Judgement'),
  Kitchen: kitchen.kitchenTable.define<kitchen.KitchenModel>(database, 'Kitchen'),
  KitchenOffer: kitchen.kitchenOfferTable.define(database, 'KitchenOffer'),
  LogbookView: logbookViewTable.define(database, 'LogbookView'),
  Lot: receiving.lotTable.define<receiving.LotModel>(database, 'Lot'),
  LotCase: receiving.lotCaseTable.define(database, 'LotCase'),
  LotCheck: receiving.lotCheckTable.define(database, 'LotCheck'),
  LotPhoto: receiving.lotPhotoTable.define(database, 'LotPhoto'),
  OrderPlan: planning.orderPlanTable.define(database, 'OrderPlan'),
  PlannedFabrication: planning.plannedFabricationTable.define<planning.PlannedFabricationModel>(
    database,
    'PlannedFabrication',
  ),
  Product: style.productTable.define(database, 'Product'),
  Style: style.styleTable.define<style.StyleModel>(database, 'Style'),
  StylePile: style.stylePileTable.define<style.StylePileModel>(database, 'StylePile'),
  StyleWork: planning.styleWorkTable.define(database, 'StyleWork'),
  Supplier: buying.supplierTable.define(database, 'Supplier'),
  SupplierMapping: buying.supplierMappingTable.define(database, 'SupplierMapping'),
  ToldTask: planning.toldTaskTable.define(database, 'ToldTask'),
  WhatIf: fabrication.whatIfTable.define(database, 'WhatIf'),
})

function associate(models: Models): void {
  const { Article, Fabrication, Item, Lot, Style, StylePile } = models
  Item.hasMany(Style, { as: 'styles', foreignKey: 'itemId' })
  Style.belongsTo(Item, { as: 'item', foreignKey: 'itemId' })
  Style.hasMany(StylePile, { as: 'piles', foreignKey: 'styleId' })
  StylePile.belongsTo(models.Product, { as: 'product', foreignKey: 'productId' })
  Article.belongsTo(models.Supplier, { as: 'supplier', foreignKey: 'supplierId' })
  Article.belongsTo(Item, { as: 'item', foreignKey: 'itemId' })
  Article.belongsTo(models.Product, { as: 'product', foreignKey: 'productId' })
  Article.hasMany(models.ArticlePrice, { as: 'prices', foreignKey: 'articleId' })
  Fabrication.hasOne(models.FabricationBoard, { as: 'board', foreignKey: 'fabricationId' })
  Fabrication.belongsTo(Item, { as: 'itemRow', foreignKey: 'itemId' })
  Fabrication.belongsTo(Style, { as: 'styleRow', foreignKey: 'styleId' })
  Fabrication.belongsTo(models.Supplier, { as: 'supplierRow', foreignKey: 'supplierId' })
  Fabrication.belongsTo(models.Cook, { as: 'cookRow', foreignKey: 'cookId' })
  associatePlans(models)
  Lot.hasMany(models.LotCase, { as: 'cases', foreignKey: 'lotId' })
  Lot.hasMany(models.LotCheck, { as: 'checks', foreignKey: 'lotId' })
  Lot.belongsTo(Item, { as: 'itemRow', foreignKey: 'itemId' })
  Lot.belongsTo(models.Supplier, { as: 'supplier', foreignKey: 'supplierId' })
  Lot.belongsTo(models.Cook, { as: 'standingByRow', foreignKey: 'standingById' })
}

function associatePlans({ ExpectedLine, Lot, OrderPlan, PlannedFabrication, Style, Supplier }: Models): void {
  ExpectedLine.belongsTo(OrderPlan, { as: 'plan', foreignKey: 'planId' })
  ExpectedLine.belongsTo(Supplier, { as: 'supplier', foreignKey: 'supplierId' })
  ExpectedLine.hasMany(Lot, { as: 'lots', foreignKey: 'expectedLineId' })
  PlannedFabrication.belongsTo(OrderPlan, { as: 'plan', foreignKey: 'planId' })
  PlannedFabrication.belongsTo(Style, { as: 'style', foreignKey: 'styleId' })
}
