import { readPriceList } from '@fleam/contract'
import type { WorkerReply, WorkerRequest } from './protocol.ts'

/** Serves what takes longer than a frame, so that the page never waits for it. */
function answer(request: WorkerRequest): WorkerReply {
  const { lines, issues } = readPriceList(request.csv, request.mapping, request.context)
  return {
    id: request.id,
    type: 'price-list',
    preview: { rows: lines.length, lines: lines.slice(0, request.shown), issues },
  }
}

self.onmessage = ({ data }: MessageEvent<WorkerRequest>) => {
  try {
    self.postMessage(answer(data))
  } catch (error) {
    self.postMessage({ id: data.id, type: 'failed', message: String(error) } satisfies WorkerReply)
  }
}
