import { type SolveMixed, solveMixedWith } from '@fleam/core/planning'
import { type SolveProgramme, solveWith } from '@fleam/core/plating'
import loadHighs from 'highs'
import solverAddress from 'highs/runtime?url'

let loading: ReturnType<typeof loadHighs> | null = null

/** The solver, fetched and compiled once. */
function load(): ReturnType<typeof loadHighs> {
  loading ??= loadHighs({ locateFile: () => solverAddress })
  return loading
}

/** The solver of integer programmes in words. */
export const loadSolver = async (): Promise<SolveProgramme> => solveWith(await load())

/** The solver of mixed-integer programmes in numbers. */
export const loadMixedSolver = async (): Promise<SolveMixed> => solveMixedWith(await load())
