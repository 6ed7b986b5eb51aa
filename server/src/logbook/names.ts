import { createHash } from 'node:crypto'
import { QueryTypes } from 'sequelize'
import { type Scope, within } from '../scope/index.ts'
import { KEY, type NamedKind, NUMBER, readable } from './where.ts'

const TABLES: Readonly<Record<NamedKind, string>> = {
  item: 'items',
  style: 'styles',
  cook: 'cooks',
  supplier: 'suppliers',
}
const KINDS = Object.keys(TABLES) as NamedKind[]

/** What keys of figures are called: by kind, then by key. A name that leads to no row is its own key. */
export type Names = Readonly<Record<NamedKind, ReadonlyMap<string, string>>>

/** What things of a kitchen are called now. They are few: read once, beside many records. */
export async function namesOf(scope: Scope, kinds: readonly NamedKind[] = KINDS): Promise<Names> {
  const rows = await scope.database.sequelize.query<{ kind: NamedKind; id: string; name: string }>(
    kinds
      .map(
        (kind) =>
          `SELECT '${kind}' AS kind, id, ${readable('name')} AS name FROM ${TABLES[kind]} WHERE kitchen_id = :kitchenId`,
      )
      .join(' UNION ALL '),
    { type: QueryTypes.SELECT, replacements: { kitchenId: scope.kitchen.id }, ...within(scope) },
  )
  const names: Record<NamedKind, Map<string, string>> = {
    item: new Map(),
    style: new Map(),
    cook: new Map(),
    supplier: new Map(),
  }
  for (const { kind, id, name } of rows) names[kind].set(id, name)
  return names
}

/** The name of a key; null for nobody. */
/** The name of an id; the key itself where it is a name already; null where nobody said which. */
export function nameOf(names: Names, kind: NamedKind, key: string): string
export function nameOf(names: Names, kind: NamedKind, key: string | null): string | null
export function nameOf(names: Names, kind: NamedKind, key: string | null): string | null {
  return key === null ? null : (names[kind].get(key) ?? key)
}

/** What an item and a style of it are called. */
export const namesOfStyle = (names: Names, { item, style }: { item: string; style: string }) => ({
  itemName: nameOf(names, 'item', item),
  styleName: nameOf(names, 'style', style),
})

/** A table of one kind's names to be joined, so that the database can put records in their order. */
export const joinedNames = (kind: NamedKind): string =>
  `LEFT JOIN (SELECT CONVERT(id USING utf8mb4) COLLATE utf8mb4_bin AS id, name FROM ${TABLES[kind]}
     WHERE kitchen_id = :kitchenId) AS named ON named.id = ${KEY[kind]}`

/** Marks and capitals part no words. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** Ids of what a kitchen calls by a name that holds a word, by kind. Names without a row are among what was written. */
export async function idsNamed(scope: Scope, words: readonly string[]): Promise<Record<NamedKind, string[]>[]> {
  const names = await namesOf(scope)
  return words.map((word) => {
    const sought = plain(word)
    const holding = (kind: NamedKind) =>
      [...names[kind]].flatMap(([id, name]) => (plain(name).includes(sought) ? [id] : []))
    return Object.fromEntries(KINDS.map((kind) => [kind, holding(kind)])) as Record<NamedKind, string[]>
  })
}

/** The number of a key, as the database keeps it beside the key: 52 bits of its hash. */
const numberOf = (key: string) => Number.parseInt(createHash('sha1').update(key).digest('hex').slice(0, 13), 16)

/** The keys of some numbers. Those of rows are worked out; a written name is looked for. */
export async function keysOfNumbers(
  scope: Scope,
  kind: NamedKind,
  names: Names,
  numbers: readonly number[],
): Promise<Map<number, string>> {
  const keys = new Map([...names[kind].keys()].map((key) => [numberOf(key), key]))
  const unknown = numbers.filter((no) => !keys.has(no))
  if (unknown.length === 0) return keys
  const rows = await scope.database.sequelize.query<{ no: number; key: string }>(
    `SELECT ${NUMBER[kind]} AS no, MIN(${KEY[kind]}) AS \`key\` FROM fabrication_figures AS figures
     WHERE figures.kitchen_id = :kitchenId AND ${NUMBER[kind]} IN (:unknown) GROUP BY 1`,
    { type: QueryTypes.SELECT, replacements: { kitchenId: scope.kitchen.id, unknown }, ...within(scope) },
  )
  for (const { no, key } of rows) keys.set(Number(no), key)
  return keys
}
