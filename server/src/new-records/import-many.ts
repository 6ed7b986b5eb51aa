import { setImmediate as nextTurn } from 'node:timers/promises'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { type LoggedRecord, loggedRecord, type RecordsImported } from '@fleam/contract/logbook/schemas'
import { issuesOf } from '@fleam/contract/problem'
import { QueryTypes } from 'sequelize'
import { insertStates } from '../fabrication/index.ts'
import { Refusal, type Steps } from '../http/index.ts'
import { decide, ofKitchen, type Scope, within } from '../scope/index.ts'
import { closedState, nothingWeighed } from './import.ts'
import { nameRows, pathOfName, readNames } from './names.ts'

/** So many records are read, or stored, before others are served. */
const AT_A_TIME = 50
const MAX_TOLD = 20

type Issue = { path: string; message: string }

/**
 * Takes in many closed records, all of them or none. One whose id is there already is left as it is. Refuses, by path,
 * what is no record and names that this kitchen does not know.
 */
export async function importMany(scope: Scope, sent: readonly unknown[], steps: Steps): Promise<RecordsImported> {
  const records = await readRecords(sent)
  const all = await statesOf(scope, records)
  const states = await decide(scope, 'records', async (inside) => {
    // The same file at the same time is the same records: looked at once whoever was first has committed.
    const existing = await knownIds(inside, records)
    const states = all.filter(({ record }) => !existing.has(record.id))
    for (let from = 0; from < states.length; from += AT_A_TIME) {
      if (steps.isCancelled()) throw new Refusal('cancelled', 'Nothing of it was kept.')
      steps.onProgress(from, states.length)
      await insertStates(inside, states.slice(from, from + AT_A_TIME))
      await nextTurn()
    }
    return states
  })
  const kept = states.map(({ record }) => record.id)
  return { kept: kept.length, known: records.length - kept.length, alike: await alikeOf(scope, kept) }
}

/** How many of some records have the same day, item, style, weights and money as another that was here before them. */
async function alikeOf(scope: Scope, ids: readonly string[]): Promise<number> {
  if (ids.length === 0) return 0
  const [row] = await scope.database.sequelize.query<{ alike: number }>(
    `SELECT COUNT(DISTINCT kept.fabrication_id) AS alike
     FROM fabrication_figures AS kept STRAIGHT_JOIN fabrication_figures AS other FORCE INDEX (by_item)
       ON other.kitchen_id = kept.kitchen_id AND other.item_key = kept.item_key AND other.style_key = kept.style_key
       AND other.date = kept.date AND other.ap = kept.ap AND other.primary_weight = kept.primary_weight
       AND other.utilisation = kept.utilisation AND other.spent = kept.spent
     WHERE kept.kitchen_id = :kitchenId AND kept.fabrication_id IN (:ids) AND other.fabrication_id NOT IN (:ids)`,
    { type: QueryTypes.SELECT, replacements: { kitchenId: scope.kitchen.id, ids }, ...within(scope) },
  )
  return row?.alike ?? 0
}

function refuse(code: 'invalid-input' | 'name-unknown', detail: string, issues: readonly Issue[]): void {
  if (issues.length === 0) return
  const more = issues.length > MAX_TOLD ? ` and ${issues.length - MAX_TOLD} more` : ''
  throw new Refusal(code, `${detail}${more}`, {
    issues: issues.slice(0, MAX_TOLD),
    kept: 'Nothing of the file was taken in.',
  })
}

async function readRecords(sent: readonly unknown[]): Promise<LoggedRecord[]> {
  const issues: Issue[] = []
  const ids = new Set<string>()
  const records: LoggedRecord[] = []
  for (const [at, record] of sent.entries()) {
    if (at % AT_A_TIME === 0) await nextTurn()
    const path = (rest: string) => `records[${at}]${rest === '' ? '' : `.${rest}`}`
    const read = loggedRecord.safeParse(record)
    if (!read.success) {
      issues.push(...issuesOf(read.error).map((issue) => ({ ...issue, path: path(issue.path) })))
      continue
    }
    issues.push(
      ...nothingWeighed(read.data.document).map((issue) => ({ ...issue, path: path(`document.${issue.path}`) })),
    )
    if (ids.has(read.data.id)) issues.push({ path: path('id'), message: 'is there twice' })
    ids.add(read.data.id)
    records.push(read.data)
  }
  refuse('invalid-input', issues[0] ? `${issues[0].path} ${issues[0].message}` : '', issues)
  return records
}

async function knownIds(scope: Scope, records: readonly LoggedRecord[]): Promise<Set<string>> {
  const rows = await scope.database.models.Fabrication.findAll({
    attributes: ['id'],
    where: ofKitchen(scope, { id: records.map(({ id }) => id) }),
    raw: true,
    ...within(scope),
  })
  return new Set(rows.map(({ id }) => id))
}

/** The records as this kitchen keeps them; what is wrong is told by its place in the file. */
async function statesOf(scope: Scope, records: readonly LoggedRecord[]): Promise<FabricationState[]> {
  const rows = await nameRows(scope)
  const issues: Issue[] = []
  const wrong: Issue[] = []
  const states: FabricationState[] = []
  for (const [at, { id, document, causes, ...said }] of records.entries()) {
    if (at % AT_A_TIME === 0) await nextTurn()
    const { names, open } = readNames(document, {}, rows)
    issues.push(
      ...open.map(({ field, name }) => ({
        path: `records[${at}].document.${pathOfName(field)}`,
        message: `'${name}' is not known here`,
      })),
    )
    const { record, facts } = closedState(scope, id, document, names)
    const named = causes.flatMap(({ pile, ...cause }, place) => {
      const pileId = record.piles.find(({ name }) => name === pile)?.id
      if (pileId) return [{ pileId, ...cause }]
      wrong.push({ path: `records[${at}].causes[${place}].pile`, message: 'is no pile of the document' })
      return []
    })
    states.push({ record: { ...record, ...said, causes: named }, facts })
  }
  refuse('invalid-input', wrong[0] ? `${wrong[0].path} ${wrong[0].message}` : '', wrong)
  refuse('name-unknown', issues[0]?.message ?? '', issues)
  return states
}
