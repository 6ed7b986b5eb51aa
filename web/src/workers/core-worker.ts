import { readPriceList } from '@fleam/contract'
import { ForecastRun, forecastOf } from '@fleam/core'
import type { WorkerReply, WorkerRequest } from './protocol.ts'

type RequestOf<T extends WorkerRequest['type']> = Extract<WorkerRequest, { type: T }>

/** Draws between two looks at whether somebody still waits: a few milliseconds. */
const DRAWS_A_STEP = 20_000

const cancelled = new Set<number>()
const tell = (reply: WorkerReply) => self.postMessage(reply)
const breathe = () => new Promise((resolve) => setTimeout(resolve))

function preview({ id, csv, mapping, context, shown }: RequestOf<'read-price-list'>): void {
  const { lines, issues } = readPriceList(csv, mapping, context)
  tell({ id, type: 'price-list', preview: { rows: lines.length, lines: lines.slice(0, shown), issues } })
}

async function forecast({ id, model, spreads, draws, seed }: RequestOf<'forecast'>): Promise<void> {
  const run = new ForecastRun(model, spreads, { draws, seed })
  while (!run.isDone) {
    run.step(DRAWS_A_STEP)
    tell({ id, type: 'progress', done: run.done, of: draws })
    await breathe()
    if (cancelled.delete(id)) return
  }
  tell({ id, type: 'forecast', forecast: forecastOf(model, spreads, run.savings) })
}

/** Serves what takes longer than a frame, so that the page never waits for it. */
async function serve(request: WorkerRequest): Promise<void> {
  switch (request.type) {
    case 'read-price-list':
      return preview(request)
    case 'forecast':
      return forecast(request)
    case 'cancel':
      cancelled.add(request.id)
  }
}

self.onmessage = ({ data }: MessageEvent<WorkerRequest>) => {
  void serve(data).catch((error: unknown) => tell({ id: data.id, type: 'failed', message: String(error) }))
}
