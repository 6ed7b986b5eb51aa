import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import type { Database } from '../database/index.ts'
import type { Clock } from '../scope/index.ts'
import { serve } from '../serve/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

/** Kitchens, cooks and offers. */
export const kitchenRoutes = (database: Database, clock: Clock) =>
  serve(kitchenOperations, {
    listKitchens: () => store.kitchens(database),
    setUpKitchen: ({ body }) => service.setUpKitchen(database, body, clock),
    readKitchen: ({ scope }) => scope.kitchen,
    updateKitchen: ({ scope, body }) => service.updateKitchen(scope, body),
    updateCook: ({ scope, params, body }) => service.updateCook(scope, params.cookId, body),
    listCooks: ({ scope }) => store.cooks(scope),
    updateCookWeeks: ({ scope, body }) => service.updateCookWeeks(scope, body),
    createCook: ({ scope, body }) => service.createCook(scope, body),
    listOffers: ({ scope }) => store.offers(scope),
    createOffer: ({ scope, body }) => service.createOffer(scope, body),
  })
