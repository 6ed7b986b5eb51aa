import { item, itemEdit, items, style, styleFile } from '@fleam/core/style'
import { id } from '@fleam/core/values'
import { z } from 'zod'
import { operations } from '../operation.ts'

export const styleOperations = operations('style', {
  listItems: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/items',
    summary: 'Items with their cut styles',
    answer: items,
  },
  createItem: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/items',
    summary: 'Adds an item',
    body: item,
    answer: item,
    status: 201,
    refuses: ['id-taken'],
  },
  topUpFromCatalogue: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/items/from-catalogue',
    summary: 'Adds what the catalogue has and the kitchen lacks',
    answer: items,
    refuses: ['id-taken'],
  },
  updateItem: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/items/:itemId',
    summary: 'Changes an item',
    body: itemEdit,
    answer: item,
    refuses: ['id-taken'],
  },
  createStyle: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/items/:itemId/styles',
    summary: 'Adds a cut style to an item',
    body: style,
    answer: style,
    status: 201,
    refuses: ['id-taken'],
  },
  updateStyle: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/styles/:styleId',
    summary: 'Changes a cut style, at the version that was read',
    body: style,
    answer: style,
    refuses: ['stale-version', 'id-taken'],
  },
  exportStyle: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/styles/:styleId/style.json',
    summary: 'A cut style as a file',
    answer: styleFile,
  },
  importStyle: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/styles/import',
    summary: 'Takes in a cut style from a file',
    query: z.strictObject({ id }),
    body: styleFile,
    answer: style,
    status: 201,
    refuses: ['id-taken'],
  },
})
