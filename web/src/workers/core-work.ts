import type { Work, WorkName } from '@fleam/contract/portioning/work'
import { type Forecast, type ForecastModel, ForecastRun, forecastOf, type Spreads } from '@fleam/core/forecasting'
import { type Plating, type PlatingRequest, PlatingRun } from '@fleam/core/plating'
import { planBonded, planPortions, planRacks } from '@fleam/core/portioning'
import { goodLines, readPriceList } from '@fleam/core/price-lists'
import type { PriceListPreview, PriceListText } from './price-list-preview.ts'

/** Draws between two looks at whether somebody still waits: a few milliseconds. */
const DRAWS_A_STEP = 20_000

export interface ForecastRequest {
  model: ForecastModel
  spreads: Spreads
  draws: number
  seed: number
}

/** Gets how far the work is, and answers whether somebody still waits for it. */
export type OnStep = (done: number, of: number) => boolean | Promise<boolean>

/** The solver is large: it is fetched when it is first needed. */
const loadSolver = async () => (await import('./load-solver.ts')).loadSolver()

async function plate(input: PlatingRequest, onStep: OnStep): Promise<Plating | null> {
  const run = new PlatingRun(input, await loadSolver())
  while (!run.plating) {
    run.step()
    if (!(await onStep(run.done, run.of))) return null
  }
  return run.plating
}

const WORK: { [N in WorkName]: (input: Work[N]['input'], onStep: OnStep) => unknown } = {
  'portion-plan': (input) => planPortions(input),
  'bonded-plan': (input) => planBonded(input),
  'rack-plan': async (input) => planRacks(input, await loadSolver()),
  plating: plate,
}

/** What takes longer than a frame: done in a worker, so that the page never waits for it. Null where it was broken off. */
export const coreWork = {
  /** A price list as it would be taken in: its first lines, how many there are, and what is wrong with it. */
  readPriceList: ({ csv, mapping, context, shown }: PriceListText): PriceListPreview => {
    const read = readPriceList(csv, mapping, context)
    const { issues, isWhole } = read
    const lines = goodLines(read)
    return { rows: lines.length, lines: lines.slice(0, shown), issues, isWhole }
  },

  forecast: async ({ model, spreads, draws, seed }: ForecastRequest, onStep: OnStep): Promise<Forecast | null> => {
    const run = new ForecastRun(model, spreads, { draws, seed })
    while (!run.isDone) {
      run.step(DRAWS_A_STEP)
      if (!(await onStep(run.done, draws))) return null
    }
    return forecastOf(model, spreads, run.savings)
  },

  work: async (name: WorkName, input: Work[WorkName]['input'], onStep: OnStep): Promise<unknown> =>
    WORK[name](input as never, onStep),
}
