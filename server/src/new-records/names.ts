import type { FabricationDocument } from '@fleam/core/fabrication'
import type { Item, Style } from '@fleam/core/style'
import { nameKey } from '@fleam/core/wording'
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

const isNamed = (name: string) => (named: Named) => nameKey(named.name) === nameKey(name)

/** Everything that a name may mean. */
export interface NameRows {
  items: readonly Item[]
  suppliers: readonly Named[]
  cooks: readonly Named[]
}

/** Items, styles, suppliers and cooks by which names in a document are found. */
export const nameRows = async (scope: Scope): Promise<NameRows> => ({
  items: await items(scope),
  suppliers: await suppliers(scope),
  cooks: await cooks(scope),
})

export interface OpenName {
  field: NameField
  name: string
  candidates: Named[]
}

/** Where in a document a name stands. */
export const pathOfName = (field: NameField) => (field === 'item' || field === 'style' ? field : `meta.${field}`)

/** The rows that names mean, with those that are still open: a name that fits exactly one row is that one. */
export function readNames(
  document: FabricationDocument,
  decisions: NameDecisions,
  rows: NameRows,
): { names: ResolvedNames; open: OpenName[] } {
  const open: OpenName[] = []
  const resolve = <T extends Named>(field: NameField, name: string | undefined, among: readonly T[]): T | null => {
    const decided = decisions[field]
    if (name === undefined || decided === 'none' || decided === 'add') return null
    if (decided !== undefined) {
      const row = among.find((row) => row.id === decided)
      if (!row) throw notFound(field)
      return row
    }
    const fitting = among.filter(isNamed(name))
    if (fitting.length === 1) return fitting[0] as T
    open.push({ field, name, candidates: among.map((row) => ({ id: row.id, name: row.name })) })
    return null
  }
  const { meta = {} } = document
  const item = resolve('item', document.item, rows.items)
  const style = item ? resolve('style', document.style, item.styles) : null
  const supplier = resolve('supplier', meta.supplier, rows.suppliers)
  const cook = resolve('cook', meta.cook, rows.cooks)
  return { names: { item, style, supplierId: supplier?.id ?? null, cookId: cook?.id ?? null }, open }
}

/**
 * The rows that the names of a document mean. A name that fits exactly one row is that one; what was decided holds.
 * Throws `name-unknown` with every name that is still open and what it may be.
 */
export async function resolveNames(
  scope: Scope,
  document: FabricationDocument,
  decisions: NameDecisions,
): Promise<ResolvedNames> {
  const { names, open } = readNames(document, decisions, await nameRows(scope))
  const { meta = {} } = document
  if (open.length > 0) {
    throw new Refusal('name-unknown', open.map(({ field, name }) => `'${name}' is no ${field} here`).join(', '), {
      issues: open.map(({ field, name }) => ({
        path: pathOfName(field),
        message: `'${name}' is not known here`,
      })),
      kept: 'Nothing of the document was taken in.',
      current: open,
    })
  }
  const isAdded = decisions.supplier === 'add' && meta.supplier !== undefined
  const added = isAdded ? (await suppliersNamed(scope, [meta.supplier as string])).get(meta.supplier as string) : null
  return { ...names, supplierId: names.supplierId ?? added ?? null }
}
