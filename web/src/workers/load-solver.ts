import { type SolveProgramme, solveWith } from '@fleam/core/solving'
import loadHighs from 'highs'
import solverAddress from 'highs/runtime?url'

let loading: ReturnType<typeof loadHighs> | null = null

/** The solver of mixed-integer programmes, fetched and compiled once. */
export async function loadSolver(): Promise<SolveProgramme> {
  loading ??= loadHighs({ locateFile: () => solverAddress })
  return solveWith(await loading, () => performance.now())
}
