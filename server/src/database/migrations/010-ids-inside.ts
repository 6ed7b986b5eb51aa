import { QueryTypes, type Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'

interface Pile {
  id: string
  name: string
}

/** Inside styles, records and what-ifs, steps, gains, choices, causes and offers refer to piles by id; they named them before. */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '010-ids-inside', [
    () => rewriteStyles(database),
    () => rewriteBoards(database),
    () => rewriteCauses(database),
    () => rewriteWhatIfs(database),
    `ALTER TABLE fabrication_offers ADD COLUMN IF NOT EXISTS pile_id ${ID}, MODIFY IF EXISTS pile VARCHAR(120) NULL`,
    `UPDATE fabrication_offers JOIN fabrication_piles
        ON fabrication_piles.fabrication_id = fabrication_offers.fabrication_id
        AND fabrication_piles.name = fabrication_offers.pile
      SET fabrication_offers.pile_id = fabrication_piles.id WHERE fabrication_offers.pile_id IS NULL`,
    'DELETE FROM fabrication_offers WHERE pile_id IS NULL',
    `ALTER TABLE fabrication_offers MODIFY pile_id ${ID} NOT NULL`,
    `ALTER TABLE fabrication_offers ADD FOREIGN KEY IF NOT EXISTS offer_pile (kitchen_id, fabrication_id, pile_id)
      REFERENCES fabrication_piles (kitchen_id, fabrication_id, id)`,
    'ALTER TABLE fabrication_offers DROP COLUMN IF EXISTS pile',
    `ALTER TABLE offers ADD COLUMN IF NOT EXISTS pile_id ${ID}, MODIFY IF EXISTS pile VARCHAR(120) NULL`,
    `UPDATE offers JOIN style_piles ON style_piles.style_id = offers.style_id AND style_piles.name = offers.pile
      SET offers.pile_id = style_piles.id WHERE offers.pile_id IS NULL`,
    // Its pile was renamed since: it is the style's portion pile, where there is one alone.
    `UPDATE offers JOIN (
        SELECT style_id, MIN(id) AS id FROM style_piles WHERE class = 'primary' GROUP BY style_id HAVING COUNT(*) = 1
      ) AS only_one ON only_one.style_id = offers.style_id
      SET offers.pile_id = only_one.id WHERE offers.pile_id IS NULL`,
    'DELETE FROM offers WHERE pile_id IS NULL',
    `ALTER TABLE offers MODIFY pile_id ${ID} NOT NULL`,
    'ALTER TABLE offers DROP COLUMN IF EXISTS pile',
  ])

/** Piles by what they belong to. */
async function pilesBy(database: Sequelize, table: string, owner: string): Promise<Map<string, Pile[]>> {
  const rows = await database.query<Pile & { owner: string }>(`SELECT ${owner} AS owner, id, name FROM ${table}`, {
    type: QueryTypes.SELECT,
  })
  const piles = new Map<string, Pile[]>()
  for (const { owner: of, ...pile } of rows) piles.set(of, [...(piles.get(of) ?? []), pile])
  return piles
}

const idsIn = (piles: readonly Pile[]) => (name: string) => piles.find((pile) => pile.name === name)?.id

interface NamedStep {
  piles?: string[]
  gain: { pile: string } | null
}

/** A step that has been rewritten is left as it is, so that a migration that was cut off can be run again. */
function stepByIds(step: NamedStep, idOf: (name: string) => string | undefined): object {
  const { piles, gain, ...rest } = step
  if (!piles) return step
  const { pile, ...gained } = gain ?? { pile: '' }
  const pileId = idOf(pile)
  return { ...rest, pileIds: piles.flatMap((name) => idOf(name) ?? []), gain: pileId ? { pileId, ...gained } : null }
}

interface NamedOption {
  choices: { shares: Record<string, number> }[]
}

function optionByIds(option: NamedOption, piles: readonly Pile[]): object {
  const idOf = idsIn(piles)
  const isId = (key: string) => piles.some((pile) => pile.id === key)
  return {
    ...option,
    choices: option.choices.map((choice) => ({
      ...choice,
      shares: Object.fromEntries(
        Object.entries(choice.shares).flatMap(([key, share]) => {
          const id = isId(key) ? key : idOf(key)
          return id ? [[id, share]] : []
        }),
      ),
    })),
  }
}

/** JSON as the driver gives it: a text, or read already. */
const parsed = <T>(json: unknown): T => (typeof json === 'string' ? JSON.parse(json) : json) as T

interface Rewriting {
  table: string
  key: string
  columns: readonly string[]
}

/** Rewrites JSON columns row by row; a row that says the same afterwards is not written. */
async function rewrite(
  database: Sequelize,
  { table, key, columns }: Rewriting,
  change: (rowKey: string, json: Record<string, unknown>) => Record<string, unknown>,
): Promise<void> {
  const rows = await database.query<Record<string, unknown>>(`SELECT ${key}, ${columns.join(', ')} FROM ${table}`, {
    type: QueryTypes.SELECT,
  })
  for (const row of rows) {
    const before = Object.fromEntries(columns.map((column) => [column, parsed(row[column])]))
    const after = change(row[key] as string, before)
    if (JSON.stringify(after) === JSON.stringify(before)) continue
    await database.query(
      `UPDATE ${table} SET ${columns.map((column) => `${column} = :${column}`).join(', ')} WHERE ${key} = :key`,
      {
        replacements: {
          key: row[key],
          ...Object.fromEntries(columns.map((column) => [column, JSON.stringify(after[column])])),
        },
      },
    )
  }
}

async function rewriteStyles(database: Sequelize): Promise<void> {
  const piles = await pilesBy(database, 'style_piles', 'style_id')
  await rewrite(database, { table: 'styles', key: 'id', columns: ['steps', 'options'] }, (id, { steps, options }) => {
    const own = piles.get(id) ?? []
    return {
      steps: (steps as NamedStep[]).map((step) => stepByIds(step, idsIn(own))),
      options: (options as NamedOption[]).map((option) => optionByIds(option, own)),
    }
  })
}

async function rewriteBoards(database: Sequelize): Promise<void> {
  const piles = await pilesBy(database, 'fabrication_piles', 'fabrication_id')
  const where = { table: 'fabrication_boards', key: 'fabrication_id', columns: ['steps'] }
  await rewrite(database, where, (id, { steps }) => ({
    steps: (steps as NamedStep[]).map((step) => stepByIds(step, idsIn(piles.get(id) ?? []))),
  }))
}

async function rewriteCauses(database: Sequelize): Promise<void> {
  const piles = await pilesBy(database, 'fabrication_piles', 'fabrication_id')
  await rewrite(database, { table: 'fabrications', key: 'id', columns: ['causes'] }, (id, { causes }) => ({
    causes: (causes as { pile?: string }[]).flatMap(({ pile, ...cause }) => {
      if (pile === undefined) return [cause]
      const pileId = idsIn(piles.get(id) ?? [])(pile)
      return pileId ? [{ pileId, ...cause }] : []
    }),
  }))
}

async function rewriteWhatIfs(database: Sequelize): Promise<void> {
  await rewrite(database, { table: 'what_ifs', key: 'id', columns: ['assumptions'] }, (_id, { assumptions }) => {
    const named = assumptions as { piles: Pile[]; offers: { pile?: string }[] }
    const offers = named.offers.flatMap(({ pile, ...offer }) => {
      if (pile === undefined) return [offer]
      const pileId = idsIn(named.piles)(pile)
      return pileId ? [{ ...offer, pileId }] : []
    })
    return { assumptions: { ...named, offers } }
  })
}
