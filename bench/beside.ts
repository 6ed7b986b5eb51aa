import { fork } from 'node:child_process'
import { once } from 'node:events'
import { setTimeout } from 'node:timers/promises'
import { fileURLToPath } from 'node:url'
import { appraisalOperations } from '@fleam/contract/appraisal/operations'
import { priceListOperations } from '@fleam/contract/buying/operations'
import { addressOf, type InputOf, type OperationRequest, requestOf } from '@fleam/contract/client'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { factOperations } from '@fleam/contract/facts/operations'
import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { logbookOperations } from '@fleam/contract/logbook/operations'
import { importOperations, logbookImportOperations } from '@fleam/contract/new-records/operations'
import type { Operation } from '@fleam/contract/operation'
import { styleOperations } from '@fleam/contract/style/operations'
import type { FabricationDocument, Pile } from '@fleam/core/fabrication'
import { guessMapping, readTable } from '@fleam/core/price-lists'
import type { Item } from '@fleam/core/style'
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

const pieces = (count: number) => Array.from({ length: count }, (_, index) => 200 + (index % 160) / 2)

interface Heavy extends OperationRequest {
  what: string
}

/** A request of an operation, whatever its body is: some are to be refused. */
const heavy = <O extends Operation>(
  what: string,
  operation: O,
  input: Omit<InputOf<O>, 'body'>,
  body?: unknown,
): Heavy => ({
  what,
  ...requestOf(operation, input as InputOf<O>),
  body,
})

/** What a client may ask that takes long or is large, each as large as it is taken. */
function heavies(kitchen: Kitchen, item: Item, plain: FabricationDocument): Heavy[] {
  const kitchenId = kitchen.id
  const document = (count: number) => {
    const [{ weight: _weight, portions: _portions, ...first }, ...rest] = plain.piles as [Pile, ...Pile[]]
    return { ...plain, piles: [{ ...first, pieces: pieces(count) }, ...rest], meta: {} }
  }
  const many = (count: number, entry: (at: number) => object) =>
    Array.from({ length: count }, (_, index) => entry(index))
  const rows = many(20_000, (at) => ({ at })).map(
    (_, index) => `Beside ${kitchen.id.slice(0, 4)};B${index};Article ${index};3.1;kg`,
  )
  const csv = ['supplier;article number;article;price;unit', ...rows].join('\n')
  const mapping = guessMapping(readTable(csv, 1).headers, '2026-11-24')
  const { appraise } = appraisalOperations
  const { importPriceList } = priceListOperations
  // The client that asks puts an id of its own in.
  const none = { id: '', item: 'none', style: 'none', supplier: 'none', cook: 'none' } as const
  const imported = (what: string, body: unknown) =>
    heavy(what, importOperations.importDocument, { kitchenId, query: none }, body)
  return [
    heavy('all items read', styleOperations.listItems, { kitchenId }),
    heavy('the list of records read', fabricationOperations.listFabrications, { kitchenId }),
    heavy('appraisals of 10,000 pieces', appraise, {}, document(9_900)),
    heavy(
      'appraisals of 190 piles of 700 pieces',
      appraise,
      {},
      {
        ...plain,
        piles: [...plain.piles, ...many(190, (at) => ({ name: `p${at}`, class: 'primary', pieces: pieces(700) }))],
      },
    ),
    imported('documents taken in, 10,000 pieces', document(9_900)),
    imported('documents of 199 piles, 10,000 pieces each', {
      ...plain,
      piles: many(60, (at) => ({ name: `p${at}`, class: 'primary', pieces: pieces(10_000) })),
    }),
    heavy(
      '50,000 unknown fields',
      appraise,
      {},
      Object.fromEntries(many(50_000, () => ({})).map((_, index) => [`field${index}`, index])),
    ),
    heavy(
      'an item of a megabyte of words',
      styleOperations.createItem,
      { kitchenId },
      {
        ...item,
        id: newId(),
        styles: many(40, () => ({ ...item.styles[0], id: newId() })),
      },
    ),
    heavy(
      'price lists with a cell of 7 MB',
      importPriceList,
      { kitchenId },
      {
        csv: `${csv.slice(0, 200)}\n${'x'.repeat(7_000_000)}`,
        mapping,
      },
    ),
    heavy('price lists of 20,000 rows', importPriceList, { kitchenId }, { csv, mapping }),
  ]
}

/** What may be asked of a logbook of twenty thousand records. */
function logbookHeavies(kitchenId: string): Heavy[] {
  const all = { kitchenId }
  const { readPeriod, listDoubts, listSeasons, listLearning, listChanges } = logbookOperations
  const { summariseLogbook, exportLogbook, recountLogbook } = logbookOperations
  return [
    heavy('pages of three years', readPeriod, { ...all, query: { from: '2023-11-01', to: '2026-12-01' } }),
    heavy('doubts', listDoubts, all),
    heavy('seasons', listSeasons, all),
    heavy('learning', listLearning, all),
    heavy('what changed', listChanges, all),
    heavy('a summary by cook', summariseLogbook, { ...all, query: { group: 'cook' } }),
    heavy('the list of records', fabricationOperations.listFabrications, all),
    heavy('files of a year', exportLogbook, { ...all, query: { from: '2026-01-01' } }),
    heavy('recounts', recountLogbook, all),
    heavy('imports of 2,000 records', logbookImportOperations.importLogbook, all, oneFile()),
  ].map((asked) => ({ ...asked, what: `${asked.what}, 20,000 records` }))
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
    const response = await fetch(`${url}${addressOf(factOperations.createFacts, { kitchenId })}`, {
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
  const call = callAt(url)
  const [kitchen] = (await call(kitchenOperations.listKitchens, {})) as [Kitchen]
  const kitchenId = kitchen.id
  const rows = await call(fabricationOperations.listFabrications, { kitchenId })
  const idOf = (status: 'open' | 'closed') => rows.find((row) => row.status === status)?.id as string
  const state = await call(fabricationOperations.readFabrication, { kitchenId, fabricationId: idOf('open') })
  const [item] = (await call(styleOperations.listItems, { kitchenId })) as [Item]
  const document = await call(fabricationOperations.exportDocument, { kitchenId, fabricationId: idOf('closed') })
  const alone = await weighings(url, kitchen.id, state)
  const past = await fillLogbook(url)
  for (const { what, method, address, body } of [
    ...logbookHeavies(past.id),
    ...heavies(kitchen, item, { ...document, meta: {} }),
  ]) {
    const work: HeavyWork = {
      url,
      method,
      address,
      body: body === undefined ? null : JSON.stringify(body),
      atOnce: AT_ONCE,
    }
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
