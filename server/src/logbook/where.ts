import type { LogbookFilters } from '@fleam/contract/logbook/schemas'
import type { Scope } from '../scope/index.ts'

/** A condition of raw SQL with the values that stand in it. */
export interface Where {
  sql: string
  values: Record<string, unknown>
}

/** What each of the four is told by in a row of figures: an id, or the name as it was written. */
export const KEY = {
  item: 'figures.item_key',
  style: 'figures.style_key',
  cook: 'figures.cook_key',
  supplier: 'figures.supplier_key',
} as const
export type NamedKind = keyof typeof KEY

/** The same as numbers, by which the database groups. */
export const NUMBER: Readonly<Record<NamedKind, string>> = {
  item: 'figures.item_no',
  style: 'figures.style_no',
  cook: 'figures.cook_no',
  supplier: 'figures.supplier_no',
}

/** Conditions on rows of figures: the records of a scope's kitchen that filters let through. */
export function whereOf({ kitchen }: Scope, filters: LogbookFilters): Where {
  const conditions = ['figures.kitchen_id = :kitchenId']
  const values: Where['values'] = { kitchenId: kitchen.id }
  const add = (condition: string, name: string, value: unknown) => {
    conditions.push(condition)
    values[name] = value
  }
  if (filters.from) add('figures.date >= :from', 'from', filters.from)
  if (filters.to) add('figures.date <= :to', 'to', filters.to)
  for (const [name, column] of Object.entries(KEY)) {
    const chosen = filters[name as NamedKind]
    if (chosen) add(`${column} IN (:${name})`, name, [chosen].flat())
  }
  return { sql: conditions.join(' AND '), values }
}

/** Text as people read it, whatever a column holds it as: capitals and accents part nothing. */
export const readable = (column: string) => `CONVERT(${column} USING utf8mb4) COLLATE utf8mb4_unicode_ci`
