import loadHighs from 'highs'
import { type SolveMixed, solveMixedWith } from '../src/planning/index.ts'
import { type SolveProgramme, solveWith } from '../src/plating/index.ts'

/** The solver of integer programmes that the server and the page's worker use. */
export const loadSolver = async (): Promise<SolveProgramme> => solveWith(await loadHighs())

/** The same for programmes in numbers. */
export const loadMixedSolver = async (): Promise<SolveMixed> => solveMixedWith(await loadHighs())
