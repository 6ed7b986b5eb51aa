import { byOrder, type Fact, type MeasuredCut, standingCuts } from '@fleam/core/facts'
import { Op } from 'sequelize'
import { type FactRow, factTable } from '../database/index.ts'
import { notFound } from '../http/index.ts'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

/** Rows of these ids. */
export async function rowsById(scope: Scope, ids: readonly string[]): Promise<Map<string, FactRow>> {
  const rows = await scope.database.models.Fact.findAll({
    where: ofKitchen(scope, { id: [...ids] }),
    raw: true,
    ...within(scope),
  })
  return new Map(rows.map((row) => [row.id, row]))
}

/** The piles of some fabrications, as far as they are of this kitchen. */
export const pilesOf = (scope: Scope, fabricationIds: readonly string[]) =>
  scope.database.models.FabricationPile.findAll({
    attributes: ['id', 'fabricationId'],
    where: ofKitchen(scope, { fabricationId: [...fabricationIds] }),
    raw: true,
    ...within(scope),
  })

/** When it arrived is for the feed, and whose it is was asked for. */
const NOT_OF_A_FACT = ['kitchenId', 'receivedAt'] as const

/** Everything that was done at some benches, in the order of the work, by the fabrication's id. */
export async function factsOf(scope: Scope, fabricationIds: readonly string[]): Promise<Map<string, Fact[]>> {
  const facts = new Map<string, Fact[]>(fabricationIds.map((id) => [id, []]))
  if (fabricationIds.length === 0) return facts
  const where = ofKitchen(scope, { fabricationId: [...fabricationIds] })
  const { Fact: Facts } = scope.database.models
  // Most of what is done is weighed. Asking for half the columns of those rows takes half the time.
  const [readings, others] = await Promise.all([
    Facts.findAll({
      attributes: factTable.attributesOf('reading'),
      where: { ...where, kind: 'reading' },
      raw: true,
      ...within(scope),
    }),
    Facts.findAll({
      attributes: { exclude: [...NOT_OF_A_FACT] },
      where: { ...where, kind: { [Op.ne]: 'reading' } },
      raw: true,
      ...within(scope),
    }),
  ])
  for (const row of [...readings, ...others]) facts.get(row.fabricationId as string)?.push(factTable.fromRow(row))
  for (const fact of facts.values()) fact.sort(byOrder)
  return facts
}

/** A bench of a kitchen. */
export interface BenchKey {
  kitchenId: string
  fabricationId: string
}

/** What reached the database within the last seconds, by its own clock, at any of these benches. */
export async function arrivedAt(
  { database }: Pick<Scope, 'database'>,
  benches: readonly BenchKey[],
  withinSeconds: number,
): Promise<FactRow[]> {
  const since = database.sequelize.literal(`NOW(3) - INTERVAL ${Math.ceil(withinSeconds)} SECOND`)
  return database.models.Fact.findAll({
    where: {
      kitchenId: [...new Set(benches.map((bench) => bench.kitchenId))],
      fabricationId: [...new Set(benches.map((bench) => bench.fabricationId))],
      receivedAt: { [Op.gte]: since },
    },
    raw: true,
  })
}

/** The versions of the records of these benches. */
export async function versionsOf(
  { database }: Pick<Scope, 'database'>,
  benches: readonly BenchKey[],
): Promise<(BenchKey & { version: number })[]> {
  const rows = await database.models.Fabrication.findAll({
    attributes: ['id', 'kitchenId', 'version'],
    where: {
      kitchenId: [...new Set(benches.map((bench) => bench.kitchenId))],
      id: [...new Set(benches.map((bench) => bench.fabricationId))],
    },
    raw: true,
  })
  return rows.map(({ id, kitchenId, version }) => ({ fabricationId: id, kitchenId, version }))
}

/** So many of the latest portions tell how far off a way of measuring is: cooks and their tapes change. */
const MAX_READ = 80
/** Portions that are looked through for them. */
const MAX_LOOKED_AT = 2_000

/** The latest portions of each way and shape that were not taken back, newest first. */
export async function latestCuts(scope: Scope): Promise<MeasuredCut[]> {
  const { Fact: Facts } = scope.database.models
  const rows = await Facts.findAll({
    where: ofKitchen(scope, { kind: 'measured-cut' as const }),
    order: [
      ['receivedAt', 'DESC'],
      ['orderNo', 'DESC'],
      ['id', 'DESC'],
    ],
    limit: MAX_LOOKED_AT,
    raw: true,
    ...within(scope),
  })
  const targets = rows.flatMap((row) => [row.id, ...(row.targetId === null ? [] : [row.targetId])])
  const voids = await Facts.findAll({
    where: ofKitchen(scope, { kind: 'void' as const, targetId: targets }),
    raw: true,
    ...within(scope),
  })
  const standing = new Set(standingCuts([...rows, ...voids].map(factTable.fromRow)).map((cut) => cut.id))
  const counts = new Map<string, number>()
  return rows.flatMap((row) => {
    const group = `${row.way} ${row.shape}`
    const count = counts.get(group) ?? 0
    if (!standing.has(row.id) || count >= MAX_READ) return []
    counts.set(group, count + 1)
    return [factTable.fromRow(row) as MeasuredCut]
  })
}

/** The version of a record; refuses one that this kitchen does not have. */
export async function requireVersion(scope: Scope, fabricationId: string): Promise<number> {
  const { Fabrication } = scope.database.models
  const row = await Fabrication.findOne({
    attributes: ['version'],
    where: ofKitchen(scope, { id: fabricationId }),
    raw: true,
    ...within(scope),
  })
  if (!row) throw notFound('fabrication')
  return row.version
}
