import '../no-eval.ts'
import { ForecastRun, forecastOf } from '@fleam/core/forecasting'
import { type Plating, type PlatingRequest, PlatingRun } from '@fleam/core/plating'
import { planBonded, planPortions, planRacks } from '@fleam/core/portioning'
import { goodLines, readPriceList } from '@fleam/core/price-lists'
import type { WorkerReply, WorkerRequest } from './protocol.ts'

type RequestOf<T extends WorkerRequest['type']> = Extract<WorkerRequest, { type: T }>

/** Draws between two looks at whether somebody still waits: a few milliseconds. */
const DRAWS_A_STEP = 20_000

const cancelled = new Set<number>()
const tell = (reply: WorkerReply) => self.postMessage(reply)
const breathe = () => new Promise((resolve) => setTimeout(resolve))

function preview({ id, csv, mapping, context, shown }: RequestOf<'read-price-list'>): void {
  const read = readPriceList(csv, mapping, context)
  const { issues, isWhole } = read
  const lines = goodLines(read)
  tell({ id, type: 'price-list', preview: { rows: lines.length, lines: lines.slice(0, shown), issues, isWhole } })
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

/** The solver is large: it is fetched when plates are first asked for. */
const loadSolver = async () => (await import('./load-solver.ts')).loadSolver()

async function answerTo(request: RequestOf<'work'>): Promise<unknown> {
  switch (request.name) {
    case 'portion-plan':
      return planPortions(request.input)
    case 'bonded-plan':
      return planBonded(request.input)
    case 'rack-plan':
      return planRacks(request.input, await loadSolver())
    case 'plating':
      return plate(request.id, request.input)
  }
}

async function plate(id: number, input: PlatingRequest): Promise<Plating | null> {
  const run = new PlatingRun(input, await loadSolver())
  while (!run.plating) {
    run.step()
    tell({ id, type: 'progress', done: run.done, of: run.of })
    await breathe()
    if (cancelled.delete(id)) return null
  }
  return run.plating
}

/** Serves what takes longer than a frame, so that the page never waits for it. */
async function serve(request: WorkerRequest): Promise<void> {
  switch (request.type) {
    case 'read-price-list':
      return preview(request)
    case 'forecast':
      return forecast(request)
    case 'work': {
      const answer = await answerTo(request)
      return answer === null ? undefined : tell({ id: request.id, type: 'worked', answer })
    }
    case 'cancel':
      cancelled.add(request.id)
  }
}

self.onmessage = ({ data }: MessageEvent<WorkerRequest>) => {
  void serve(data).catch((error: unknown) => tell({ id: data.id, type: 'failed', message: String(error) }))
}
