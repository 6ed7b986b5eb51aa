import { type SolveProgramme, solveWith } from '@fleam/core'
import loadHighs from 'highs'
import solverAddress from 'highs/runtime?url'

let loading: Promise<SolveProgramme> | null = null

/** The solver of integer programmes, fetched and compiled once. */
export function loadSolver(): Promise<SolveProgramme> {
  loading ??= loadHighs({ locateFile: () => solverAddress }).then(solveWith)
  return loading
}
