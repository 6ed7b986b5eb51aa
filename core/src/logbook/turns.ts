import { momentsOf } from '../statistics/index.ts'
import { groupBy } from './group-by.ts'

/** A counted record that was compared with an offer. */
export interface ComparedRecord {
  id: string
  day: string
  item: string
  style: string
  /** Money of one portion: what making it cost, and what that brought against buying. */
  costPerPortion: number
  savingPerPortion: number
}

/** A stretch of records in which the cheaper way was another than before. */
export interface Turn {
  item: string
  style: string
  /** What was cheaper from then on. */
  to: 'make' | 'buy'
  from: string
  /** Last day of the stretch. */
  until: string
  records: number
  /** Means of the stretch and of the one before. */
  cost: { now: number; before: number }
  offer: { now: number; before: number }
}

/** A single record that says otherwise is no turn. */
const MIN_RUN = 3

/** When making or buying became the cheaper way, by item and style, newest first. Records oldest first. */
export function turnsOf(records: readonly ComparedRecord[]): Turn[] {
  const turns = [...groupBy(records, ({ item, style }) => JSON.stringify([item, style])).values()].flatMap(
    (recordsOfStyle) => {
      const runs = runsOf(recordsOfStyle)
      return runs.slice(1).map((run, index): Turn => turnOf(runs[index] as ComparedRecord[], run))
    },
  )
  return turns.sort((a, b) => (a.from < b.from ? 1 : -1))
}

const wayOf = ({ savingPerPortion }: ComparedRecord) => (savingPerPortion >= 0 ? 'make' : 'buy')

/** Stretches of one way, too short ones given to their neighbours. */
function runsOf(records: readonly ComparedRecord[]): ComparedRecord[][] {
  const raw: ComparedRecord[][] = []
  for (const record of records) {
    const last = raw.at(-1)
    if (last?.[0] && wayOf(last[0]) === wayOf(record)) last.push(record)
    else raw.push([record])
  }
  const runs: { way: string; records: ComparedRecord[] }[] = []
  for (const run of raw) {
    const way = wayOf(run[0] as ComparedRecord)
    const last = runs.at(-1)
    if (last && (run.length < MIN_RUN || last.way === way)) last.records.push(...run)
    else runs.push({ way, records: [...run] })
  }
  return runs.map((run) => run.records)
}

function turnOf(before: readonly ComparedRecord[], now: readonly ComparedRecord[]): Turn {
  const [first, last] = [now[0], now.at(-1)] as [ComparedRecord, ComparedRecord]
  const mean = (records: readonly ComparedRecord[], value: (record: ComparedRecord) => number) =>
    momentsOf(records.map(value)).mean
  const cost = ({ costPerPortion }: ComparedRecord) => costPerPortion
  const offer = ({ costPerPortion, savingPerPortion }: ComparedRecord) => costPerPortion + savingPerPortion
  return {
    item: first.item,
    style: first.style,
    to: wayOf(first),
    from: first.day,
    until: last.day,
    records: now.length,
    cost: { now: mean(now, cost), before: mean(before, cost) },
    offer: { now: mean(now, offer), before: mean(before, offer) },
  }
}
