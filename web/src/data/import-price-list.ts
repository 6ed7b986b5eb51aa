import type { PriceMapping, Problem } from '@fleam/contract'
import { ApiProblem, Offline } from './api.ts'
import type { ImportResult } from './buying-queries.ts'

type ImportNews = { progress: { done: number; of: number } } | { result: ImportResult } | { problem: Problem }

/** Every row or none, or those that are right. */
export type Takes = 'all' | 'good'

export interface ImportRequest {
  /** Where the kitchen's API is, `/api/kitchens/…`. */
  path: string
  csv: string
  mapping: PriceMapping
  takes: Takes
  onProgress: (done: number, of: number) => void
  /** Breaks the import off: nothing of it is kept. */
  signal: AbortSignal
}

/** Sends a price list and follows its import line by line. */
export async function importPriceList({
  path,
  csv,
  mapping,
  takes,
  onProgress,
  signal,
}: ImportRequest): Promise<ImportResult> {
  const response = await fetch(`${path}/price-lists`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ csv, mapping, takes }),
    signal,
  }).catch((error: Error) => {
    throw error.name === 'AbortError' ? error : new Offline(error.message)
  })
  if (!response.ok) throw new ApiProblem((await response.json()) as Problem)
  for await (const line of linesOf(response)) {
    const news = JSON.parse(line) as ImportNews
    if ('progress' in news) onProgress(news.progress.done, news.progress.of)
    else if ('problem' in news) throw new ApiProblem(news.problem)
    else return news.result
  }
  throw new Offline('The answer broke off.')
}

async function* linesOf(response: Response): AsyncGenerator<string> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { done, value } = (await reader?.read()) ?? { done: true, value: undefined }
    if (done) break
    const lines = (rest + value).split('\n')
    rest = lines.pop() ?? ''
    yield* lines.filter((line) => line !== '')
  }
  if (rest !== '') yield rest
}
