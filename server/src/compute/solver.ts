import { type SolveProgramme, solveWith } from '@fleam/core/solving'
import loadHighs from 'highs'

let loading: ReturnType<typeof loadHighs> | null = null

/** The solver of mixed-integer programmes, loaded once. */
export async function loadSolver(): Promise<SolveProgramme> {
  loading ??= loadHighs()
  return solveWith(await loading, () => performance.now())
}
