import type { Item, Style } from '@fleam/contract'
import { type FabricationDocument, nameKey } from '@fleam/core'
import { notFound, Refusal } from '../http/index.ts'
import { cooks } from '../kitchen/index.ts'
import type { Scope } from '../scope/index.ts'
import { items } from '../style/index.ts'
import { suppliers, suppliersNamed } from '../supplier/index.ts'

export type NameField = 'item' | 'style' | 'supplier' | 'cook'

/** What somebody decided of a name: an id, or `none` for nothing that this kitchen knows; `add` for a new supplier. */
export type NameDecisions = Readonly<Partial<Record<NameField, string | undefined>>>

export interface ResolvedNames {
  item: Item | null
  style: Style | null
  supplierId: string | null
  cookId: string | null
}

interface Named {
  id: string
  name: string
}

const isNamed = (name: string) => (each: Named) => nameKey(each.name) === nameKey(name)

/**
 * The rows that the names of a document mean. A name that fits exactly one row is that one; what was decided holds.
 * Throws `name-unknown` with every name that is still open and what it may be.
 */
export async function resolveNames(
  scope: Scope,
  document: FabricationDocument,
  decisions: NameDecisions,
): Promise<ResolvedNames> {
  const open: { field: NameField; name: string; candidates: Named[] }[] = []
  const resolve = <T extends Named>(field: NameField, name: string | undefined, rows: readonly T[]): T | null => {
    const decided = decisions[field]
    if (name === undefined || decided === 'none' || decided === 'add') return null
    if (decided !== undefined) {
      const row = rows.find((each) => each.id === decided)
      if (!row) throw notFound(field)
      return row
    }
    const fitting = rows.filter(isNamed(name))
    if (fitting.length === 1) return fitting[0] as T
    open.push({ field, name, candidates: rows.map((row) => ({ id: row.id, name: row.name })) })
    return null
  }
  const { meta = {} } = document
  const item = resolve('item', document.item, await items(scope))
  const style = item ? resolve('style', document.style, item.styles) : null
  const supplier = resolve('supplier', meta.supplier, await suppliers(scope))
  const cook = resolve('cook', meta.cook, await cooks(scope))
  if (open.length > 0) {
    throw new Refusal('name-unknown', open.map(({ field, name }) => `'${name}' is no ${field} here`).join(', '), {
      issues: open.map(({ field, name }) => ({
        path: field === 'item' || field === 'style' ? field : `meta.${field}`,
        message: `'${name}' is not known here`,
      })),
      kept: 'Nothing of the document was taken in.',
      current: open,
    })
  }
  const isAdded = decisions.supplier === 'add' && meta.supplier !== undefined
  const added = isAdded ? (await suppliersNamed(scope, [meta.supplier as string])).get(meta.supplier as string) : null
  return { item, style, supplierId: supplier?.id ?? added ?? null, cookId: cook?.id ?? null }
}
