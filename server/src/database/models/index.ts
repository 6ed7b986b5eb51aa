import type { Sequelize } from 'sequelize'
import { defineArticle } from './article.ts'
import { defineArticlePrice } from './article-price.ts'
import { defineCautionOverride } from './caution-override.ts'
import { defineContainer } from './container.ts'
import { defineCook } from './cook.ts'
import { defineExpectedLine } from './expected-line.ts'
import { defineFabrication } from './fabrication.ts'
import { defineFabricationBeam } from './fabrication-beam.ts'
import { defineFabricationBoard } from './fabrication-board.ts'
import { defineFabricationFigures } from './fabrication-figures.ts'
import { defineFabricationConsumable, defineFabricationLabour, defineFabricationOffer } from './fabrication-lists.ts'
import { defineFabricationPile } from './fabrication-pile.ts'
import { defineFabricationPileFigures } from './fabrication-pile-figures.ts'
import { defineFabricationVersion } from './fabrication-version.ts'
import { defineFact } from './fact.ts'
import { defineItem } from './item.ts'
import { defineJudgement } from './judgement.ts'
import { defineKitchen } from './kitchen.ts'
import { defineKitchenOffer } from './kitchen-offer.ts'
import { defineLogbookView } from './logbook-view.ts'
import { defineLot } from './lot.ts'
import { defineLotCase } from './lot-case.ts'
import { defineLotCheck } from './lot-check.ts'
import { defineLotPhoto } from './lot-photo.ts'
import { defineOrderPlan } from './order-plan.ts'
import { definePlannedFabrication } from './planned-fabrication.ts'
import { defineProduct } from './product.ts'
import { defineStyle } from './style.ts'
import { defineStylePile } from './style-pile.ts'
import { defineStyleWork } from './style-work.ts'
import { defineSupplier } from './supplier.ts'
import { defineSupplierMapping } from './supplier-mapping.ts'
import { defineToldTask } from './told-task.ts'
import { defineWhatIf } from './what-if.ts'

/** A model for every table. The tables themselves are made by the migrations. */
export function defineModels(database: Sequelize): Models {
  const models = modelsOf(database)
  associate(models)
  return models
}

export type Models = ReturnType<typeof modelsOf>

const modelsOf = (database: Sequelize) => ({
  Article: defineArticle(database),
  ArticlePrice: defineArticlePrice(database),
  CautionOverride: defineCautionOverride(database),
  Container: defineContainer(database),
  Cook: defineCook(database),
  ExpectedLine: defineExpectedLine(database),
  Fabrication: defineFabrication(database),
  FabricationBeam: defineFabricationBeam(database),
  Judgement: defineJudgement(database),
  FabricationBoard: defineFabricationBoard(database),
  FabricationConsumable: defineFabricationConsumable(database),
  FabricationFigures: defineFabricationFigures(database),
  FabricationLabour: defineFabricationLabour(database),
  FabricationOffer: defineFabricationOffer(database),
  FabricationPile: defineFabricationPile(database),
  FabricationPileFigures: defineFabricationPileFigures(database),
  FabricationVersion: defineFabricationVersion(database),
  Fact: defineFact(database),
  Item: defineItem(database),
  Kitchen: defineKitchen(database),
  KitchenOffer: defineKitchenOffer(database),
  LogbookView: defineLogbookView(database),
  Lot: defineLot(database),
  LotCase: defineLotCase(database),
  LotCheck: defineLotCheck(database),
  LotPhoto: defineLotPhoto(database),
  OrderPlan: defineOrderPlan(database),
  PlannedFabrication: definePlannedFabrication(database),
  Product: defineProduct(database),
  Style: defineStyle(database),
  StylePile: defineStylePile(database),
  StyleWork: defineStyleWork(database),
  Supplier: defineSupplier(database),
  SupplierMapping: defineSupplierMapping(database),
  ToldTask: defineToldTask(database),
  WhatIf: defineWhatIf(database),
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
