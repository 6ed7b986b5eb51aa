import {
  TextDecoderStream as NodeDecoder,
  ReadableStream as NodeStream,
  TransformStream as NodeTransformStream,
} from 'node:stream/web'
import { importPriceList } from './import-price-list.ts'

Object.assign(globalThis, {
  TextDecoderStream: NodeDecoder,
  ReadableStream: NodeStream,
  TransformStream: NodeTransformStream,
})

const mapping = { columns: {}, supplier: 'O', kind: 'whole', from: '2026-11-24', decimal: 'auto' } as const
const RESULT = { rows: 2, newArticles: 2, changedArticles: 0, newPrices: 2, known: 0, skipped: [] }

/** Answers with these pieces of text, one after the other. */
function answerInPieces(pieces: readonly string[]) {
  globalThis.fetch = (async () => ({
    ok: true,
    body: new NodeStream({
      start(controller) {
        for (const piece of pieces) controller.enqueue(new TextEncoder().encode(piece))
        controller.close()
      },
    }),
  })) as unknown as typeof fetch
}
async function take() {
  const steps: string[] = []
  const onProgress = (done: number, of: number) => steps.push(`${done} of ${of}`)
  const signal = new AbortController().signal
  const outcome = await importPriceList({ kitchenId: 'x', csv: 'a', mapping, takes: 'good', onProgress, signal }).catch(
    (error: Error) => error,
  )
  return { steps, outcome }
}

test('progress is told as it comes, however the lines are cut', async () => {
  const lines = `{"progress":{"done":1,"of":2}}\n{"progress":{"done":2,"of":2}}\n${JSON.stringify({ result: RESULT })}\n`
  for (const cut of [5, 31, 40]) {
    answerInPieces([lines.slice(0, cut), lines.slice(cut)])
    expect(await take()).toEqual({ steps: ['1 of 2', '2 of 2'], outcome: RESULT })
  }
})

test('a list that is refused on the way is a refusal', async () => {
  answerInPieces([
    `{"progress":{"done":1,"of":2}}\n{"problem":{"code":"price-list-wrong","detail":"1 row is not right."}}\n`,
  ])
  expect((await take()).outcome).toMatchObject({ problem: { code: 'price-list-wrong' } })
})

test('an answer that breaks off is a cut network: nothing was kept', async () => {
  answerInPieces(['{"progress":{"done":1,"of":2}}\n'])
  expect(String((await take()).outcome)).toContain('broke off')
})

test('a list that is refused at once, and a network that is away', async () => {
  globalThis.fetch = (async () => ({
    ok: false,
    json: async () => ({ code: 'price-list-wrong', detail: '' }),
  })) as unknown as typeof fetch
  expect((await take()).outcome).toMatchObject({ problem: { code: 'price-list-wrong' } })
  globalThis.fetch = (async () => {
    throw new TypeError('network')
  }) as unknown as typeof fetch
  expect((await take()).outcome).toBeInstanceOf(Error)
})
