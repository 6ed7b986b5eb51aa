import { type SolveProgramme, solveWith } from '@fleam/core'
import loadHighs from 'highs'

let loading: Promise<SolveProgramme> | null = null

/** The solver of integer programmes, loaded once. */
export function loadSolver(): Promise<SolveProgramme> {
  loading ??= loadHighs().then(solveWith)
  return loading
}
