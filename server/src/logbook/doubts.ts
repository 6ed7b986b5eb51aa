import { setImmediate as nextTurn } from 'node:timers/promises'
import type { LogbookDoubts } from '@fleam/contract/logbook/schemas'
import { type Doubt, type DoubtRecord, doubtsOf, takenTwice } from '@fleam/core/logbook'
import { containers } from '../containers/index.ts'
import { openStates } from '../fabrication/index.ts'
import type { Scope } from '../scope/index.ts'
import { doubtRecords, itemsClosed } from './doubts-store.ts'
import { type Names, nameOf, namesOf } from './names.ts'

/** So many are told at a time: nobody looks at more. */
const MAX_DOUBTS = 200

/** Records that cannot be right, newest first, each with what it is. */
export async function doubts(scope: Scope): Promise<LogbookDoubts> {
  const [items, names, tubs] = await Promise.all([itemsClosed(scope), namesOf(scope), containers(scope)])
  const found: LogbookDoubts['doubts'] = []
  let records = 0
  // Item by item: between two of them others are served.
  for (const item of items) {
    const recordsOfItem = await doubtRecords(scope, item)
    records += recordsOfItem.length
    const byId = new Map(recordsOfItem.map((record) => [record.id, record]))
    for (const why of doubtsOf(recordsOfItem, tubs)) found.push(namedDoubt(why, byId.get(why.id) as DoubtRecord, names))
    await nextTurn()
  }
  found.push(...(await openDoubts(scope)))
  found.sort((a, b) => (a.date === b.date ? 0 : a.date < b.date ? 1 : -1))
  return { doubts: found.slice(0, MAX_DOUBTS), records }
}

/** Weighings of open records that were taken twice: what else is doubted of them the bench asks about itself. */
async function openDoubts(scope: Scope): Promise<LogbookDoubts['doubts']> {
  const states = await openStates(scope)
  return states.flatMap(({ record, facts }) => {
    const { id, date, item, style, cook, settled, piles } = record
    if (settled.includes('twice')) return []
    return takenTwice(facts, piles).map((twice) => ({
      id,
      date,
      item,
      style,
      cook,
      why: { kind: 'twice', id, ...twice },
    }))
  })
}

const namedDoubt = (why: Doubt, { id, day, item, style, cook }: DoubtRecord, names: Names) => ({
  id,
  date: day,
  item: nameOf(names, 'item', item),
  style: nameOf(names, 'style', style),
  cook: nameOf(names, 'cook', cook),
  why,
})
