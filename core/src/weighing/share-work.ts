/** What one cook of a line does: steps that follow each other. */
export interface LinePart {
  cookId: string
  /** Ids of the steps, in their order. */
  steps: string[]
}

/**
 * A line of cooks at one batch: each has a run of steps, as many as the others or one more, the first cooks the longer
 * runs. Steps are taken to be equally long, as nothing says how long one is; of more cooks than steps the last have none
 * and are left out.
 */
export function lineParts(steps: readonly string[], cookIds: readonly string[]): LinePart[] {
  return evenly(steps.length, cookIds.length).flatMap(({ from, to }, at) => {
    const cookId = cookIds[at]
    return cookId === undefined || to === from ? [] : [{ cookId, steps: steps.slice(from, to) }]
  })
}

/** How many birds, fish, loins or racks each of so many cooks cuts, each their own: as many as the others or one more. */
export const unitsOfCooks = (units: number, cooks: number): number[] =>
  evenly(units, cooks).map(({ from, to }) => to - from)

/** So many things in so many runs that differ by one at most. */
function evenly(count: number, runs: number): { from: number; to: number }[] {
  const least = Math.floor(count / runs)
  const longer = count - least * runs
  const fromOf = (run: number) => run * least + Math.min(run, longer)
  return Array.from({ length: runs }, (_, run) => ({ from: fromOf(run), to: fromOf(run + 1) }))
}
