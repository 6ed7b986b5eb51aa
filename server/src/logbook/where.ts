import type { LogbookFilters } from '@fleam/contract'
import type { Scope } from '../scope/index.ts'

/** A condition of raw SQL with the values that stand in it. */
export interface Where {
  sql: string
  values: Record<string, unknown>
}

/** Records with what they come to; names stand beside them where there is a row to read them from. */
export const FROM_RECORDS = `fabrications
  JOIN fabrication_figures AS figures
    ON figures.kitchen_id = fabrications.kitchen_id AND figures.fabrication_id = fabrications.id
  LEFT JOIN items ON items.kitchen_id = fabrications.kitchen_id AND items.id = fabrications.item_id
  LEFT JOIN styles ON styles.kitchen_id = fabrications.kitchen_id AND styles.id = fabrications.style_id
  LEFT JOIN suppliers ON suppliers.kitchen_id = fabrications.kitchen_id AND suppliers.id = fabrications.supplier_id
  LEFT JOIN cooks ON cooks.kitchen_id = fabrications.kitchen_id AND cooks.id = fabrications.cook_id`

const COLUMNS = { item: 'item_id', style: 'style_id', supplier: 'supplier_id', cook: 'cook_id' } as const

/** The records of a scope's kitchen that filters let through. */
export function whereOf({ kitchen }: Scope, filters: LogbookFilters): Where {
  const conditions = ['fabrications.kitchen_id = :kitchenId']
  const values: Where['values'] = { kitchenId: kitchen.id }
  const add = (condition: string, name: string, value: unknown) => {
    conditions.push(condition)
    values[name] = value
  }
  if (filters.from) add('fabrications.date >= :from', 'from', filters.from)
  if (filters.to) add('fabrications.date <= :to', 'to', filters.to)
  for (const [name, column] of Object.entries(COLUMNS)) {
    const chosen = filters[name as keyof typeof COLUMNS]
    if (chosen) add(`fabrications.${column} IN (:${name})`, name, [chosen].flat())
  }
  return { sql: conditions.join(' AND '), values }
}

/** Text as people read it, whatever a column holds it as: capitals and accents part nothing. */
export const readable = (column: string) => `CONVERT(${column} USING utf8mb4) COLLATE utf8mb4_unicode_ci`

/** What things are called now; as it was written where there is no row to read it from. */
export const NAME = {
  item: `COALESCE(${readable('items.name')}, ${readable('fabrications.item')})`,
  style: `COALESCE(${readable('styles.name')}, ${readable('fabrications.style')})`,
  cook: `COALESCE(${readable('cooks.name')}, ${readable('fabrications.cook')})`,
  supplier: `COALESCE(${readable('suppliers.name')}, ${readable('fabrications.supplier')})`,
} as const
