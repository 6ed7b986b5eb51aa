import { buyingOperations } from '@fleam/contract/buying/operations'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { receivingOperations } from '@fleam/contract/receiving/operations'
import { styleOperations } from '@fleam/contract/style/operations'
import { supplierOperations } from '@fleam/contract/supplier/operations'
import { addDays, daysBetween } from '@fleam/core/calendar'
import type { PlannedFabrication } from '@fleam/core/plans'
import type { KitchenClient } from './client.ts'

/** Everything of a kitchen that a plan points at, by names that are the same in every kitchen that loads the demo. */
export type Names = Map<string, string>

const ID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g
const DAY = /^\d{4}-\d{2}-\d{2}$/
/** A name or a day that stands in place of the id or the date that it is in one kitchen. */
const TOKEN = /\{([^{}]+)\}/g
const DAY_TOKEN = /^\{day ([+-]?\d+)\}$/

/** Names by id of what the plans of a kitchen point at. */
export async function namesIn({ call, kitchenId }: KitchenClient): Promise<Names> {
  const names: Names = new Map()
  for (const { id, name } of await call(supplierOperations.listSuppliers, { kitchenId }))
    names.set(id, `supplier ${name}`)
  for (const { id, name } of await call(buyingOperations.listProducts, { kitchenId })) names.set(id, `product ${name}`)
  for (const { id, name } of await call(kitchenOperations.listCooks, { kitchenId })) names.set(id, `cook ${name}`)
  for (const item of await call(styleOperations.listItems, { kitchenId })) {
    names.set(item.id, `item ${item.name}`)
    for (const style of item.styles) {
      names.set(style.id, `style ${item.name}: ${style.name}`)
      for (const { id, name } of style.piles) names.set(id, `pile ${item.name}: ${style.name}: ${name}`)
    }
  }
  const { rows } = await call(buyingOperations.listArticles, { kitchenId, query: { limit: 200 } })
  for (const { article } of rows) names.set(article.id, `article ${article.supplier} ${article.code}`)
  for (const { lot } of await call(receivingOperations.listLots, { kitchenId })) {
    if (lot.code !== null) names.set(lot.id, `lot ${lot.code}`)
  }
  return names
}

/** Adds the planned fabrications of a plan: by day and style, and by their place among those that are alike. */
export function addPlanned(names: Names, planned: readonly PlannedFabrication[], from: string): void {
  const seen = new Map<string, number>()
  for (const { id, day, styleId, articleId } of planned) {
    const name = `planned ${daysBetween(from, day)} ${names.get(styleId)} of ${names.get(articleId)}`
    const place = (seen.get(name) ?? 0) + 1
    seen.set(name, place)
    names.set(id, `${name} ${place}`)
  }
}

/** The same value with names in place of ids, and days counted from `from`. Throws where an id has no name. */
export function toPortable(value: unknown, names: Names, from: string): unknown {
  return eachText(value, (text) => {
    if (DAY.test(text)) return `{day ${daysBetween(from, text)}}`
    return text.replace(ID, (id) => {
      const name = names.get(id)
      if (name === undefined) throw new Error(`Nothing has the id ${id}, in ${text}`)
      return `{${name}}`
    })
  })
}

/** The value as it is in this kitchen, for a plan that begins on `from`. Throws where the kitchen has no such name. */
export function fromPortable<T>(value: unknown, names: Names, from: string): T {
  const ids = new Map([...names].map(([id, name]) => [name, id]))
  return eachText(value, (text) => {
    const days = DAY_TOKEN.exec(text)
    if (days) return addDays(from, Number(days[1]))
    return text.replace(TOKEN, (_token, name: string) => {
      const id = ids.get(name)
      if (id === undefined) throw new Error(`The demo kitchen has no ${name}`)
      return id
    })
  }) as T
}

function eachText(value: unknown, change: (text: string) => string): unknown {
  if (typeof value === 'string') return change(value)
  if (Array.isArray(value)) return value.map((entry) => eachText(entry, change))
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, eachText(each, change)]))
}
