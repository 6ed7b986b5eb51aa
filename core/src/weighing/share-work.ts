/** What one cook of a line does: steps that follow each other. */
export interface LinePart {
  cookId: string
  /** Ids of the steps, in their order. */
  steps: string[]
  /** Minutes of one unit. */
  minutes: number
}

/** A step of a line, and its minutes of one unit. */
export interface LineStep {
  id: string
  minutes: number
}

/**
 * A line of cooks at one batch: each has a run of steps, so that the longest part is as short as can be: a line is as fast
 * as its slowest part. Of ways that are equally fast the first cooks have the longer runs. Of more cooks than steps the
 * last have none and are left out.
 */
export function lineParts(steps: readonly LineStep[], cookIds: readonly string[]): LinePart[] {
  const ends = evenestEnds(
    steps.map(({ minutes }) => minutes),
    Math.min(cookIds.length, steps.length),
  )
  return ends.map((to, index) => {
    const stepsOfPart = steps.slice(ends[index - 1] ?? 0, to)
    return {
      cookId: cookIds[index] as string,
      steps: stepsOfPart.map(({ id }) => id),
      minutes: stepsOfPart.reduce((sum, { minutes }) => sum + minutes, 0),
    }
  })
}

/** How many birds, fish, loins or racks each of so many cooks cuts, each their own: as many as the others or one more. */
export function unitsOfCooks(units: number, cooks: number): number[] {
  const least = Math.floor(units / cooks)
  const longer = units - least * cooks
  return Array.from({ length: cooks }, (_, index) => (index < longer ? least + 1 : least))
}

const SAME = 1e-9

/** Some runs at the end of a row: where each ends, the longest of them, and the sum of their squares. */
interface Runs {
  ends: number[]
  longest: number
  squares: number
}

const isEvener = (runs: Runs, than: Runs | null): boolean =>
  than === null ||
  runs.longest < than.longest - SAME ||
  (runs.longest < than.longest + SAME && runs.squares < than.squares - SAME)

/** Where so many runs of lengths end, none of them empty, the longest as short as it goes. */
function evenestEnds(lengths: readonly number[], runs: number): number[] {
  const upTo = [0]
  for (const length of lengths) upTo.push((upTo.at(-1) as number) + length)
  const sumOf = (from: number, to: number) => (upTo[to] as number) - (upTo[from] as number)
  /** The evenest runs from each place to the end of the row. */
  let best: (Runs | null)[] = lengths.map(() => null)
  best.push({ longest: 0, squares: 0, ends: [] })
  // From the last run to the first, so that of equal ones the first are the longer.
  for (let run = 0; run < runs; run++) {
    const behind = best
    best = behind.map((_, from) => {
      let evenest: Runs | null = null
      for (let to = lengths.length; to > from; to--) {
        const rest = behind[to]
        if (!rest) continue
        const minutes = sumOf(from, to)
        const runs = {
          ends: [to, ...rest.ends],
          longest: Math.max(minutes, rest.longest),
          squares: rest.squares + minutes * minutes,
        }
        if (isEvener(runs, evenest)) evenest = runs
      }
      return evenest
    })
  }
  return best[0]?.ends ?? []
}
