import { fork } from 'node:child_process'
import { once } from 'node:events'
import { setTimeout } from 'node:timers/promises'
import { fileURLToPath } from 'node:url'
import type { FabricationRow, FabricationState } from '@fleam/contract/fabrication'
import type { Kitchen } from '@fleam/contract/kitchen'
import { guessMapping } from '@fleam/contract/price-columns'
import { readTable } from '@fleam/contract/price-list'
import type { Item } from '@fleam/contract/style'
import type { FabricationDocument, Pile } from '@fleam/core/fabrication'
import { v7 as newId } from 'uuid'
import { fillLogbook, oneFile } from './fill-logbook.ts'
import type { HeavyWork } from './heavy-client.ts'
import { median, quantile, report } from './report.ts'

const AT_ONCE = 8
const SECONDS = 6
/** A cook weighs no faster. */
const BETWEEN_MS = 25
/** Until the clients ask. */
const WARM_UP_MS = 1_500

const pieces = (count: number) => Array.from({ length: count }, (_, at) => 200 + (at % 160) / 2)

interface Heavy {
  what: string
  method?: string
  path: string
  body?: string
}

/** What a client may ask that takes long or is large, each as large as it is taken. */
function heavies(kitchen: Kitchen, item: Item, plain: FabricationDocument): Heavy[] {
  const path = `/api/kitchens/${kitchen.id}`
  const document = (count: number) => {
    const [{ weight: _weight, portions: _portions, ...first }, ...rest] = plain.piles as [Pile, ...Pile[]]
    return JSON.stringify({ ...plain, piles: [{ ...first, pieces: pieces(count) }, ...rest], meta: {} })
  }
  const many = (count: number, each: (at: number) => object) => Array.from({ length: count }, (_, at) => each(at))
  const rows = many(20_000, (at) => ({ at })).map(
    (_, at) => `Beside ${kitchen.id.slice(0, 4)};B${at};Article ${at};3.1;kg`,
  )
  const csv = ['supplier;article number;article;price;unit', ...rows].join('\n')
  const mapping = guessMapping(readTable(csv, 1).headers, '2026-11-24')
  const none = 'item=none&style=none&supplier=none&cook=none'
  return [
    { what: 'all items read', method: 'GET', path: `${path}/items` },
    { what: 'the list of records read', method: 'GET', path: `${path}/fabrications` },
    { what: 'appraisals of 10,000 pieces', path: '/api/appraise', body: document(9_900) },
    {
      what: 'appraisals of 190 piles of 700 pieces',
      path: '/api/appraise',
      body: JSON.stringify({
        ...plain,
        piles: [...plain.piles, ...many(190, (at) => ({ name: `p${at}`, class: 'primary', pieces: pieces(700) }))],
      }),
    },
    { what: 'documents taken in, 10,000 pieces', path: `${path}/fabrications/import?${none}`, body: document(9_900) },
    {
      what: 'documents of 199 piles, 10,000 pieces each',
      path: `${path}/fabrications/import?${none}`,
      body: JSON.stringify({
        ...plain,
        piles: many(60, (at) => ({ name: `p${at}`, class: 'primary', pieces: pieces(10_000) })),
      }),
    },
    {
      what: '50,000 unknown fields',
      path: '/api/appraise',
      body: JSON.stringify(Object.fromEntries(many(50_000, () => ({})).map((_, at) => [`field${at}`, at]))),
    },
    {
      what: 'an item of a megabyte of words',
      path: `${path}/items`,
      body: JSON.stringify({
        ...item,
        id: newId(),
        styles: many(40, () => ({ ...item.styles[0], id: newId() })),
      }),
    },
    {
      what: 'price lists with a cell of 7 MB',
      path: `${path}/price-lists`,
      body: JSON.stringify({ csv: `${csv.slice(0, 200)}\n${'x'.repeat(7_000_000)}`, mapping }),
    },
    { what: 'price lists of 20,000 rows', path: `${path}/price-lists`, body: JSON.stringify({ csv, mapping }) },
  ]
}

