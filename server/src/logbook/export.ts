import { setImmediate as nextTurn } from 'node:timers/promises'
import { LOGBOOK_FORMAT, type LoggedRecord } from '@fleam/contract/logbook/schemas'
import { documentOf } from '@fleam/core/fabrication'
import { statesByIds } from '../fabrication/index.ts'
import type { Scope } from '../scope/index.ts'

/** So many records are read before others are served. */
const AT_A_TIME = 100

/** The file of some records, piece by piece: the same that the logbook takes in. */
export async function* logbookFileOf(scope: Scope, ids: readonly string[]): AsyncGenerator<string> {
  yield `{"format":"${LOGBOOK_FORMAT}","version":1,"records":[`
  for (let from = 0; from < ids.length; from += AT_A_TIME) {
    const states = await statesByIds(scope, ids.slice(from, from + AT_A_TIME))
    const records = states.map(
      ({ record, facts }): LoggedRecord => ({
        id: record.id,
        document: documentOf(record, facts),
        leftOut: record.leftOut,
        labourFrom: record.labourFrom,
        priceFrom: record.priceFrom,
        weightFrom: record.weightFrom,
        settled: record.settled,
        causes: record.causes.flatMap(({ pileId, ...cause }) => {
          const pile = record.piles.find(({ id }) => id === pileId)
          return pile ? [{ pile: pile.name, ...cause }] : []
        }),
      }),
    )
    yield `${from > 0 ? ',' : ''}${records.map((record) => JSON.stringify(record)).join(',')}`
    await nextTurn()
  }
  yield ']}'
}