/** What may be asked of a logbook of twenty thousand records. */
function logbookHeavies(kitchenId: string): Heavy[] {
  const path = `/api/kitchens/${kitchenId}`
  const read = (what: string, rest: string): Heavy => ({
    what: `${what}, 20,000 records`,
    method: 'GET',
    path: path + rest,
  })
  return [
    read('pages of three years', '/logbook/period.pdf?from=2023-11-01&to=2026-12-01'),
    read('doubts', '/logbook/doubts'),
    read('seasons', '/logbook/seasons'),
    read('learning', '/logbook/learning'),
    read('what changed', '/logbook/changes'),
    read('a summary by cook', '/logbook/summary?group=cook'),
    read('the list of records', '/fabrications'),
    read('files of a year', '/logbook/records.json?from=2026-01-01'),
    { what: 'recounts of 20,000 records', path: `${path}/logbook/recount` },
    { what: 'imports of 2,000 records', path: `${path}/logbook/import`, body: oneFile() },
  ]
}

/** Milliseconds that each weighing took, one after the other, for as long as `isOver` says no. */
async function weighings(url: string, kitchenId: string, state: FabricationState): Promise<number[]> {
  const times: number[] = []
  const end = performance.now() + SECONDS * 1000
  while (performance.now() < end) {
    const body = JSON.stringify({
      facts: [
        {
          kind: 'reading',
          id: newId(),
          order: 1,
          takenAt: new Date().toISOString(),
          fabricationId: state.record.id,
          pileId: state.record.piles[0]?.id,
          grams: 281,
          source: 'scale',
        },
      ],
    })
    const start = performance.now()
    const response = await fetch(`${url}/api/kitchens/${kitchenId}/facts`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    })
    await response.text()
    if (!response.ok) throw new Error(`A weighing was answered with ${response.status}`)
    times.push(performance.now() - start)
    await setTimeout(BETWEEN_MS)
  }
  return times
}

/** Weighings while eight clients at once ask for what takes long: how long each weighing waits. */
export async function benchBeside(url: string): Promise<void> {
  const get = async <T>(path: string) => (await (await fetch(url + path)).json()) as T
  const [kitchen] = (await get<Kitchen[]>('/api/kitchens')) as [Kitchen]
  const rows = await get<FabricationRow[]>(`/api/kitchens/${kitchen.id}/fabrications`)
  const openId = rows.find((row) => row.status === 'open')?.id as string
  const state = await get<FabricationState>(`/api/kitchens/${kitchen.id}/fabrications/${openId}`)
  const [item] = (await get<Item[]>(`/api/kitchens/${kitchen.id}/items`)) as [Item]
  const closedId = rows.find((row) => row.status === 'closed')?.id as string
  const document = await get<FabricationDocument>(`/api/kitchens/${kitchen.id}/fabrications/${closedId}/document.json`)
  const alone = await weighings(url, kitchen.id, state)
  const past = await fillLogbook(url)
  for (const { what, method = 'POST', path, body = null } of [
    ...logbookHeavies(past.id),
    ...heavies(kitchen, item, { ...document, meta: {} }),
  ]) {
    const work: HeavyWork = { url, method, path, body, atOnce: AT_ONCE }
    const asking = fork(fileURLToPath(new URL('./heavy-client.ts', import.meta.url)), { execArgv: ['--import', 'tsx'] })
    asking.send(work)
    await setTimeout(WARM_UP_MS)
    const times = await weighings(url, kitchen.id, state)
    const answer = once(asking, 'message')
    asking.send('over')
    const [statuses] = (await answer) as [[number, number][]]
    const p95 = quantile(times, 0.95)
    report(
      `weighing beside ${what}, p95`,
      `${p95.toFixed(0)} ms (longest ${Math.max(...times).toFixed(0)})`,
      `alone ${quantile(alone, 0.95).toFixed(0)} ms`,
      p95 / quantile(alone, 0.95),
      `under 100 ms; median ${median(times).toFixed(0)}; answers ${statuses.map(([status, count]) => `${count} x ${status}`).join(', ')}`,
    )
  }
}
